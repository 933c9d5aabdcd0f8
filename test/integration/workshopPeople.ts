import { randomUUID } from 'node:crypto'
import { expect } from 'vitest'
import type { Me, Person } from '../../shared/people'
import { Visitor } from './visitor'

export const OWNER = { name: 'Mirela Quist', password: 'two locks and a weir' }
/** of everybody whom the owner adds */
export const PASSWORD = 'barges go by at noon'

export const me = async (visitor: Visitor) => (await visitor.request('GET', '/api/me')).body as Me

/** Somebody whom the owner has added, signed in. */
export async function added(owner: Visitor, name: string, role: Person['role']): Promise<Visitor> {
  const made = await owner.request('POST', '/api/people', {
    id: randomUUID(),
    name,
    role,
    password: PASSWORD,
  })
  expect(made.status).toBe(201)
  const visitor = new Visitor(owner.address)
  expect(await visitor.signIn(name, PASSWORD)).toBe(204)
  return visitor
}
