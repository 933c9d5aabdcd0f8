<script setup lang="ts">
import { midSentence } from '#shared/words/sentence'
import { groupDigits } from '#core/quantity'
import { t } from '#shared/i18n'
import { computed } from 'vue'
import { passSpread, type BalanceMove, type BandPass } from '#core/run'
import { balanceWords } from '#shared/words/coachWords'
import CoachLine from './CoachLine.vue'

/** Low, middle, high, round by round; which coil next, which way, how far. */
const props = defineProps<{
  passes: readonly BandPass[]
  move: BalanceMove | null
  coils: readonly string[]
  limitDb: number
  titles: readonly string[]
}>()
const words = computed(() =>
  props.move
    ? balanceWords(props.move, props.coils)
    : {
        say: t('align.measureAllThreeChannels'),
        how: t('align.lowMiddleAndHighThenThe'),
      },
)
const signed = (db: number) => groupDigits(db, 2, true)
</script>

<template>
  <section :aria-label="t('align.balance')">
    <CoachLine :say="words.say" :how="words.how" :tone="move?.met ? 'good' : 'plain'" />
    <table v-if="passes.length > 0" class="plain">
      <thead>
        <tr>
          <th>{{ t('align.round') }}</th>
          <th>{{ titles[0] }}</th>
          <th>{{ titles[2] }}</th>
          <th>{{ t('align.spreadMaxDb', { limitDb }) }}</th>
        </tr>
      </thead>
      <tbody>
        <tr v-for="(p, i) in passes" :key="i">
          <td class="fig">{{ i + 1 }}</td>
          <td class="fig">{{ signed(p.lowDb) }} dB</td>
          <td class="fig">{{ signed(p.highDb) }} dB</td>
          <td class="fig">
            <b>{{ groupDigits(passSpread(p), 2) }} dB</b>
          </td>
        </tr>
      </tbody>
    </table>
    <p v-if="passes.length > 0" class="quiet">
      {{ t('align.relativeToTurnsAreEstimatedFrom', { title: midSentence(titles[1] ?? '') }) }}
    </p>
  </section>
</template>

<style scoped>
table {
  max-width: 560px;
}
p {
  margin: 2px 0;
  font-size: 13px;
}
</style>
