<script setup lang="ts">
import { groupDigits } from '#core/quantity'
import type { JudgedSignal } from '#core/signal'
import { t } from '#shared/i18n'
import { dayAndTime } from '#shared/words/dateWords'
import { findingWords, verdictLine } from '#shared/words/signalWords'
import type { Picture } from '../logic/pictures/signalPictures'
import type { OpenRecording } from '../logic/openRecording'
import FigureTable from './FigureTable.vue'
import SignalPicture from './SignalPicture.vue'

/** What a recording says: the verdict, its figures, pictures, and what limits them. */
defineProps<{
  shown: OpenRecording
  judged: JudgedSignal
  against: OpenRecording | null
  second: JudgedSignal | null
  ruleSet: string
  wattLimit: string | null
  pictures: readonly Picture[]
  night: boolean
}>()
const emit = defineEmits<{ json: []; annotated: [] }>()
</script>

<template>
  <div>
    <p class="verdict" role="status">{{ verdictLine(judged) }}</p>
    <ul v-if="judged.findings.length > 1" class="rest">
      <li v-for="(f, n) in judged.findings.slice(1).filter(f => f.kind !== 'neighbours')" :key="n">
        {{ findingWords(f) }}
      </li>
    </ul>
    <p class="quiet what">
      {{
        t('signals.sAtKsSRuleSet', {
          name: shown.name,
          durationS: groupDigits(shown.measured.measurement.durationS, 2),
          sampleRateHz: groupDigits(shown.measured.measurement.sampleRateHz / 1000, 1),
          mode: judged.mode ?? shown.measured.measurement.mode ?? t('common.noSignal'),
          channel: judged.channel ? t('signals.channel', { channel: judged.channel }) : '',
          ruleSet: ruleSet,
        })
      }}<span v-if="shown.kept">{{
        t('signals.saved', { dayAndTime: dayAndTime(shown.kept.createdAtMs) })
      }}</span
      >.
      <button type="button" class="text-button" @click="emit('json')">
        {{ t('signals.allFiguresAsJson') }}</button>{{ ' ' }}
      <button v-if="judged.mode" type="button" class="text-button ml-4" @click="emit('annotated')">
        {{ t('signals.sigmfWithAnnotations') }}
      </button>
    </p>
    <FigureTable
      part="judged"
      :judged="judged"
      :measurement="shown.measured.measurement"
      :second="second"
      :second-measurement="against?.measured.measurement ?? null"
      :watt-limit="wattLimit"
    />
    <div class="pictures">
      <SignalPicture v-for="p in pictures" :key="p.id" :picture="p" :night="night" :name="shown.name" />
    </div>
    <FigureTable
      part="others"
      :carrier-w="shown.options.carrierW"
      class="others"
      :judged="judged"
      :measurement="shown.measured.measurement"
      :second="second"
      :second-measurement="against?.measured.measurement ?? null"
    />
    <details class="notes">
      <summary>
        {{ t('signals.referencesAndLimitations', { count: shown.measured.measurement.notes.length }) }}
      </summary>
      <ul>
        <li v-for="(n, k) in shown.measured.measurement.notes" :key="k">{{ n.words }}</li>
      </ul>
    </details>
  </div>
</template>

<style scoped>
.verdict {
  font-size: 22px;
  font-weight: 650;
  margin: 18px 0 4px;
  max-width: 60ch;
  line-height: 1.25;
}
.rest {
  margin: 0 0 6px;
}
.what {
  margin: 0 0 10px;
}
.others {
  margin-top: 22px;
}
.pictures {
  display: grid;
  grid-template-columns: repeat(2, minmax(0, 1fr));
  gap: 18px 28px;
  margin-top: 20px;
}
.notes {
  margin-top: 16px;
}
.notes summary {
  min-height: 44px;
  cursor: pointer;
  padding-top: 10px;
}
@media (max-width: 900px) {
  .pictures {
    grid-template-columns: 1fr;
  }
}
</style>
