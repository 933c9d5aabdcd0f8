/** One common period of an emission, sampled. */
export interface Cycle {
  readonly re: Float64Array
  readonly im: Float64Array
  readonly periodS: number
}
