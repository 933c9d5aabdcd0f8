import type { Domain, Observable } from '../observable'

export const DUMMY = 'Dummy load, max. 5 s keyed, then rest.'
export const OFF = 'Supply off and disconnected first.'

/** A test made with hands and eyes; the answer is chosen, not measured (common practice). */
export function handTest(
  domain: Domain,
  id: string,
  question: string,
  how: string,
  outcomes: Record<string, string>,
  healthy: string,
  caution: string | null = null,
  modes: Observable['modes'] = null,
): Observable {
  return { id, domain, question, outcomes, healthy, modes, source: { kind: 'test', how, caution } }
}
