<script setup lang="ts">
import type { MenuFormat } from '#core/quantity'
import type { StepState } from '#core/run'
import type { useAlignCoach } from '../logic/useAlignCoach'
import { balanceCoils } from '../logic/alignView'
import { codeWords, settingWords } from '#shared/words/coachWords'
import { lawWords } from '#shared/words/lawWords'
import CoachLine from './coach/CoachLine.vue'
import { BalanceCoach, BeatCoach, BiasCoach, HandsCoach, MenuCoach, WarmCoach } from './coach/laterCoaches'
import PeakCoach from './coach/PeakCoach.vue'

/**
 * What helps at this step, in the order in which it is needed: warm first, hands, then the one that fits what
 * is turned.
 */
const props = defineProps<{
  state: StepState
  coach: ReturnType<typeof useAlignCoach>
  left: (entry: string) => number | null
  formatOf: (entry: string) => MenuFormat
  canTake: boolean
  byEar: boolean
}>()
const emit = defineEmits<{ pass: [reason: string]; takeCode: [code: number]; takeBeat: [offHz: number] }>()
const originals = () =>
  (props.state.step.actions ?? [])
    .flatMap(a => (a.kind === 'power-cycle' ? a.reread : []))
    .flatMap(entry => {
      const code = props.left(entry)
      return code === null ? [] : [{ entry, words: codeWords(code, props.formatOf(entry)) }]
    })
const c = props.coach
</script>

<template>
  <div class="coaches">
    <WarmCoach
      v-if="c.gate.value"
      :gate="c.gate.value"
      :passed-at-ms="c.passedAtMs.value"
      @pass="r => emit('pass', r)"
    />
    <HandsCoach v-if="state.step.actions?.length" :actions="state.step.actions" :originals="originals()" />
    <BiasCoach v-if="state.step.bias && state.bias" :rule="state.step.bias" :state="state.bias" />
    <MenuCoach
      v-if="c.menu.value"
      :key="c.menu.value.entry"
      v-bind="c.menu.value"
      :can-take="canTake"
      @take="code => emit('takeCode', code)"
    />
    <CoachLine
      v-if="c.law.value"
      v-bind="lawWords(c.law.value, formatOf(c.law.value.designator))"
      tone="plain"
    />
    <BalanceCoach
      v-if="c.balance.value"
      :passes="c.balance.value.rounds.passes"
      :move="c.balance.value.next"
      :coils="balanceCoils(state.step)"
      :limit-db="c.balance.value.limitDb"
      :titles="state.step.points.map(p => p.title)"
    />
    <PeakCoach
      v-if="c.peakable.value && c.peaked.value"
      :on="c.peak.on.value"
      :last="c.peak.last.value"
      :looks="c.peak.looks.value"
      :below-db="c.peak.belowDb.value"
      :best="c.peak.best.value"
      :rising="c.peak.trend.value"
      :peaked="c.peaked.value"
      :choices="c.choices.value"
      :value="c.shownValue.value"
      :passes="state.criterion?.passes ?? null"
      :gain-db="state.criterion?.kind === 'peak' ? state.criterion.valueDb : null"
      :limit-db="state.criterion?.kind === 'peak' ? state.criterion.limitDb : null"
      @begin="c.peak.begin"
      @end="c.peak.end"
      @choose="c.choosePeak"
    />
    <CoachLine
      v-else-if="
        c.advice.value && (!c.gate.value || c.gate.value.state === 'open' || c.passedAtMs.value !== null)
      "
      v-bind="
        settingWords(
          c.advice.value,
          c.adjusters.value.length === 1 ? c.adjusters.value[0]!.raisedBy : undefined,
        )
      "
      :tone="c.advice.value.kind === 'there' ? 'good' : 'plain'"
    />
    <BeatCoach v-if="byEar" @take="hz => emit('takeBeat', hz)" />
  </div>
</template>
