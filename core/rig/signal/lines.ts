import { transformOf } from '../../signal/spectrum/fft'
import type { Cycle } from './cycle'

/** Power [W] of each line of one period; index k is k/period, negative frequencies from the end. */
export function fft({ re, im }: Cycle): Float64Array {
  const n = re.length
  const transform = transformOf(n)
  for (let k = 0; k < n; k++) {
    transform.input[2 * k] = re[k]!
    transform.input[2 * k + 1] = im[k]!
  }
  transform.run()
  return Float64Array.from(
    { length: n },
    (_, k) => (transform.output[2 * k]! ** 2 + transform.output[2 * k + 1]! ** 2) / (n * n),
  )
}
