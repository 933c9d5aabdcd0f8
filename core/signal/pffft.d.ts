/**
 * A fast Fourier transform in WebAssembly (package @echogarden/pffft-wasm, which ships no types): the
 * functions that are used here.
 */
declare module '@echogarden/pffft-wasm/simd' {
  export interface Pffft {
    readonly HEAPF32: Float32Array
    /** @param kind 0 = real, 1 = complex @returns 0 for a size that it cannot do */
    _pffft_new_setup(size: number, kind: number): number
    _pffft_aligned_malloc(bytes: number): number
    _pffft_transform_ordered(
      setup: number,
      input: number,
      output: number,
      work: number,
      direction: number,
    ): void
  }
  export default function load(): Promise<Pffft>
}
