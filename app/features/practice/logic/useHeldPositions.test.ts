import { describe, expect, it } from 'vitest'
import { useHeldPositions } from './useHeldPositions'

/** A set that answers when it is told to. */
function slowSet() {
  const answers: (() => void)[] = []
  const send = () => new Promise<void>(resolve => answers.push(resolve))
  const answer = async (which: number) => {
    answers[which]!()
    await Promise.resolve()
    await Promise.resolve()
  }
  return { send, answer }
}

describe('a position under the finger', () => {
  it('is held until the set has answered its release', async () => {
    const { send, answer } = slowSet()
    const { held, turn } = useHeldPositions(send)
    void turn('L22', -1.6, true)
    expect(held.value).toEqual({ L22: -1.6 })
    await answer(0)
    expect(held.value).toEqual({})
  })
  it('is not let go by the answer to an earlier release', async () => {
    const { send, answer } = slowSet()
    const { held, turn } = useHeldPositions(send)
    void turn('L22', -1.6, true)
    void turn('L22', -1.2, false)
    await answer(0)
    expect(held.value).toEqual({ L22: -1.2 })
    void turn('L22', -1.1, true)
    await answer(1)
    expect(held.value).toEqual({ L22: -1.1 })
    await answer(2)
    expect(held.value).toEqual({})
  })
  it('stays under the finger while it drags, and leaves the others alone', async () => {
    const { send, answer } = slowSet()
    const { held, turn } = useHeldPositions(send)
    void turn('L22', 0.4, false)
    void turn('RV5', 0.7, true)
    await answer(0)
    await answer(1)
    expect(held.value).toEqual({ L22: 0.4 })
  })
})
