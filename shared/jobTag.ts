/** W-0231 from 231. */
export function jobTag(number: number): string {
  return `W-${String(number).padStart(4, '0')}`
}
