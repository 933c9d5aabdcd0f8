<script setup lang="ts">
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
  'core freed and re-waxed',
  'preset cleaned, end to end ten times',
  'preset replaced',
  'glue removed',
  'electrolytics renewed',
  'joint resoldered',
  'limiter parts refitted',
  'trimmer fitted',
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
  <section aria-label="Parts">
    <h2>Parts replaced</h2>
    <ul>
      <li v-for="c in changed" :key="c.id">
        <b class="fig">{{ c.designator }}</b> {{ c.partOut || 'nothing' }} removed, {{ c.partIn }} fitted{{
          c.isFinal ? ' (final or driver)' : ''
        }}
      </li>
    </ul>
    <div v-if="owed.length" class="care">
      <b>After a new final, in this order:</b>
      <ol>
        <li v-for="o in owed" :key="o.id">
          {{ o.title }} <span class="quiet">{{ o.why }}</span>
        </li>
      </ol>
    </div>
    <div class="entry parts">
      <v-text-field
        v-model="part.designator"
        label="Part"
        placeholder="Q12"
        :error-messages="wrong('designator')"
      /><v-text-field v-model="part.partOut" label="Removed" /><v-text-field
        v-model="part.partIn"
        label="Fitted"
        :error-messages="wrong('partIn')"
      />
      <v-checkbox v-model="part.isFinal" label="Final or driver" hide-details /><v-btn
        size="large"
        :disabled="!part.designator.trim() || !part.partIn.trim()"
        @click="change"
        >Add</v-btn
      >
    </div>
    <p v-for="d in doubts" :key="d.kind" class="care" role="status">{{ partDoubtWords(d) }}</p>
  </section>
  <section aria-label="Tests of parts">
    <h2>Tests of parts <NuxtLink to="/parts" class="drawer">stock parts</NuxtLink></h2>
    <PartTestList :tested="tested" />
    <PartTestForm :wrong="wrong" @send="(event, kept) => emit('send', event, kept)" />
  </section>
  <section aria-label="Other work">
    <h2>Other work</h2>
    <ul>
      <li v-for="t in treated" :key="t.id">{{ t.what }}{{ t.where ? `, ${t.where}` : '' }}</li>
    </ul>
    <div class="entry">
      <v-combobox
        v-model="treatment.what"
        label="Work done"
        :items="TREATMENTS"
        :error-messages="wrong('what')"
      /><v-text-field v-model="treatment.where" label="Where" placeholder="L4" /><v-btn
        size="large"
        :disabled="!treatment.what?.trim()"
        @click="treat"
        >Add</v-btn
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
