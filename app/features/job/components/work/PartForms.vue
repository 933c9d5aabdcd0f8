<script setup lang="ts">
import { t } from '#shared/i18n'
import { computed, ref } from 'vue'
import type { PartChanged, PartTested, Treated } from '#core/run'
import { partDoubts, type Owed } from '#core/work'
import { partDoubtWords } from '#shared/words/workWords'
import type { NewWorkEvent } from '../../logic/useEventForm'
import PartTestForm from './PartTestForm.vue'
import PartTestList from './PartTestList.vue'

/** Parts out and in, tests of parts, treatments. A new final says what it owes, bias first. */
defineProps<{
  changed: readonly PartChanged[]
  tested: readonly PartTested[]
  treated: readonly Treated[]
  owed: readonly Owed[]
  wrong: (field: string) => string | undefined
}>()
const emit = defineEmits<{ send: [event: NewWorkEvent, kept?: () => void] }>()
const part = ref({ designator: '', partOut: '', partIn: '', isFinal: false })
const doubts = computed(() => partDoubts(part.value.partOut, part.value.partIn))
const treatment = ref({ what: '', where: '' })
const TREATMENTS = [
  t('job.coreFreedAndReWaxed'),
  t('job.presetCleanedEndToEndTen'),
  t('job.presetReplaced'),
  t('job.glueRemoved'),
  t('job.electrolyticsRenewed'),
  t('job.jointResoldered'),
  t('job.limiterPartsRefitted'),
  t('job.trimmerFitted'),
]

function change() {
  emit('send', { kind: 'part-changed', ...part.value, text: '' }, () => {
    part.value = { designator: '', partOut: '', partIn: '', isFinal: false }
  })
}
function treat() {
  emit('send', { kind: 'treated', ...treatment.value, text: '' }, () => {
    treatment.value = { what: '', where: '' }
  })
}
</script>

<template>
  <section :aria-label="t('job.parts')">
    <h2>{{ t('job.partsReplaced') }}</h2>
    <ul>
      <li v-for="c in changed" :key="c.id">
        <b class="fig">{{ c.designator }}</b>
        {{
          t('job.removedFitted', {
            partOut: c.partOut || 'nothing',
            partIn: c.partIn,
            what: c.isFinal ? ` ${t('job.finalOrDriver')}` : '',
          })
        }}
      </li>
    </ul>
    <div v-if="owed.length" class="care">
      <b>{{ t('job.afterANewFinalInThis') }}</b>
      <ol>
        <li v-for="o in owed" :key="o.id">
          {{ o.title }} <span class="quiet">{{ o.why }}</span>
        </li>
      </ol>
    </div>
    <div class="entry parts">
      <v-text-field
        v-model="part.designator"
        :label="t('job.part')"
        placeholder="Q12"
        :error-messages="wrong('designator')"
      /><v-text-field v-model="part.partOut" :label="t('job.removed')" /><v-text-field
        v-model="part.partIn"
        :label="t('job.fitted')"
        :error-messages="wrong('partIn')"
      />
      <v-checkbox v-model="part.isFinal" :label="t('job.finalOrDriverField')" hide-details /><v-btn
        size="large"
        :disabled="!part.designator.trim() || !part.partIn.trim()"
        @click="change"
        >{{ t('job.add') }}</v-btn
      >
    </div>
    <p v-for="d in doubts" :key="d.kind" class="care" role="status">{{ partDoubtWords(d) }}</p>
  </section>
  <section :aria-label="t('job.testsOfParts')">
    <h2>
      {{ t('job.testsOfParts') }} <NuxtLink to="/parts" class="drawer">{{ t('job.stockParts') }}</NuxtLink>
    </h2>
    <PartTestList :tested="tested" />
    <PartTestForm :wrong="wrong" @send="(event, kept) => emit('send', event, kept)" />
  </section>
  <section :aria-label="t('job.otherWork')">
    <h2>{{ t('job.otherWork') }}</h2>
    <ul>
      <li v-for="done in treated" :key="done.id">{{ done.what }}{{ done.where ? `, ${done.where}` : '' }}</li>
    </ul>
    <div class="entry">
      <v-combobox
        v-model="treatment.what"
        :label="t('common.workDone')"
        :items="TREATMENTS"
        :error-messages="wrong('what')"
      /><v-text-field v-model="treatment.where" :label="t('job.where')" placeholder="L4" /><v-btn
        size="large"
        :disabled="!treatment.what?.trim()"
        @click="treat"
        >{{ t('job.add') }}</v-btn
      >
    </div>
  </section>
</template>

<style scoped>
section {
  margin-top: 20px;
}
.drawer {
  font-size: 13px;
  font-weight: 400;
  color: var(--accent);
}
ul {
  margin: 2px 0 8px;
}
.care {
  margin: 4px 0 12px;
}
.care ol {
  margin: 2px 0;
  padding-left: 20px;
}
.entry {
  display: grid;
  grid-template-columns: 2fr 1fr 104px;
  gap: 10px;
  align-items: start;
}
.entry.parts {
  grid-template-columns: 120px 1fr 1fr auto 104px;
}
@media (max-width: 760px) {
  .entry,
  .entry.parts {
    grid-template-columns: 1fr;
  }
}
</style>
