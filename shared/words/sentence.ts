/** A text as a sentence: with a full stop unless it has its end already, as in "4 W max.". */
export function sentence(text: string): string {
  return /[.!?]$/.test(text) ? text : `${text}.`
}

/** A text that begins a sentence. */
export const capital = (text: string) => text.slice(0, 1).toUpperCase() + text.slice(1)

/** Words as they stand within a sentence: PEP, SWR, VCO and "10.240 MHz" stay as they are. */
export const midSentence = (text: string): string =>
  text.replace(/^\p{Lu}(?=\p{Ll})/u, first => first.toLowerCase())
