import { describe, expect, it } from 'vitest'
import { OSMUND_27F } from '../../../sheet/osmund27f/sheet'
import { OSMUND_40A } from '../../../sheet/osmund40a/sheet'
import { CAUSES } from '.'
import type { TestMade } from '../observable'
import { OBSERVABLES } from '../observables'
import { first, made } from '../../../../test/fixtures/faults/finding'

/**
 * Worked patterns of the fault catalogue: numbers, then the cause that must lead, and the same with its
 * witness turned round.
 */
describe('patterns of the catalogue', () => {
  it('F53: middle right, one end weak: coils; a core without effect makes it F71', () => {
    const tilted = {
      powerW: (c: number) => {
        if (c < 10) return 2.1
        return c > 30 ? 4.1 : 3.6
      },
      lowPowerW: 0.35,
    }
    expect(first(OSMUND_27F, tilted, 'power')).toBe('coils-off')
    expect(
      first(OSMUND_27F, { ...tilted, powerW: c => tilted.powerW(c) * 0.4 }, 'power', [made('cores', 'dead')]),
    ).toBe('broken-core')
  })
  it('F20: a third of the power at full current, falling while keyed: the final; steady and cool: not', () => {
    const third = { powerW: () => 0.9, lowPowerW: 0.09, keyedA: 1.4 }
    expect(first(OSMUND_27F, third, 'power', [made('holds', 'falls'), made('final-heat', 'hot')])).toBe(
      'counterfeit-final',
    )
    expect(
      first(OSMUND_27F, third, 'power', [
        made('holds', 'steady'),
        made('final-heat', 'cool'),
        made('cores', 'off'),
      ]),
    ).not.toBe('counterfeit-final')
  })
  it('F07: AM carrier of 20 W, no depth, a dead control: the regulator; a control that acts: not', () => {
    const runaway = { powerW: () => 20, keyedA: 2.5, depthAt: () => 0.02 }
    expect(first(OSMUND_40A, runaway, 'power', [made('travel', 'nothing')])).toBe('regulator-shorted')
    expect(first(OSMUND_40A, { powerW: () => 5.5, keyedA: 1.5 }, 'power', [made('travel', 'acts')])).toBe(
      'carrier-high-set',
    )
  })
  it('C39: 12.0 V at the set explains 2.9 W; with 13.8 V it does not', () => {
    expect(first(OSMUND_27F, { powerW: () => 2.9, lowPowerW: 0.28, supplyV: 12 }, 'power')).toBe('supply-low')
    expect(first(OSMUND_27F, { powerW: () => 2.9, lowPowerW: 0.28 }, 'power')).not.toBe('supply-low')
  })
  it('F21: a low position of 1.2 W is the preset; one that equals high power is the switch', () => {
    expect(first(OSMUND_27F, { lowPowerW: 1.2 }, 'power')).toBe('low-preset-off')
    expect(first(OSMUND_27F, { lowPowerW: 3.8 }, 'power')).toBe('low-switch-dead')
  })
  it(
    'F23: panel at half while the bench is right: its calibration; bench ' +
      'low with full current and panel right: the bench meter',
    () => {
      expect(first(OSMUND_27F, { panelRatio: 0.5 }, 'power')).toBe('panel-meter')
      expect(first(OSMUND_27F, { meterRatio: 0.5 }, 'power')).toBe('bench-meter')
    },
  )
  it(
    'F32: reference 40 ppm low while channel 20 is exact: hidden; ' +
      'transmit low and reference right: the transmit crystal',
    () => {
      const slope = (c: number) => (c - 20) * 10_000 * -40e-6
      expect(first(OSMUND_27F, { referencePpm: -40, txErrorHz: slope }, 'frequency')).toBe('reference-hidden')
      expect(first(OSMUND_27F, { txErrorHz: () => -300 }, 'frequency', [made('trimmer', 'reaches')])).toBe(
        'tx-trimmer-off',
      )
      expect(first(OSMUND_27F, { txErrorHz: () => -391 }, 'frequency', [made('trimmer', 'stops')])).toBe(
        'crystal-out-of-reach',
      )
    },
  )
  it('F04: depth that follows the drive is a missing limiter, depth that stays high a preset at its end', () => {
    expect(first(OSMUND_40A, { depthAt: db => 1.25 * 10 ** (db / 20) }, 'modulation')).toBe('limiter-missing')
    expect(first(OSMUND_40A, { depthAt: () => 1.3 }, 'modulation')).toBe('modulation-preset-end')
  })
  it('F02: crest flattened by 0.8 dB at 90 %: no headroom', () => {
    expect(first(OSMUND_40A, { pepMostW: 11 }, 'modulation')).toBe('no-headroom')
  })
  it('F55, F54: deviation above its target, and a dirty preset', () => {
    expect(first(OSMUND_27F, { deviationHz: { up: 3100, down: 3050 } }, 'modulation')).toBe(
      'deviation-preset-high',
    )
    expect(
      first(OSMUND_27F, { deviationHz: { up: 600, down: 600 } }, 'modulation', [
        made('preset-feel', 'jumps'),
      ]),
    ).toBe('dirty-preset')
  })
  it('F03: held by the limiter and yet past full depth, the meter alone rising: audio or limiter down', () => {
    const over = { depthAt: (db: number) => 1.15 * Math.min(1.03, 10 ** (db / 20)) }
    expect(
      first(OSMUND_40A, over, 'modulation', [
        made('past-full', 'meter-alone'),
        made('limiter-parts', 'there'),
      ]),
    ).toBe('audio-too-high')
    expect(
      first(OSMUND_40A, { depthAt: (db: number) => 1.15 * 10 ** (db / 20) }, 'modulation', [
        made('limiter-parts', 'missing'),
      ]),
    ).not.toBe('audio-too-high')
  })
  it('F38: threshold eight times too high with the meter low: the front end; the meter alone: its preset', () => {
    expect(
      first(
        OSMUND_40A,
        { thresholdRatio: 8, sMeterUnits: 5.8, sinadDb: { high: 0.5, low: 0.1 } },
        'receiver',
      ),
    ).toBe('front-end')
    expect(first(OSMUND_40A, { sMeterUnits: 6 }, 'receiver')).toBe('s-preset')
    expect(
      first(OSMUND_40A, { thresholdRatio: 5, sMeterUnits: 9, sinadDb: { high: 2, low: 0.3 } }, 'receiver'),
    ).toBe('compensated-meter')
  })
  it('F39: SINAD that hardly falls with the level is leakage', () => {
    expect(first(OSMUND_40A, { sinadDb: { high: 19, low: 18 } }, 'receiver')).toBe('leakage')
  })
  it('F44: the device that lets the current fall when it is taken out was the short', () => {
    const at = (...more: TestMade[]) => first(OSMUND_27F, {}, 'supply', [made('idle', 'at-limit'), ...more])
    expect(at(made('lift-final', 'falls'))).toBe('shorted-final')
    expect(at(made('lift-final', 'stays'), made('lift-driver', 'falls'))).toBe('shorted-driver')
    expect(
      at(made('lift-final', 'stays'), made('lift-driver', 'stays'), made('input-ohms', 'short-both')),
    ).toBe('polarity-diode')
  })
})

describe('the catalogue', () => {
  it('asks only questions that exist, with outcomes that they have, and probabilities that can be', () => {
    for (const cause of CAUSES) {
      for (const [id, shows] of Object.entries(cause.shows)) {
        const observable = OBSERVABLES.find(o => o.id === id)
        expect(observable, `${cause.id}: ${id}`).toBeDefined()
        for (const outcome of Object.keys(shows))
          expect(Object.keys(observable!.outcomes), `${cause.id}: ${id}`).toContain(outcome)
        expect(
          Object.values(shows).reduce((a, b) => a + b, 0),
          `${cause.id}: ${id}`,
        ).toBeLessThanOrEqual(1.000001)
      }
    }
    expect(new Set(CAUSES.map(c => c.id)).size).toBe(CAUSES.length)
    expect(new Set(OBSERVABLES.map(o => o.id)).size).toBe(OBSERVABLES.length)
    for (const o of OBSERVABLES) expect(Object.keys(o.outcomes)).toContain(o.healthy)
  })
})
