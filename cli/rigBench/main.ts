import { performance } from 'node:perf_hooks'
import { act, advance, healthyRig, renderIq, truthOf, type RigAction, type RigState } from '#core/rig'

/** How fast the simulated set runs, on one core: JSON for the bench script. Best of some rounds. */
const ROUNDS = 5
const TICK_S = 0.1
const TICKS = 2000
const RATE_HZ = 250_000
const IQ_S = 2

const does = (s: RigState, ...actions: RigAction[]) => actions.reduce((state, a) => act(state, a).state, s)
const keyed = () =>
  advance(
    does(
      advance(healthyRig('larkfield-lx8', 5), 1500),
      { kind: 'control', controls: { mode: 'AM', keyed: true } },
      { kind: 'stimulus', stimulus: { tones: [{ hz: 1000, v: 0.03 }] } },
    ),
    1,
  )
const best = (work: () => number) => Array.from({ length: ROUNDS }, work).reduce((a, b) => Math.min(a, b))

/** Ticks at 10 Hz with everything that instruments read of it. */
function ticks(): number {
  let s = keyed()
  const started = performance.now()
  let sum = 0
  for (let i = 0; i < TICKS; i++) {
    s = advance(s, TICK_S)
    sum += truthOf(s).values.powerW!
  }
  if (!(sum > 0)) throw new Error('nothing was sent')
  return (performance.now() - started) / 1000
}

function recording(): number {
  const s = keyed()
  const started = performance.now()
  const { i } = renderIq(s, { rateHz: RATE_HZ, seconds: IQ_S, offsetHz: 20_000, noiseDb: 65, fullScaleW: 60 })
  if (i.length !== RATE_HZ * IQ_S) throw new Error('too short')
  return (performance.now() - started) / 1000
}

process.stdout.write(
  JSON.stringify({
    slowTimesRealTime: (TICKS * TICK_S) / best(ticks),
    iqTimesRealTime: IQ_S / best(recording),
  }),
)
