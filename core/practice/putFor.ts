import { act, advance, rigDesign, type RigAction, type RigState } from '../rig'
import { modulationOf, type MeasurePoint } from '../sheet'

/** Audio drive when a row does not say [V]: AM and FM full, so that the limiter holds. */
const DRIVE_V = 0.03
const FM_DRIVE_V = 0.1
/** Oscillators lock and the needle settles [s]. */
const SETTLES_S = 3
const KEYED_FOR_S = 0.4

/**
 * The set put as a row of its sheet asks: mode, channel, power, key, tone, generator.
 * Its adjusters stay where they are; a control that the row names in words is not moved, so such rows are
 * only as good as the hand that set them.
 */
export function putFor(state: RigState, { state: asked }: MeasurePoint): RigState {
  const design = rigDesign(state.designId)
  const mode = design.modes.includes(asked.mode) ? asked.mode : state.controls.mode
  const quiet = does(
    state,
    {
      kind: 'control',
      controls: {
        powerOn: true,
        keyed: false,
        mode,
        channel: asked.channel ?? state.controls.channel,
        lowPower: asked.lowPower,
        coverage: asked.coverage,
        driveOff: /no drive|oscillator disabled/.test(asked.setting),
        micGain: 1,
      },
    },
    { kind: 'stimulus', stimulus: { tones: [], inputV: asked.inputV ?? 0 } },
  )
  const settled = advance(quiet, SETTLES_S)
  return asked.keyed
    ? advance(
        does(
          settled,
          { kind: 'stimulus', stimulus: { tones: tonesOf(asked) } },
          { kind: 'control', controls: { keyed: true } },
        ),
        KEYED_FOR_S,
      )
    : settled
}

function tonesOf(asked: MeasurePoint['state']): { hz: number; v: number }[] {
  const { toneHz, toneV, mode } = asked
  const v = toneV ?? (mode === 'FM' ? FM_DRIVE_V : DRIVE_V)
  if (modulationOf(asked) === 'two-tones')
    return [
      { hz: 700, v: v / 2 },
      { hz: 1900, v: v / 2 },
    ]
  return toneHz === null ? [] : [{ hz: toneHz, v }]
}

function does(state: RigState, ...actions: RigAction[]): RigState {
  return actions.reduce((s, a) => act(s, a).state, state)
}
