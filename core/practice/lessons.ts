import { act, healthyRig, truthOf, type RigAction, type RigState, type RigTruth } from '../rig'
import type { Logged } from './session'

/** What a lesson looks at to tell whether a step is done. */
export interface LessonLook {
  readonly state: RigState
  readonly truth: RigTruth
  readonly log: readonly Logged[]
}
export interface LessonStep {
  readonly say: string
  readonly why: string
  readonly hint: string
  readonly done: (look: LessonLook) => boolean
}
export interface Lesson {
  readonly id: string
  readonly title: string
  readonly what: string
  readonly designId: string
  readonly kitId: string
  readonly prepare: () => RigState
  readonly steps: readonly LessonStep[]
}

const prepared =
  (designId: string, ...actions: RigAction[]) =>
  () =>
    actions.reduce((s, a) => act(s, a).state, healthyRig(designId, 11))
const at = (designator: string, position: number): RigAction => ({ kind: 'turn', designator, position })
const keyed = ({ state }: LessonLook) => state.controls.keyed
const power = ({ truth }: LessonLook) => truth.values.powerW ?? 0
const between = (low: number, high: number, x: number | null | undefined) =>
  x !== null && x !== undefined && x >= low && x <= high
const toneOn = ({ state }: LessonLook) => state.stimulus.tones.length > 0
/** Whether an adjuster has ever been beyond a position. */
const beenAt = (log: readonly Logged[], designator: string, past: (p: number) => boolean) =>
  log.some(l => l.action.kind === 'turn' && l.action.designator === designator && past(l.action.position))
const released = (log: readonly Logged[]) =>
  log.some(l => l.action.kind === 'control' && l.action.controls.keyed === true) &&
  log.findLast(l => l.action.kind === 'control' && l.action.controls.keyed !== undefined)?.action.kind ===
    'control'

const WARM: LessonStep = {
  say: 'Let 20 minutes of warm-up pass.',
  why: 'Crystals move most in the first minutes. What is set cold is wrong warm.',
  hint: 'Press "Advance 20 min" in the simulator.',
  done: ({ state }) => state.memory.warmS >= 1200,
}
const UNKEY: LessonStep = {
  say: 'Release the key.',
  why: 'Every second of key-down heats the output device. 20 s max., then rest twice as long.',
  hint: 'Press K, or the button "Keyed".',
  done: look => !keyed(look) && released(look.log),
}

/** Five lessons for somebody who has never aligned a set. */
export const LESSONS: readonly Lesson[] = [
  {
    id: 'carrier',
    title: 'Set the carrier of an AM mobile',
    what: 'One preset, one reading: what a preset does, and why the carrier is set before the depth.',
    designId: 'osmund-40a',
    kitId: 'usual',
    prepare: prepared('osmund-40a', at('RV4', 0.36)),
    steps: [
      WARM,
      {
        say: 'Key the set on the dummy load and read the power.',
        why: 'Measure first, then adjust. Otherwise nobody knows what it was.',
        hint: 'Press K. The power is shown at the right, in watts.',
        done: look => keyed(look) && power(look) > 1,
      },
      {
        say: 'Adjust RV4, the carrier preset, until the power is between 3.8 and 4.0 W.',
        why: '4 W is the limit of the rule set. Slightly below stays within it, meter error included.',
        hint: 'The buttons + and − beside RV4 turn it a little. Wait for the meter.',
        done: look => keyed(look) && between(3.75, 4.0, power(look)),
      },
      UNKEY,
      {
        say: 'Feed in a tone of 1 kHz and key again: read the depth.',
        why: 'Depth is relative to the carrier: it had to wait for it.',
        hint: 'Press "Tone on", then K.',
        done: look => keyed(look) && toneOn(look) && between(0.8, 0.98, look.truth.values.depthNegativeRatio),
      },
      UNKEY,
    ],
  },
  {
    id: 'peak',
    title: 'Peak a coil, past the top and back',
    what: 'How to find a maximum that is flat on top, with a meter that lags.',
    designId: 'osmund-27f',
    kitId: 'usual',
    prepare: prepared('osmund-27f', at('L4', -1.7)),
    steps: [
      WARM,
      {
        say: 'Key the set and read the power.',
        why:
          'A coil before a saturated output stage hides its ' +
          'state: little is missing until much is wrong.',
        hint: 'Press K.',
        done: look => keyed(look) && power(look) > 0.5,
      },
      {
        say: 'Turn the core of L4 inwards until the power no longer rises, and past it until it falls.',
        why: 'Near the top the curve is flat. Only its two sides show where the middle is.',
        hint: 'L4 is at −1.7 turns. Continue beyond 0 until the power is lower again.',
        done: look => beenAt(look.log, 'L4', p => p > 0.6),
      },
      {
        say: 'Come back to the middle between the two sides.',
        why: 'The middle of two equal readings is better than the highest reading.',
        hint: 'Between \u22120.4 and +0.4 turns.',
        done: look => Math.abs(look.state.slugs.L4!.turns) < 0.4,
      },
      UNKEY,
    ],
  },
  {
    id: 'deviation',
    title: 'Set the deviation with a tone',
    what: 'Full limiting first, then the preset; never by a whistle.',
    designId: 'osmund-27f',
    kitId: 'usual',
    prepare: prepared('osmund-27f', at('RV2', 0.76)),
    steps: [
      WARM,
      {
        say: 'Feed in the tone and key: read the deviation.',
        why: 'The limiter must be full, so that louder speech cannot deviate further.',
        hint: 'Tone on, then K.',
        done: look => keyed(look) && toneOn(look),
      },
      {
        say: 'Turn RV2 until the deviation is between 2.3 and 2.5 kHz.',
        why: '2.5 kHz is the maximum for this channel raster.',
        hint: 'RV2 counterclockwise: the button \u2212.',
        done: look => keyed(look) && between(2250, 2500, look.truth.values.deviationPositiveHz),
      },
      UNKEY,
    ],
  },
  {
    id: 'bias',
    title: 'Bias before power',
    what: 'A MOSFET without a heat sink: both presets low, gate first, then power, in short bursts.',
    designId: 'quillon-p5',
    kitId: 'test-set',
    prepare: prepared('quillon-p5', at('R36', 0), at('R41', 0)),
    steps: [
      {
        say: 'Disable the PA oscillator and key: the gate voltage can be read without a watt of RF.',
        why: 'A meter on the gate while RF is present reads wrong, and a slip kills the device.',
        hint: '"Drive off" on the panel, then K.',
        done: look => keyed(look) && look.state.controls.driveOff,
      },
      {
        say: 'Raise R36 until the gate is at 2.4 V.',
        why: 'For this kit only. 5 V would draw two amperes and destroy the device in seconds.',
        hint: 'Read the gate voltage at the multimeter. Small steps.',
        done: look => between(2.3, 2.5, look.truth.values.gateV),
      },
      UNKEY,
      {
        say: 'Enable the oscillator, key, and raise R41 to 5 W, in bursts of 5 s.',
        why: 'No heat sink: 5 s on, half a minute off.',
        hint: '"Drive on", K, R41 up, K.',
        done: look => keyed(look) && between(4.5, 5.1, power(look)),
      },
      UNKEY,
    ],
  },
  {
    id: 'twins',
    title: 'Two trimmers side by side',
    what: 'Which is which? Move one slightly and return it, without losing the other.',
    designId: 'osmund-27f',
    kitId: 'usual',
    prepare: prepared('osmund-27f', at('CT2', 0.55), at('CT3', 0.45)),
    steps: [
      WARM,
      {
        say: 'Key on channel 20 and read the frequency: it is low.',
        why: '27.79125 MHz is nominal. Target 0 to +20 Hz, since crystals fall with age.',
        hint: 'Press K.',
        done: look => keyed(look) && look.state.controls.channel === 20,
      },
      {
        say:
          'Move one of the look-alikes, CT2 or CT3, slightly and ' +
          'watch: does the frequency move? If not, return it at once.',
        why:
          'The other one belongs to the receiver. If moved, ' +
          'it must be set again with other instruments.',
        hint: 'Note its position first. One press of + and look.',
        done: look => look.log.some(l => l.action.kind === 'turn' && /^CT[23]$/.test(l.action.designator)),
      },
      {
        say: 'With the right one set 27.79125 MHz, 0 to +20 Hz. Leave the other where it was (45 %).',
        why: 'More capacitance lowers the frequency.',
        hint: 'CT2 is the transmit trimmer.',
        done: ({ state }) =>
          between(0, 20, offChannel(state)) && Math.abs(state.positions.CT3! - 0.45) < 0.001,
      },
      UNKEY,
    ],
  },
]

/** Carrier from the channel, as if it were keyed [Hz]. */
function offChannel(state: RigState): number {
  const t = truthOf(state)
  return (t.clarifierNull - 0.5) * 2000
}

/** Steps done in order: a later one counts only when those before it have been. */
export function lessonProgress(lesson: Lesson, done: number, look: LessonLook): number {
  return done < lesson.steps.length && lesson.steps[done]!.done(look) ? done + 1 : done
}
