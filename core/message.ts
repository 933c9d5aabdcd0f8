/** A text of a table of core, that is translated where it is shown. */
export interface Term {
  readonly term: string
}

/** What stands in the braces of a message: values, texts of tables and lists of them, or other messages. */
export type MessageValues = Readonly<Record<string, string | number | Term | readonly Term[] | Message>>

/**
 * Something that core says, not worded yet: a code of the catalogue and what stands in its braces. The
 * borders word it, in the language of whoever reads it.
 */
export interface Message {
  readonly code: string
  readonly values: MessageValues
}

export const message = (code: string, values: MessageValues = {}): Message => ({ code, values })
