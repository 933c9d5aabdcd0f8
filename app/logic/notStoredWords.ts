/** What is said where a browser cannot keep an entry: it is lost unless somebody writes it down. */
export function notStoredWords(error: unknown): string {
  const why = error instanceof Error ? error.message : String(error)
  return `Not kept: this browser cannot store it (${why}). Write it down.`
}
