<script setup lang="ts">
import { numberForField, typedNumber } from '#core/quantity'
import { t } from '#shared/i18n'
import { MASK_END_HZ, MODES } from '#core/rules'
import type { MaskPartBody } from '#shared/ruleSet'

/** Parts of an emission mask: from and to in kHz beside the channel centre, and how far down. */
const parts = defineModel<MaskPartBody[]>({ required: true })
const HZ_PER_KHZ = 1000

function add() {
  const last = parts.value.at(-1)
  const fromHz = last?.toHz ?? 0
  parts.value = [
    ...parts.value,
    {
      modes: [...(last?.modes ?? (['AM', 'FM'] as const))],
      fromHz,
      toHz: MASK_END_HZ,
      belowDb: last?.belowDb ?? 25,
      addsPowerDb: false,
    },
  ]
}
const remove = (at: number) => (parts.value = parts.value.filter((_, i) => i !== at))
const change = (at: number, what: Partial<MaskPartBody>) =>
  (parts.value = parts.value.map((p, i) => (i === at ? { ...p, ...what } : p)))
/** Empty stays empty: the form says what is missing. */
const typed = (event: Event) => typedNumber((event.target as HTMLInputElement).value) ?? Number.NaN
const shown = (value: number, per = 1) => numberForField(value / per)
</script>

<template>
  <fieldset
    v-for="(p, i) in parts"
    :key="i"
    class="labelled"
    :aria-label="t('rules.partOfTheMask', { i: i + 1 })"
  >
    <label class="short"
      >{{ t('rules.fromKhz')
      }}<input
        class="fig"
        inputmode="decimal"
        :value="shown(p.fromHz, HZ_PER_KHZ)"
        @change="e => change(i, { fromHz: typed(e) * HZ_PER_KHZ })"
    /></label>
    <label class="short"
      >{{ t('rules.toKhz')
      }}<input
        class="fig"
        inputmode="decimal"
        :value="shown(p.toHz, HZ_PER_KHZ)"
        @change="e => change(i, { toHz: typed(e) * HZ_PER_KHZ })"
    /></label>
    <label class="short"
      >{{ t('rules.atLeastDbDown')
      }}<input
        class="fig"
        inputmode="decimal"
        :value="shown(p.belowDb)"
        @change="e => change(i, { belowDb: typed(e) })"
    /></label>
    <label class="mode"
      ><input
        type="checkbox"
        :checked="p.addsPowerDb"
        @change="e => change(i, { addsPowerDb: (e.target as HTMLInputElement).checked })"
      />{{ t('rules.n10LogPW') }}</label
    >
    <span class="modes" role="group" :aria-label="t('rules.modes')"
      ><label v-for="m in MODES" :key="m" class="mode"
        ><input
          type="checkbox"
          :checked="p.modes.includes(m)"
          @change="change(i, { modes: p.modes.includes(m) ? p.modes.filter(o => o !== m) : [...p.modes, m] })"
        />{{ m }}</label
      ></span
    >
    <v-btn height="44" @click="remove(i)">{{ t('common.remove') }}</v-btn>
  </fieldset>
  <v-btn class="mt-2" @click="add">{{ t('rules.addPartOfTheMask') }}</v-btn>
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
.short {
  width: 132px;
}
.modes {
  display: flex;
  flex-wrap: wrap;
}
.mode {
  display: flex;
  flex-direction: row;
  gap: 4px;
  align-items: center;
  min-height: 44px;
  padding-right: 10px;
  font-size: 12.5px;
  color: var(--ink2);
}
</style>
