import { expect, it } from 'vitest'
import { modelSheet } from '#core/sheet'
import { leftSoWords } from './leftSoWords'

const FM = modelSheet('osmund-27f')

it('says what goes on where, and what can take it up', () => {
  const words = leftSoWords(FM, {
    errorHz: -65,
    errorPpm: -6.348,
    shifts: [
      {
        name: 'transmit frequency',
        at: [
          { channel: 1, shiftHz: -9.59 },
          { channel: 40, shiftHz: -12.06 },
        ],
        adjusters: ['CT2'],
      },
    ],
  })
  expect(words).toMatch(/^Left so, \u221265\.0.Hz \(\u22126\.3 ppm\) goes on: transmit frequency/)
  expect(words).toMatch(/\u22129\.6.Hz on channel 1, \u221212\.1.Hz on channel 40, of which CT2 can take up/)
  expect(words).toMatch(/at its stop, another fixed capacitor/)
})
it('says so where nothing else moves with it', () => {
  expect(leftSoWords(FM, { errorHz: 40, errorPpm: 1.5, shifts: [] })).toMatch(/no other frequency/)
})
