<script setup lang="ts">
import { quantityLabel } from '#shared/words/quantityWords'
import { t } from '#shared/i18n'
import { stepOf, type ModelSheet, type Measurand } from '#core/sheet'
import { showPlain, numberForField } from '#core/quantity'
import { windowWords } from '#shared/words/verdictWords'

const props = defineProps<{ sheet: ModelSheet }>()
function targetWords(want: Measurand): string {
  const { target, quantity } = want
  if (!target) return ''
  switch (target.kind) {
    case 'window':
      return windowWords(target.window.low, target.window.high, quantity, null)
    case 'channel-error':
      return t('sheet.channelToHz', { lowHz: target.lowHz, highHz: target.highHz }).replace('-', '\u2212')
    case 'nominal-error':
      return `${showPlain(target.nominalHz, quantity)} \u00b1${numberForField(target.highHz)} Hz`
    case 'above-reading':
      return t('sheet.toMoreThanAt', {
        low: showPlain(target.low, quantity),
        high: showPlain(target.high, quantity),
        pointId: target.pointId,
      })
    case 'like-reading':
      return t('sheet.asMeasuredInEitherWay', {
        title: stepOf(props.sheet, target.stepId).title,
        highRatio: Math.round((target.highRatio - 1) * 100),
      })
  }
}
const points = (s: ModelSheet['procedure'][number]) =>
  s.points.map(p => ({
    title: p.title,
    wants: p.wants
      .map(w => `${quantityLabel(w.quantity)}${targetWords(w) ? `: ${targetWords(w)}` : ''}`)
      .join('; '),
  }))
const criterion = (s: ModelSheet['procedure'][number]) => {
  if (!s.criterion) return ''
  return s.criterion.kind === 'spread'
    ? t('sheet.spreadMaxDb', { maxDb: s.criterion.maxDb })
    : t('sheet.untilAPassGainsLessThan', { gainDb: s.criterion.gainDb })
}
</script>

<template>
  <table class="plain">
    <thead>
      <tr>
        <th>{{ t('sheet.step') }}</th>
        <th>{{ t('sheet.instructionReason') }}</th>
        <th>{{ t('sheet.measuredTarget') }}</th>
        <th>{{ t('sheet.adjusters') }}</th>
        <th>{{ t('sheet.dependsOn') }}</th>
      </tr>
    </thead>
    <tbody>
      <tr v-for="s in sheet.procedure" :key="s.id">
        <td>
          <b class="fig">{{ s.id }}</b><br />{{ s.title }}
        </td>
        <td>
          {{ s.instruction }}<br /><span class="quiet">{{ s.why }}</span>
        </td>
        <td>
          <div v-for="p in points(s)" :key="p.title">
            <span class="quiet">{{ p.title }}</span> {{ p.wants }}
          </div>
          <div>{{ criterion(s) }}</div>
        </td>
        <td class="fig">{{ s.adjusters.join(' ') || t('sheet.none') }}</td>
        <td class="fig">
          {{ s.needs.join(' ') || '\u2013'
          }}<span v-if="s.skipIf" class="quiet"
            ><br />{{ t('sheet.notNeededIfIsWithinTolerance', { skipIf: s.skipIf }) }}</span
          >
        </td>
      </tr>
    </tbody>
  </table>
</template>
