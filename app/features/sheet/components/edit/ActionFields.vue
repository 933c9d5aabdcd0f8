<script setup lang="ts">
import { numberForField } from '#core/quantity'
import { enteredRequired } from '~/ui/enteredNumber'
import { t } from '#shared/i18n'
import type { StepAction } from '#core/sheet'

/** What the hands do before the reading: keys in time, a key held, off and on, a value that falls back. */
const props = defineProps<{ actions: readonly StepAction[] }>()
const emit = defineEmits<{ change: [actions: StepAction[]] }>()
const KINDS: Readonly<Record<StepAction['kind'], string>> = {
  'keys': t('sheet.keysOneAfterTheOtherIn'),
  'hold': t('sheet.holdAKeyUntilTheSet'),
  'power-cycle': t('sheet.offOnReadAgain'),
  'reverts': t('sheet.resetsAtEverySwitchOn'),
}
const fresh = (kind: StepAction['kind'], words = ''): StepAction => {
  if (kind === 'keys') return { kind, words, keys: [], withinS: 5 }
  if (kind === 'hold') return { kind, words, holdS: 2 }
  return kind === 'power-cycle' ? { kind, words, reread: [] } : { kind, words }
}
const put = (i: number, action: StepAction) =>
  emit(
    'change',
    props.actions.map((a, k) => (k === i ? action : a)),
  )
const text = (e: Event) => (e.target as HTMLInputElement).value
const list = (t: string) =>
  t
    .split(',')
    .map(x => x.trim())
    .filter(Boolean)
const seconds = (e: Event, stands: number) => {
  const holdS = enteredRequired(e, stands)
  return holdS > 0 ? holdS : stands
}
</script>

<template>
  <div>
    <div v-for="(a, i) in actions" :key="i" class="action labelled-tight">
      <label
        >{{ t('sheet.byHand')
        }}<select :value="a.kind" @change="put(i, fresh(text($event) as StepAction['kind'], a.words))">
          <option v-for="(title, kind) in KINDS" :key="kind" :value="kind">{{ title }}</option>
        </select></label
      >
      <label class="long"
        >{{ t('sheet.inWords') }}<input :value="a.words" @change="put(i, { ...a, words: text($event) })"
      /></label>
      <template v-if="a.kind === 'keys'"
        ><label class="long"
          >{{ t('sheet.keysSeparatedByCommas')
          }}<input :value="a.keys.join(', ')" @change="put(i, { ...a, keys: list(text($event)) })" /></label
        ><label class="short"
          >{{ t('sheet.withinS')
          }}<input
            class="fig"
            :value="numberForField(a.withinS)"
            @change="put(i, { ...a, withinS: seconds($event, a.withinS) })" /></label
      ></template>
      <label v-if="a.kind === 'hold'" class="short"
        >{{ t('sheet.atLeastS')
        }}<input
          class="fig"
          :value="numberForField(a.holdS)"
          @change="put(i, { ...a, holdS: seconds($event, a.holdS) })"
      /></label>
      <label v-if="a.kind === 'power-cycle'" class="long"
        >{{ t('sheet.readAgainSeparatedByCommas')
        }}<input :value="a.reread.join(', ')" @change="put(i, { ...a, reread: list(text($event)) })"
      /></label>
      <button
        type="button"
        @click="
          emit(
            'change',
            actions.filter((_, k) => k !== i),
          )
        "
      >
        {{ t('sheet.remove') }}
      </button>
    </div>
    <v-btn height="44" @click="emit('change', [...actions, fresh('keys')])">{{
      t('sheet.addManualAction')
    }}</v-btn>
  </div>
</template>

<style scoped>
.action {
  display: flex;
  flex-wrap: wrap;
  gap: 8px 10px;
  align-items: end;
  margin-bottom: 8px;
}
.long {
  flex: 1 1 200px;
}
button {
  min-height: 44px;
  font-size: 13px;
  color: var(--accent);
  text-decoration: underline;
}
</style>
