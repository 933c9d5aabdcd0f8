import { ref } from 'vue'

/**
 * Positions of adjusters that a finger holds: what arrives from the set meanwhile must not pull them back.
 * A hold ends when the set has answered its last turn, however long that takes, and never because of an
 * earlier one.
 *
 * @param send Sends one turn; settles when the set has answered
 */
export function useHeldPositions(send: (designator: string, position: number) => Promise<unknown>) {
  const held = ref<Record<string, number>>({})
  const turns = new Map<string, number>()

  /** @param released Nothing holds it any more after this turn */
  async function turn(designator: string, position: number, released: boolean): Promise<void> {
    const mine = (turns.get(designator) ?? 0) + 1
    turns.set(designator, mine)
    held.value = { ...held.value, [designator]: position }
    await send(designator, position)
    if (!released || turns.get(designator) !== mine) return
    held.value = Object.fromEntries(Object.entries(held.value).filter(([d]) => d !== designator))
  }

  return { held, turn }
}
