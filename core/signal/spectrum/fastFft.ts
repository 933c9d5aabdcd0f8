// The package ships no types, and not every configuration takes in ours.
// eslint-disable-next-line @typescript-eslint/triple-slash-reference
/// <reference path="../pffft.d.ts" />
import load, { type Pffft } from '@echogarden/pffft-wasm/simd'
import { transformOf } from './fft'

export type Samples = Float32Array | Float64Array

/**
 * A transform in single precision by the vector instructions of the processor: six times as fast as the exact
 * one, its rounding 135 dB below what goes in, all bins together. For averages and filters; lines are
 * measured with `transformOf`.
 */
export interface FastTransform {
  readonly size: number
  /** interleaved; to be asked for anew after every other transform was made: the memory may have moved */
  readonly input: () => Samples
  readonly output: () => Samples
  readonly forward: () => void
  /** not scaled: a signal that went forward and back is `size` times as large */
  readonly backward: () => void
}

const COMPLEX = 1
/** The library stops for good when it is asked for less. */
const MIN_SIZE = 64
const BYTES_OF_PAIR = 8

let loading: Promise<void> | null = null
let library: Pffft | null = null
const kept = new Map<number, FastTransform>()

/** To be awaited once before anything is measured. @throws where WebAssembly with vectors is not to be had */
export function loadFastTransforms(): Promise<void> {
  loading ??= load().then(
    made => {
      library = made
    },
    (error: unknown) => {
      // What could not be fetched may come the next time.
      loading = null
      throw error
    },
  )
  return loading
}

/**
 * The transform of one size, with buffers of its own; not to be shared across awaits. Before they are loaded
 * it is the exact one, forwards only, of powers of two only.
 * @param size 64 times a product of 2, 3 and 5; a power of two below that
 */
export function fastTransformOf(size: number): FastTransform {
  if (!library || size < MIN_SIZE) return exactAsFast(size)
  const there = kept.get(size)
  if (there) return there
  const made = prepared(library, size)
  kept.set(size, made)
  return made
}

function exactAsFast(size: number): FastTransform {
  const { run, input, output } = transformOf(size)
  const backward = () => {
    throw new Error('the fast transforms are not loaded')
  }
  return { size, input: () => input, output: () => output, forward: run, backward }
}

function prepared(pffft: Pffft, size: number): FastTransform {
  const setup = pffft._pffft_new_setup(size, COMPLEX)
  if (setup === 0) throw new RangeError(`no fast transform of ${size}`)
  const [input, output, work] = [0, 1, 2].map(() => pffft._pffft_aligned_malloc(BYTES_OF_PAIR * size)) as [
    number,
    number,
    number,
  ]
  const view = (at: number) => pffft.HEAPF32.subarray(at / 4, at / 4 + 2 * size)
  const run = (direction: number) => pffft._pffft_transform_ordered(setup, input, output, work, direction)
  return {
    size,
    input: () => view(input),
    output: () => view(output),
    forward: () => run(0),
    backward: () => run(1),
  }
}
