import { isDatabaseAway } from '../db/errors'
import { pool } from '../db/pool'
import { markSeen, selectEntrance, type Entrance } from '../db/queries/session'
import { endAllStreams, endStreams } from './openStreams'

/** So many sessions are remembered for when the database is away. */
const MAX_REMEMBERED = 500
const remembered = new Map<string, Entrance>()

/**
 * The workshop, and who a cookie belongs to. While the database is away it is whoever it was when that was
 * last seen: readings go on, and nothing is stored anyway.
 * @param token hash of the cookie; null = there is none
 * @throws what the database throws, for a cookie that was not seen before
 */
export async function entranceOf(token: Buffer | null): Promise<Entrance> {
  const key = token?.toString('base64') ?? ''
  try {
    const entrance = await selectEntrance(pool, token)
    remember(key, entrance)
    if (token && entrance.isUnmarked) await markSeen(pool, token)
    return entrance
  } catch (error) {
    const before = remembered.get(key)
    if (!isDatabaseAway(error) || !before) throw error
    return before
  }
}

/** A session that ended is not let in when the database goes, and hears nothing more. */
export function forget(token: Buffer): void {
  remembered.delete(token.toString('base64'))
  endStreams(token)
}
/** Somebody's sessions ended, or his role is another: everybody is looked up anew. */
export function forgetAll(): void {
  remembered.clear()
  endAllStreams()
}

function remember(key: string, entrance: Entrance) {
  remembered.delete(key)
  remembered.set(key, entrance)
  if (remembered.size > MAX_REMEMBERED) remembered.delete(remembered.keys().next().value!)
}
