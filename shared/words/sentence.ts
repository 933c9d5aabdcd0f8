/** A text as a sentence: with a full stop unless it has its end already, as in "4 W max.". */
export function sentence(text: string): string {
  return /[.!?]$/.test(text) ? text : `${text}.`
}
