<script setup lang="ts">
import { computed, ref, onMounted } from 'vue'
import { useHead } from '#imports'
import InstrumentForm from '~/features/instruments/components/InstrumentForm.vue'
import MeterComparison from '~/features/instruments/components/MeterComparison.vue'
import InstrumentRow from '~/features/instruments/components/InstrumentRow.vue'
import type { Failure } from '../../data/failureWords'
import { useInstrumentsStore } from '~/features/instruments/store/instruments'
import { useLiveStore } from '~/features/instruments/store/live'
import { BARE_INSTRUMENT, type Instrument, type InstrumentBody } from '#shared/instrument'

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
  failure.value =
    editing.value === 'new' ? await store.add(body) : await store.change(editing.value!.id, body)
  if (!failure.value) editing.value = null
}
async function remove() {
  failure.value = await store.remove(removing.value!.id)
  removing.value = null
}
function bodyOf(i: Instrument): InstrumentBody {
  const { id: _id, ownProfile: _own, ...body } = i
  return body
}
useHead({ title: 'Instruments' })
onMounted(() => void store.load())
</script>

<template>
  <div class="page">
    <div class="top">
      <h1>Instruments</h1>
      <span class="acts"
        ><v-btn to="/instruments/stepped">Stepped measurement</v-btn>{{ ' ' }}
        <v-btn v-if="!editing" variant="flat" color="primary" @click="editing = 'new'"
          >Connect an instrument</v-btn
        ></span
      >
    </div>
    <p class="lead">
      Those with SCPI over a TCP socket are read ten times a second. List the others too, so that typed
      readings carry their accuracy.
    </p>
    <InstrumentForm
      v-if="editing"
      :key="editing === 'new' ? 'new' : editing.id"
      :initial="editing === 'new' ? NEW : bodyOf(editing)"
      :action="editing === 'new' ? 'Connect' : 'Save'"
      :failure="failure"
      @done="save"
      @cancel="editing = null"
    />
    <p v-else-if="failure" class="care" role="alert">{{ failure.words }}</p>
    <div v-if="store.failure" class="care" role="alert">
      {{ store.failure.words }} <v-btn size="small" class="ml-3" @click="store.load()">Try again</v-btn>
    </div>
    <div v-else-if="!store.items" role="status"><v-progress-linear indeterminate color="primary" /></div>
    <p v-else-if="store.items.length === 0" class="lead">
      No instruments yet. Connect the first: name, profile, address and port. Without any, every reading can
      be typed.
    </p>
    <div v-else class="scroll" tabindex="0">
      <table class="plain">
        <thead>
          <tr>
            <th>Instrument</th>
            <th>Reads, accuracy</th>
            <th>Address</th>
            <th>State</th>
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
      <v-card :title="`Remove ${removing?.name}?`"
        ><v-card-text>Readings taken with it stay as they are. It can be connected again.</v-card-text>
        <v-card-actions
          ><v-spacer /><v-btn @click="removing = null">Cancel</v-btn
          ><v-btn variant="flat" color="primary" @click="remove">Remove</v-btn></v-card-actions
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
