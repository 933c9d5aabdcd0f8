<script setup lang="ts">
import { stepOf, type ModelSheet, type Measurand } from '#core/sheet'
import { quantityInfo, showPlain } from '#core/quantity'
import { windowWords } from '#shared/words/verdictWords'

const props = defineProps<{ sheet: ModelSheet }>()
function targetWords(want: Measurand): string {
  const { target, quantity } = want
  if (!target) return ''
  switch (target.kind) {
    case 'window':
      return windowWords(target.window.low, target.window.high, quantity, null)
    case 'channel-error':
      return `channel ${target.lowHz} to +${target.highHz} Hz`.replace('-', '\u2212')
    case 'nominal-error':
      return `${showPlain(target.nominalHz, quantity)} \u00b1${target.highHz} Hz`
    case 'above-reading':
      return (
        `${showPlain(target.low, quantity)} to ` +
        `${showPlain(target.high, quantity)} more than at "${target.pointId}"`
      )
    case 'like-reading':
      return (
        `as measured in "${stepOf(props.sheet, target.stepId).title}", ` +
        `${Math.round((target.highRatio - 1) * 100)} % either way`
      )
  }
}
const points = (s: ModelSheet['procedure'][number]) =>
  s.points.map(p => ({
    title: p.title,
    wants: p.wants
      .map(w => `${quantityInfo(w.quantity).label}${targetWords(w) ? `: ${targetWords(w)}` : ''}`)
      .join('; '),
  }))
const criterion = (s: ModelSheet['procedure'][number]) => {
  if (!s.criterion) return ''
  return s.criterion.kind === 'spread'
    ? `spread max. ${s.criterion.maxDb} dB`
    : `until a pass gains less than ${s.criterion.gainDb} dB`
}
</script>

<template>
  <table class="plain">
    <thead>
      <tr>
        <th>Step</th>
        <th>Instruction, reason</th>
        <th>Measured, target</th>
        <th>Adjusters</th>
        <th>Depends on</th>
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
        <td class="fig">{{ s.adjusters.join(' ') || 'none' }}</td>
        <td class="fig">
          {{ s.needs.join(' ') || '\u2013'
          }}<span v-if="s.skipIf" class="quiet"><br />not needed if {{ s.skipIf }} is within tolerance</span>
        </td>
      </tr>
    </tbody>
  </table>
</template>
