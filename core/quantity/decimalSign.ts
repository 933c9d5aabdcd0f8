export type DecimalSign = '.' | ','

let read: () => DecimalSign = () => '.'

/** The sign between whole and fraction of a number that is shown: a point or a comma. */
export const decimalSign = (): DecimalSign => read()

/** Says where the sign comes from: once, when a browser or a server starts. Core alone shows a point. */
export function readDecimalSignFrom(source: () => DecimalSign): void {
  read = source
}

/** A number that was written with a point, as it is shown. @example withDecimalSign('3.85') // => '3,85' */
export const withDecimalSign = (text: string): string => text.replace('.', decimalSign())
