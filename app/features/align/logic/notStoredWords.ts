/** What is said where a browser cannot keep an entry: it is lost unless somebody writes it down. */
export function notStoredWords(error: unknown): string {
  const why = error instanceof Error ? error.message : String(error)
  return `Not saved: browser storage failed (${why}). Write the reading down.`
}
