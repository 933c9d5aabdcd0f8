<script setup lang="ts">
import { numberForField, typedNumber } from '#core/quantity'
import { t } from '#shared/i18n'
import { ref } from 'vue'
import { SETTING_NAMES, type InstrumentProfile } from '#core/instrument'
import type { OwnProfile } from '#shared/instrument'
import { SETTING_WORDS } from '../logic/steppedWords'
import type { QueryRow } from '../logic/queryRow'
import QueryTable from './QueryTable.vue'

/** How an instrument is asked and told, line by line. */
const props = defineProps<{ profile: InstrumentProfile; own: boolean; busy: boolean }>()
const emit = defineEmits<{ save: [own: OwnProfile]; shipped: []; tries: [query: string] }>()
const text = (x: number | undefined) => (x === undefined ? '' : String(x))
const rows = ref<QueryRow[]>(
  props.profile.quantities.flatMap(q =>
    q.query === null
      ? []
      : [
          {
            quantity: q.quantity,
            query: q.query,
            toSi: String(q.toSi),
            percent: numberForField(q.accuracy.ofReading && q.accuracy.ofReading * 100, 6),
            absolute: text(q.accuracy.absolute),
          },
        ],
  ),
)
const full = new Map(props.profile.quantities.map(q => [q.quantity, q.accuracy]))
const settings = ref((props.profile.settings ?? []).map(s => ({ ...s })))
const number = (t: string) => typedNumber(t) ?? undefined
function save() {
  emit('save', {
    quantities: rows.value.map(r => {
      const scale = full.get(r.quantity)
      const reading = number(r.percent)
      return {
        quantity: r.quantity,
        query: r.query,
        toSi: number(r.toSi) ?? 1,
        accuracy: {
          ofReading: reading === undefined ? undefined : reading / 100,
          absolute: number(r.absolute),
          ofFullScale: scale?.ofFullScale,
          fullScale: scale?.fullScale,
        },
      }
    }),
    settings: settings.value,
  })
}
</script>

<template>
  <section :aria-label="t('instruments.queries')">
    <h2>{{ t('instruments.queries') }}</h2>
    <QueryTable v-model="rows" @tries="query => emit('tries', query)" />
    <v-btn @click="rows.push({ quantity: 'powerW', query: '', toSi: '1', percent: '', absolute: '' })">{{
      t('instruments.addQuery')
    }}</v-btn>
    <h2>{{ t('instruments.settings') }}</h2>
    <p v-if="settings.length === 0" class="quiet">
      {{ t('instruments.noneAGeneratorOrSupplyThat') }}
    </p>
    <div v-for="(s, i) in settings" :key="i" class="set">
      <select v-model="s.name" :aria-label="t('instruments.setting', { i: i + 1 })">
        <option v-for="n in SETTING_NAMES" :key="n" :value="n">{{ t(SETTING_WORDS[n].label) }}</option>
      </select>
      <input
        v-model="s.command"
        :aria-label="t('instruments.command', { i: i + 1 })"
        class="fig wide"
        spellcheck="false"
      /><input
        v-model="s.query"
        :aria-label="t('instruments.readBack', { i: i + 1 })"
        class="fig wide"
        spellcheck="false"
      />
      <label
        >{{ t('instruments.from') }}
        <input
          v-model.number="s.min"
          :aria-label="t('instruments.minimum', { i: i + 1 })"
          class="fig"
          type="number" /></label
      ><label
        >{{ t('instruments.to') }}
        <input
          v-model.number="s.max"
          :aria-label="t('instruments.maximum', { i: i + 1 })"
          class="fig"
          type="number"
      /></label>
      <v-btn
        size="small"
        height="44"
        :aria-label="t('instruments.removeSetting', { i: i + 1 })"
        @click="settings.splice(i, 1)"
        >{{ t('common.remove') }}</v-btn
      >
    </div>
    <div class="line">
      <v-btn
        @click="
          settings.push({
            name: 'inputV',
            command: 'SOUR:RF:LEV {value}',
            query: 'SOUR:RF:LEV?',
            toSi: 1,
            min: 0,
            max: 0.1,
          })
        "
        >{{ t('instruments.addSetting') }}</v-btn><v-btn
        color="primary"
        variant="flat"
        :disabled="busy || rows.length === 0"
        @click="save"
        >{{ t('common.save') }}</v-btn
      ><v-btn v-if="own" :disabled="busy" @click="emit('shipped')">{{
        t('instruments.restoreDefaults')
      }}</v-btn>
    </div>
  </section>
</template>

<style scoped>
h2 {
  font-size: 17px;
  margin: 18px 0 8px;
}
input {
  width: 96px;
}
input.wide {
  width: 230px;
}
.set,
.line {
  display: flex;
  flex-wrap: wrap;
  gap: 8px;
  align-items: center;
  margin: 6px 0;
}
</style>
