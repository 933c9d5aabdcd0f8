import { groupDigits } from '#core/quantity'
import type { PowerTried } from '#core/run'
import { partsOut, type IsolationFinding, type IsolationTry } from '#core/work'
import { t, type MessageCode } from '#shared/i18n'
import { POWER_SEEN_WORDS } from './workWords'
import { midSentence } from './sentence'

/** What was seen on the current-limited supply: "normal, 0.46 A, without the first final". */
export const triedWords = (tried: Pick<PowerTried, 'seen' | 'idleA' | 'partsOut'>): string =>
  [
    midSentence(t(POWER_SEEN_WORDS[tried.seen])),
    tried.idleA === null ? '' : `${groupDigits(tried.idleA, 2)}\u2009A`,
    partsOut(tried).length > 0 ? t('work.withoutParts', { list: partsOut(tried).join(', ') }) : '',
  ]
    .filter(Boolean)
    .join(', ')

const FINDING_WORDS: Readonly<Record<IsolationFinding['kind'], MessageCode>> = {
  'fell-without': 'work.currentFellWithout',
  'back-with': 'work.faultBackWith',
  'still-without': 'work.faultStillWithout',
  'holds-with': 'work.holdsWith',
  'over': 'work.isolationOver',
}

/** What one try says beside the one before it; empty = nothing. */
export const findingWords = (says: IsolationFinding | null): string =>
  says ? t(FINDING_WORDS[says.kind], { list: says.parts.join(', ') }) : ''

/** The way of an isolation for the paper of the workshop, a line for each try that says something. */
export const isolationLines = (tries: readonly IsolationTry[]): string[] =>
  tries.flatMap(({ tried, says }) =>
    says ? [t('work.isolationLine', { tried: triedWords(tried), finding: findingWords(says) })] : [],
  )

/** Names of parts as they are typed, between commas. */
export const partsTyped = (text: string): string[] => [
  ...new Set(
    text
      .split(/[,;]/)
      .map(p => p.trim())
      .filter(p => p !== ''),
  ),
]
