<script setup lang="ts">
import { ref } from 'vue'
import { QUANTITIES, QUANTITY_NAMES } from '#core/quantity'
import { SETTING_NAMES, type InstrumentProfile } from '#core/instrument'
import type { OwnProfile } from '#shared/instrument'
import { SETTING_WORDS } from '../logic/steppedWords'

/** How an instrument is asked and told, line by line. */
const props = defineProps<{ profile: InstrumentProfile; own: boolean; busy: boolean }>()
const emit = defineEmits<{ save: [own: OwnProfile]; shipped: []; tries: [query: string] }>()
type Row = {
  quantity: OwnProfile['quantities'][number]['quantity']
  query: string
  toSi: string
  percent: string
  absolute: string
}
const text = (x: number | undefined) => (x === undefined ? '' : String(x))
const rows = ref<Row[]>(
  props.profile.quantities.flatMap(q =>
    q.query === null
      ? []
      : [
          {
            quantity: q.quantity,
            query: q.query,
            toSi: String(q.toSi),
            percent:
              q.accuracy.ofReading === undefined
                ? ''
                : String(Number((q.accuracy.ofReading * 100).toPrecision(6))),
            absolute: text(q.accuracy.absolute),
          },
        ],
  ),
)
const full = new Map(props.profile.quantities.map(q => [q.quantity, q.accuracy]))
const settings = ref((props.profile.settings ?? []).map(s => ({ ...s })))
const number = (t: string) => (t.trim() === '' ? undefined : Number(t.replace(',', '.')))
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
  <section aria-label="Queries">
    <h2>Queries</h2>
    <div class="scroll" tabindex="0">
      <table class="plain">
        <thead>
          <tr>
            <th>Quantity</th>
            <th>Query</th>
            <th>SI value = response &times;</th>
            <th>&plusmn; % of reading</th>
            <th>&plusmn; in SI</th>
            <th />
          </tr>
        </thead>
        <tbody>
          <tr v-for="(r, i) in rows" :key="i">
            <td>
              <select v-model="r.quantity" :aria-label="`quantity ${i + 1}`">
                <option v-for="q in QUANTITY_NAMES" :key="q" :value="q">
                  {{ QUANTITIES[q].label }}, {{ QUANTITIES[q].siUnit }}
                </option>
              </select>
            </td>
            <td>
              <input v-model="r.query" :aria-label="`query ${i + 1}`" class="fig wide" spellcheck="false" />
            </td>
            <td>
              <input v-model="r.toSi" :aria-label="`factor ${i + 1}`" class="fig" inputmode="decimal" />
            </td>
            <td>
              <input
                v-model="r.percent"
                :aria-label="`per cent of reading ${i + 1}`"
                class="fig"
                inputmode="decimal"
              />
            </td>
            <td>
              <input v-model="r.absolute" :aria-label="`absolute ${i + 1}`" class="fig" inputmode="decimal" />
            </td>
            <td class="acts">
              <v-btn size="small" height="44" @click="emit('tries', r.query)">Try</v-btn>{{ ' ' }}
              <v-btn size="small" height="44" :aria-label="`remove query ${i + 1}`" @click="rows.splice(i, 1)"
                >Remove</v-btn
              >
            </td>
          </tr>
        </tbody>
      </table>
    </div>
    <v-btn @click="rows.push({ quantity: 'powerW', query: '', toSi: '1', percent: '', absolute: '' })"
      >Add query</v-btn
    >
    <h2>Settings</h2>
    <p v-if="settings.length === 0" class="quiet">
      None. A generator or supply that can be set makes stepped measurements automatic.
    </p>
    <div v-for="(s, i) in settings" :key="i" class="set">
      <select v-model="s.name" :aria-label="`setting ${i + 1}`">
        <option v-for="n in SETTING_NAMES" :key="n" :value="n">{{ SETTING_WORDS[n].label }}</option>
      </select>
      <input v-model="s.command" :aria-label="`command ${i + 1}`" class="fig wide" spellcheck="false" /><input
        v-model="s.query"
        :aria-label="`read back ${i + 1}`"
        class="fig wide"
        spellcheck="false"
      />
      <label
        >from
        <input v-model.number="s.min" :aria-label="`minimum ${i + 1}`" class="fig" type="number" /></label
      ><label
        >to <input v-model.number="s.max" :aria-label="`maximum ${i + 1}`" class="fig" type="number"
      /></label>
      <v-btn size="small" height="44" :aria-label="`remove setting ${i + 1}`" @click="settings.splice(i, 1)"
        >Remove</v-btn
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
        >Add setting</v-btn
      ><v-btn color="primary" variant="flat" :disabled="busy || rows.length === 0" @click="save">Save</v-btn
      ><v-btn v-if="own" :disabled="busy" @click="emit('shipped')">Restore defaults</v-btn>
    </div>
  </section>
</template>

<style scoped>
h2 {
  font-size: 17px;
  margin: 18px 0 8px;
}
.scroll {
  overflow-x: auto;
}
.acts {
  white-space: nowrap;
}
input,
select {
  min-height: 44px;
  border: 1px solid var(--edge);
  border-radius: 6px;
  background: var(--sheet);
  color: var(--ink);
  padding: 0 8px;
  font: inherit;
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
