<script setup lang="ts">
import { t } from '#shared/i18n'
import { QUANTITIES } from '#core/quantity'
import type { ComparedCell } from '#core/run'
import {
  SIDE_WORDS,
  cellName,
  compareGauge,
  gaugeDecimals,
  isJudged,
  lastSide,
  rangeWords,
  shownCell,
  type Side,
} from '#shared/words/compareGauge'
import { levelChangeWords } from '#shared/words/levelChangeWords'
import { differenceWords } from '#shared/words/runWords'
import { statusWord } from '#shared/words/verdictWords'
import ForkGauge from '~/ui/gauge/ForkGauge.vue'
import StateMark from '~/ui/gauge/StateMark.vue'

defineProps<{ cells: readonly ComparedCell[]; stale: ReadonlySet<string>; sides: readonly Side[] }>()
</script>

<template>
  <table class="plain compare">
    <thead>
      <tr>
        <th>{{ t('job.row') }}</th>
        <th>{{ t('common.quantity') }}</th>
        <th v-for="s in sides" :key="s">{{ t(SIDE_WORDS[s]) }}</th>
        <th>{{ sides.length === 2 ? t('job.change') : '' }}</th>
        <th>{{ t('job.tolerance') }}</th>
      </tr>
    </thead>
    <tbody>
      <tr v-for="(c, i) in cells" :key="i">
        <td>{{ c.point.title }}</td>
        <td>{{ cellName(c) }}</td>
        <td v-for="side in sides" :key="side" class="num">
          <template v-if="shownCell(c[side])">
            <span class="v" :class="{ plain: !isJudged(c) }"
              ><StateMark
                v-if="isJudged(c)"
                :mark="side === 'after' && stale.has(c.point.id) ? 'stale' : c[side].judgement!.verdict"
              />{{ ' ' }}
              <b class="fig">{{ shownCell(c[side])!.value }}&#8239;{{ shownCell(c[side])!.unit }}</b
              >{{ ' ' }} <span class="quiet fig">{{ shownCell(c[side])!.plusMinus ?? '' }}</span></span
            >
            <span v-if="isJudged(c)" class="quiet word">{{
              side === 'after' && stale.has(c.point.id)
                ? t('job.recheck')
                : statusWord(c[side].judgement!.verdict)
            }}</span>
          </template>
          <span v-else class="quiet">{{ t('common.notMeasured') }}</span>
        </td>
        <td>
          <ForkGauge
            v-if="isJudged(c) && (c.before.latest || c.after.latest)"
            compact
            :values="compareGauge(c)"
            :unit="QUANTITIES[c.want.quantity].shownUnit"
            :decimals="gaugeDecimals(c)"
            :mark="c[lastSide(sides)].judgement?.verdict ?? null"
          />
          <span v-if="sides.length === 2 && levelChangeWords(c)" class="quiet differ">{{
            levelChangeWords(c)
          }}</span>
          <span v-if="c.differences && c.differences.length > 0" class="quiet differ">{{
            t('job.notComparable', { list: c.differences.map(differenceWords).join(', ') })
          }}</span>
        </td>
        <td class="quiet fig">{{ rangeWords(c) }}</td>
      </tr>
    </tbody>
  </table>
</template>

<style scoped>
.compare td {
  padding-top: 6px;
  padding-bottom: 6px;
  vertical-align: middle;
}
.v {
  display: flex;
  align-items: center;
  gap: 7px;
  white-space: nowrap;
}
.num .quiet {
  font-size: 12px;
}
.num .word {
  display: block;
  padding-left: 21px;
  line-height: 1.1;
}
.v.plain {
  padding-left: 21px;
}
.v b {
  font-weight: 600;
}
.differ {
  font-size: 12.5px;
  display: block;
}
td.quiet {
  font-size: 12.5px;
}
</style>
