import { t } from '#shared/i18n'
import type { RuleLimit, RuleSet } from '#core/rules'
import type { LimitBody, OwnRuleSet, RuleSetBody } from './ruleSet'

/** Sets that were kept before a rule set could have a mask and limits in watts have none. */
export function completeBody(kept: Partial<RuleSetBody>): RuleSetBody {
  return { mask: [], adjacent: null, spurious: null, ...kept } as RuleSetBody
}

/** What judging needs of a set of one's own. */
export function toRuleSet({ id, body }: OwnRuleSet): RuleSet {
  const { note, limits, mask, adjacent, spurious, ...rest } = completeBody(body)
  return {
    ...rest,
    id,
    planId: rest.planId ?? null,
    alsoSays: note.split('\n').filter(line => line.trim() !== ''),
    limits: limits.map(l => toLimit(l, rest.source)),
    mask,
    adjacent: adjacent && { ...adjacent, confidence: 'practice' },
    spurious: spurious && { ...spurious, confidence: 'practice' },
  }
}

function toLimit(l: LimitBody, source: string): RuleLimit {
  const some = <K extends string>(key: K, value: number | null) =>
    value === null ? {} : ({ [key]: value } as Record<K, number>)
  return {
    id: l.id,
    quantity: l.quantity,
    words: l.words,
    source,
    confidence: 'practice',
    ...(l.lowPower === null ? {} : { lowPower: l.lowPower }),
    ...(l.modes.length > 0 ? { modes: l.modes } : {}),
    bound: {
      ...some('low', l.low),
      ...some('high', l.high),
      ...some('errorHz', l.errorHz),
      ...some('errorPpm', l.errorPpm),
    },
  }
}

/** A built-in set as a starting point for one's own. */
export function toBody(set: RuleSet): RuleSetBody {
  return {
    name: t('form.own', { name: set.name }),
    kind: set.kind,
    region: set.region,
    planId: set.planId,
    source: set.source,
    asOf: set.asOf,
    fromMemory: set.fromMemory,
    note: set.alsoSays.join('\n'),
    limits: set.limits.map(l => ({
      id: l.id,
      quantity: l.quantity,
      modes: [...(l.modes ?? [])],
      lowPower: l.lowPower ?? null,
      low: l.bound.low ?? null,
      high: l.bound.high ?? null,
      errorHz: l.bound.errorHz ?? null,
      errorPpm: l.bound.errorPpm ?? null,
      words: l.words,
    })),
    mask: set.mask.map(p => ({ ...p, modes: [...p.modes] })),
    adjacent: set.adjacent && { id: set.adjacent.id, maxW: set.adjacent.maxW },
    spurious: set.spurious && {
      id: set.spurious.id,
      protectedMaxW: set.spurious.protectedMaxW,
      otherMaxW: set.spurious.otherMaxW,
    },
  }
}
