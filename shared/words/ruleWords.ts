import { t } from '#shared/i18n'
import { showSmallPower, numberForField } from '#core/quantity'
import { MASK_END_HZ, PROTECTED_HZ, type MaskPart, type RuleSet } from '#core/rules'

const kilohertz = (hz: number) => numberForField(hz / 1000, 6)

function partWords({ fromHz, toHz, belowDb, addsPowerDb }: MaskPart): string {
  const down = addsPowerDb ? t('rules.n10LogP', { belowDb }) : belowDb
  const where =
    toHz >= MASK_END_HZ
      ? t('rules.beyondKhz', { kilohertz: kilohertz(fromHz) })
      : t('rules.fromToKhz', { fromKhz: kilohertz(fromHz), toKhz: kilohertz(toHz) })
  return t('rules.dbDown', { down, where })
}

/** The emission mask of a rule set, one line for each group of modes. */
export function maskWords(mask: readonly MaskPart[]): string[] {
  const groups = new Map<string, MaskPart[]>()
  for (const part of mask) {
    const modes = part.modes.join(', ')
    groups.set(modes, [...(groups.get(modes) ?? []), part])
  }
  return [...groups].map(([modes, parts]) =>
    t('rules.maskWords', { modes, list: parts.map(partWords).join('; ') }),
  )
}

/** Bands in which spurious emissions are limited more strictly. */
export const protectedBandsWords = `${PROTECTED_HZ.map(band => band.map(hz => hz / 1e6).join('-')).join(', ')} MHz`

/** Limits in watts beside the carrier, each with its number. */
export function powerLimitWords({ adjacent, spurious }: RuleSet): { id: string; words: string }[] {
  const lines = []
  if (adjacent)
    lines.push({
      id: adjacent.id,
      words: t('rules.adjacentChannelMax', { maxW: showSmallPower(adjacent.maxW) }),
    })
  if (spurious) {
    const [strict, other] = [spurious.protectedMaxW, spurious.otherMaxW].map(showSmallPower)
    const words = t('rules.spuriousMaxInElsewhere', { strict, protectedBandsWords, other })
    lines.push({ id: spurious.id, words: spurious.words ?? words })
  }
  return lines
}
