<script setup lang="ts">
import { useLocalStorage } from '@vueuse/core'
import { computed, ref } from 'vue'
import { v4 as uuid } from 'uuid'
import { isReadable, type OpenItem } from '#core/run'
import { trialsOf, type Trial } from '#core/trial'
import { t } from '#shared/i18n'
import { itemDetail } from '#shared/words/itemWords'
import { quantityLabel } from '#shared/words/quantityWords'
import { shortestKeyDownWords } from '#shared/words/runWords'
import { trialWords } from '#shared/words/trialWords'
import TypedRow from '~/features/align/components/matrix/TypedRow.vue'
import { liveReadings } from '~/features/align/logic/takeRow'
import { readingOf, type TypedValue } from '~/features/align/logic/typedText'
import { useInstrumentsStore } from '~/features/instruments/store/instruments'
import { useLiveStore } from '~/features/instruments/store/live'
import SetCautions from '~/features/job/components/work/SetCautions.vue'
import { useEventForm } from '~/features/job/logic/useEventForm'
import { useJobStore } from '~/features/job/store/job'
import AlteredList from '~/features/trial/components/AlteredList.vue'
import TrialFields from '~/features/trial/components/TrialFields.vue'
import TrialTable from '~/features/trial/components/TrialTable.vue'
import { EMPTY_TRIAL, measurandsOf, trialOf } from '~/features/trial/logic/trialForm'
import TextDialog from '~/ui/frame/TextDialog.vue'
import { useNotice } from '~/ui/useNotice'

const store = useJobStore()
const instruments = useInstrumentsStore()
const live = useLiveStore()
const { send, wrong, problem } = useEventForm(store.append)
const alter = useEventForm(store.append)
const { said, say } = useNotice()
const trials = computed(() => trialsOf(store.events))
const altered = computed(() => store.items.filter(i => i.kind === 'put-back'))
const last = trials.value.at(-1)?.noted.amplifier
const fields = ref({
  ...EMPTY_TRIAL,
  isAmplified: last !== undefined,
  name: last?.name ?? '',
  devices: last?.devices?.toString() ?? '',
  claimedW: last?.claimedW?.toString() ?? '',
})
const wants = computed(() => measurandsOf(fields.value))
/** a new one empties the fields of the readings */
const round = ref(0)
const isLiveTaken = useLocalStorage('trialWithLive', false)
/** What was typed is given up; nothing is kept. */
const clear = () => (round.value += 1)
/** While nothing is keyed there is nothing to take. */
const readable = computed(() =>
  wants.value.filter(w => isReadable(w.quantity, { keyed: true }, live.rfSeen())),
)
const liveNow = computed(() => liveReadings({ wants: readable.value }, live.liveOf, uuid))
async function add(values: readonly TypedValue[]) {
  const typed = values.map(v => readingOf(v, uuid()))
  const isLive = isLiveTaken.value || typed.length === 0
  const rest = isLive ? liveNow.value.filter(l => !typed.some(r => r.quantity === l.quantity)) : []
  const readings = [...typed, ...rest]
  if (readings.length === 0) return say(t('trial.noReading'), 'problem')
  await send(trialOf(fields.value, readings), () => {
    round.value += 1
    fields.value = { ...fields.value, text: '' }
    say(t('trial.saved', { number: trials.value.length }))
  })
}
const backOf = ref<OpenItem | null>(null)
async function putBack(text: string) {
  await store.append({ kind: 'item-settled', itemId: backOf.value!.id, text })
  backOf.value = null
}
const striking = ref<Trial | null>(null)
async function strike(reason: string) {
  await store.append({ kind: 'event-struck', eventId: striking.value!.noted.id, reason })
  striking.value = null
}
</script>

<template>
  <div class="page">
    <h1>{{ t('trial.trials') }}</h1>
    <p class="lead">{{ t('trial.lead') }}</p>
    <SetCautions :sheet="store.sheet!" />
    <p class="care">{{ t('align.dummyLoadOnTheAntennaSocket') }} {{ shortestKeyDownWords(store.sheet!) }}</p>
    <AlteredList
      :items="altered"
      :wrong="alter.wrong"
      @add="(text, kept) => alter.send({ kind: 'set-altered', text }, kept)"
      @back="i => (backOf = i)"
    />
    <section class="add no-print" :aria-label="t('trial.addTrial')">
      <h2>{{ t('trial.addTrial') }}</h2>
      <TrialFields v-model="fields" :wrong="wrong" />
      <div v-if="liveNow.length > 0" class="live">
        <v-checkbox
          v-model="isLiveTaken"
          :label="t('trial.readNow', { list: liveNow.map(r => quantityLabel(r.quantity)).join(', ') })"
          hide-details
        /><v-btn height="44" @click="add([])">{{ t('trial.takeLive') }}</v-btn>
      </div>
      <TypedRow
        :key="`${fields.signal} ${fields.isAmplified} ${round}`"
        :wants="wants"
        first=""
        :options-for="instruments.optionsFor"
        :typed-with="instruments.typedWith"
        @done="add"
        @cancel="clear"
        @choose="instruments.chooseTypedWith"
      />
      <p class="said" role="status" :class="said?.kind">{{ said?.text ?? '' }}</p>
      <p v-if="problem" class="said problem" role="alert">{{ problem.words }}</p>
    </section>
    <p v-if="trials.length === 0" class="quiet">{{ t('trial.nothingYet') }}</p>
    <TrialTable
      :trials="trials"
      :said="trial => trialWords(trial, trials, store.rules!)"
      @strike="trial => (striking = trial)"
    />
    <TextDialog
      :open="backOf !== null"
      :title="t('trial.putBackTitle')"
      :hint="backOf ? itemDetail(backOf) : ''"
      :label="t('trial.howProved')"
      :action="t('trial.putBackTitle')"
      @close="backOf = null"
      @done="putBack"
    />
    <TextDialog
      :open="striking !== null"
      :title="t('trial.strikeTitle', { number: striking?.number ?? 0 })"
      :hint="t('settings.staysInTheLog')"
      :label="t('common.reason')"
      :action="t('repair.strikeOut')"
      @close="striking = null"
      @done="strike"
    />
  </div>
</template>

<style scoped>
.add {
  margin: 14px 0;
}
.live {
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  gap: 4px 16px;
}
.said {
  font-weight: 600;
  min-height: 22px;
  margin: 0;
}
.said.problem {
  color: var(--out);
}
.said.ok {
  color: var(--in);
}
</style>
