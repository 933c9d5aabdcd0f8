<script setup lang="ts">
import { t } from '#shared/i18n'
import { computed, ref, onMounted } from 'vue'
import { useHead } from '#imports'
import InstrumentForm from '~/features/instruments/components/InstrumentForm.vue'
import MeterComparison from '~/features/instruments/components/MeterComparison.vue'
import InstrumentRow from '~/features/instruments/components/InstrumentRow.vue'
import type { Failure } from '../../data/failureWords'
import { useInstrumentsStore } from '~/features/instruments/store/instruments'
import { useLiveStore } from '~/features/instruments/store/live'
import type { Instrument, InstrumentBody } from '#shared/instrument'
import { BARE_INSTRUMENT } from '#shared/instrumentSetup'

const store = useInstrumentsStore()
const live = useLiveStore()
const editing = ref<Instrument | 'new' | null>(null)
const removing = ref<Instrument | null>(null)
const failure = ref<Failure | null>(null)
const powerMeters = computed(() =>
  store.optionsFor('powerW').filter(o => store.items?.some(i => i.name === o.name)),
)
const NEW: InstrumentBody = {
  name: '',
  profileId: 'scpi-power-meter',
  host: '127.0.0.1',
  port: 5025,
  ...BARE_INSTRUMENT,
}

async function save(body: InstrumentBody) {
  const at = editing.value!
  failure.value = at === 'new' ? await store.add(body) : await store.change(at, body)
  if (!failure.value) editing.value = null
  // The next press overwrites what the list shows now.
  else if (at !== 'new') editing.value = store.items?.find(i => i.id === at.id) ?? at
}
async function remove() {
  failure.value = await store.remove(removing.value!.id)
  removing.value = null
}
function bodyOf(i: Instrument): InstrumentBody {
  const { id: _id, version: _version, ownProfile: _own, ...body } = i
  return body
}
useHead({ title: t('instruments.instruments') })
onMounted(() => void store.load())
</script>

<template>
  <div class="page">
    <div class="top">
      <h1>{{ t('instruments.instruments') }}</h1>
      <span class="acts"
        ><v-btn to="/instruments/stepped">{{ t('instruments.steppedMeasurement') }}</v-btn
        >{{ ' ' }}
        <v-btn v-if="!editing" variant="flat" color="primary" @click="editing = 'new'">{{
          t('instruments.connectAnInstrument')
        }}</v-btn></span
      >
    </div>
    <p class="lead">
      {{ t('instruments.thoseWithScpiOverATcp') }}
    </p>
    <InstrumentForm
      v-if="editing"
      :key="editing === 'new' ? 'new' : editing.id"
      :initial="editing === 'new' ? NEW : bodyOf(editing)"
      :action="editing === 'new' ? t('instruments.connect') : t('common.save')"
      :failure="failure"
      @done="save"
      @cancel="editing = null"
    />
    <p v-else-if="failure" class="care" role="alert">{{ failure.words }}</p>
    <div v-if="store.failure" class="care" role="alert">
      {{ store.failure.words }}
      <v-btn size="small" class="ml-3" @click="store.load()">{{ t('common.tryAgain') }}</v-btn>
    </div>
    <div v-else-if="!store.items" role="status"><v-progress-linear indeterminate color="primary" /></div>
    <p v-else-if="store.items.length === 0" class="lead">
      {{ t('instruments.noInstrumentsYetConnectTheFirst') }}
    </p>
    <div v-else class="scroll" tabindex="0">
      <table class="plain">
        <thead>
          <tr>
            <th>{{ t('instruments.instrument') }}</th>
            <th>{{ t('instruments.readsAccuracy') }}</th>
            <th>{{ t('instruments.address') }}</th>
            <th>{{ t('instruments.state') }}</th>
            <th />
          </tr>
        </thead>
        <tbody>
          <InstrumentRow
            v-for="i in store.items"
            :key="i.id"
            :instrument="i"
            :link="live.links.find(l => l.instrumentId === i.id) ?? null"
            :connected="live.connected"
            @edit="editing = i"
            @remove="removing = i"
          />
        </tbody>
      </table>
    </div>
    <MeterComparison v-if="store.items?.length && !editing" :meters="powerMeters" :live-of="live.liveOf" />
    <v-dialog
      :model-value="removing !== null"
      max-width="440"
      @update:model-value="v => v || (removing = null)"
    >
      <v-card :title="t('instruments.remove', { name: removing?.name })"
        ><v-card-text>{{ t('instruments.readingsTakenWithItStayAs') }}</v-card-text>
        <v-card-actions
          ><v-spacer /><v-btn @click="removing = null">{{ t('common.cancel') }}</v-btn
          ><v-btn variant="flat" color="primary" @click="remove">{{
            t('common.remove')
          }}</v-btn></v-card-actions
        ></v-card
      >
    </v-dialog>
  </div>
</template>

<style scoped>
.top {
  display: flex;
  justify-content: space-between;
  align-items: center;
  gap: 20px;
  flex-wrap: wrap;
}
.scroll {
  overflow-x: auto;
}
</style>
