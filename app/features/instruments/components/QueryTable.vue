<script setup lang="ts">
import { quantityLabel } from '#shared/words/quantityWords'
import { t } from '#shared/i18n'
import { QUANTITIES, QUANTITY_NAMES } from '#core/quantity'
import type { QueryRow } from '../logic/queryRow'

/** What an instrument is asked, how its answers become SI values, and how exact they are. */
const rows = defineModel<QueryRow[]>({ required: true })
const emit = defineEmits<{ tries: [query: string] }>()
</script>

<template>
  <div class="scroll" tabindex="0">
    <table class="plain">
      <thead>
        <tr>
          <th>{{ t('common.quantity') }}</th>
          <th>{{ t('instruments.query') }}</th>
          <th>{{ t('instruments.siValueResponse') }}</th>
          <th>{{ t('instruments.ofReading') }}</th>
          <th>{{ t('instruments.inSi') }}</th>
          <th />
        </tr>
      </thead>
      <tbody>
        <tr v-for="(r, i) in rows" :key="i">
          <td>
            <select v-model="r.quantity" :aria-label="t('instruments.quantity', { i: i + 1 })">
              <option v-for="q in QUANTITY_NAMES" :key="q" :value="q">
                {{ quantityLabel(q) }}, {{ QUANTITIES[q].siUnit }}
              </option>
            </select>
          </td>
          <td>
            <input
              v-model="r.query"
              :aria-label="t('instruments.queryNumber', { i: i + 1 })"
              class="fig wide"
              spellcheck="false"
            />
          </td>
          <td>
            <input
              v-model="r.toSi"
              :aria-label="t('instruments.factor', { i: i + 1 })"
              class="fig"
              inputmode="decimal"
            />
          </td>
          <td>
            <input
              v-model="r.percent"
              :aria-label="t('instruments.perCentOfReading', { i: i + 1 })"
              class="fig"
              inputmode="decimal"
            />
          </td>
          <td>
            <input
              v-model="r.absolute"
              :aria-label="t('instruments.absolute', { i: i + 1 })"
              class="fig"
              inputmode="decimal"
            />
          </td>
          <td class="acts">
            <v-btn size="small" height="44" @click="emit('tries', r.query)">{{
              t('instruments.try')
            }}</v-btn>{{ ' ' }}
            <v-btn
              size="small"
              height="44"
              :aria-label="t('instruments.removeQuery', { i: i + 1 })"
              @click="rows.splice(i, 1)"
              >{{ t('common.remove') }}</v-btn
            >
          </td>
        </tr>
      </tbody>
    </table>
  </div>
</template>

<style scoped>
.scroll {
  overflow-x: auto;
}
.acts {
  white-space: nowrap;
}
input {
  width: 96px;
}
input.wide {
  width: 230px;
}
</style>
