declare module 'fft.js' {
  /** Radix-4 transform of complex numbers, interleaved; sizes are powers of two. */
  export default class FFT {
    constructor(size: number)
    transform(out: Float64Array, data: Float64Array): void
  }
}
