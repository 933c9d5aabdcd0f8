<script setup lang="ts">
import { enteredNumber } from '~/ui/enteredNumber'
import { quantityLabel } from '#shared/words/quantityWords'
import { t } from '#shared/i18n'
import { computed } from 'vue'
import { QUANTITY_NAMES, quantityInfo, numberForField } from '#core/quantity'
import { MODES } from '#core/rules'
import type { LimitBody } from '#shared/ruleSet'

/** One limit, in the unit of the bench. */
const limit = defineModel<LimitBody>({ required: true })
const emit = defineEmits<{ remove: [] }>()
const info = computed(() => quantityInfo(limit.value.quantity))
const isFrequency = computed(() => limit.value.quantity === 'carrierHz')
type Bound = 'low' | 'high' | 'errorHz' | 'errorPpm'
/** Bounds are in the unit of the quantity, errors in their own. */
const perSi = (key: Bound) => (key === 'low' || key === 'high' ? info.value.perSi : 1)
const shown = (key: Bound) => {
  const value = limit.value[key]
  return numberForField(value === null ? null : value * perSi(key))
}
function enter(key: Bound, event: Event) {
  const value = enteredNumber(event, limit.value[key], { perSi: perSi(key), optional: true })
  limit.value = { ...limit.value, [key]: value }
}
const power = computed({
  get: () => {
    if (limit.value.lowPower === null) return 'any'
    return limit.value.lowPower ? 'low' : 'high'
  },
  set: v => (limit.value = { ...limit.value, lowPower: v === 'any' ? null : v === 'low' }),
})
</script>

<template>
  <fieldset>
    <label class="short"
      >{{ t('rules.number') }}<input v-model="limit.id" class="fig" maxlength="20"
    /></label>
    <label
      >{{ t('common.quantity')
      }}<select v-model="limit.quantity">
        <option v-for="q in QUANTITY_NAMES" :key="q" :value="q">{{ quantityLabel(q) }}</option>
      </select></label
    >
    <label class="short"
      >{{ t('rules.powerSwitch')
      }}<select v-model="power">
        <option value="any">{{ t('rules.any') }}</option>
        <option value="high">{{ t('rules.high') }}</option>
        <option value="low">{{ t('rules.low') }}</option>
      </select></label
    >
    <label class="short"
      >{{ t('rules.minimum', { shownUnit: info.shownUnit })
      }}<input :value="shown('low')" class="fig" inputmode="decimal" @change="enter('low', $event)"
    /></label>
    <label class="short"
      >{{ t('rules.maximum', { shownUnit: info.shownUnit })
      }}<input :value="shown('high')" class="fig" inputmode="decimal" @change="enter('high', $event)"
    /></label>
    <template v-if="isFrequency"
      ><label class="short"
        >{{ t('rules.orWithinHz')
        }}<input
          :value="shown('errorHz')"
          class="fig"
          inputmode="decimal"
          @change="enter('errorHz', $event)" /></label
      ><label class="short"
        >{{ t('rules.orWithinPpm')
        }}<input
          :value="shown('errorPpm')"
          class="fig"
          inputmode="decimal"
          @change="enter('errorPpm', $event)" /></label
    ></template>
    <span class="modes" role="group" :aria-label="t('rules.modesEmptyAll')"
      ><label v-for="m in MODES" :key="m" class="mode"
        ><input v-model="limit.modes" type="checkbox" :value="m" />{{ m }}</label
      ></span
    >
    <label class="words">{{ t('rules.inWords') }}<input v-model="limit.words" maxlength="300" /></label>
    <v-btn height="44" @click="emit('remove')">{{ t('common.remove') }}</v-btn>
  </fieldset>
</template>

<style scoped>
fieldset {
  display: flex;
  flex-wrap: wrap;
  gap: 10px;
  align-items: end;
  border: 0;
  border-bottom: 1px solid var(--line);
  padding: 8px 0;
  margin: 0;
}
label {
  display: flex;
  flex-direction: column;
  font-size: 12.5px;
  color: var(--ink2);
}
.short {
  width: 104px;
}
.words {
  flex: 1 1 260px;
}
input:not([type='checkbox']),
select {
  width: 100%;
}
.modes {
  display: flex;
}
.mode {
  flex-direction: row;
  gap: 4px;
  align-items: center;
  min-height: 44px;
  padding-right: 10px;
}
</style>
