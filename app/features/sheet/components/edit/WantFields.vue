<script setup lang="ts">
import { quantityLabel } from '#shared/words/quantityWords'
import { t } from '#shared/i18n'
import { computed } from 'vue'
import { QUANTITIES, QUANTITY_NAMES, type Quantity } from '#core/quantity'
import type { Measurand } from '#core/sheet'
import { TARGET_KINDS, fromForm, targetUnit, toForm, type TargetForm } from '../../logic/targetForm'

/** One number that is asked for, with the window it should be in. */
const props = defineProps<{ want: Measurand; steps: readonly string[] }>()
const emit = defineEmits<{ change: [want: Measurand]; remove: [] }>()
const form = computed(() => toForm(props.want.target, props.want.quantity))
const unit = computed(() => targetUnit(form.value.kind, props.want.quantity))
const write = (change: Partial<TargetForm>) =>
  emit('change', { ...props.want, target: fromForm({ ...form.value, ...change }, props.want.quantity) })
const text = (e: Event) => (e.target as HTMLInputElement).value
</script>

<template>
  <div class="want labelled-tight">
    <label
      >{{ t('common.quantity')
      }}<select
        :value="want.quantity"
        @change="emit('change', { ...want, quantity: text($event) as Quantity, target: null })"
      >
        <option v-for="q in QUANTITY_NAMES" :key="q" :value="q">{{ quantityLabel(q) }}</option>
      </select></label
    >
    <label
      >{{ t('sheet.requirement')
      }}<select :value="form.kind" @change="write({ kind: text($event) as TargetForm['kind'] })">
        <option v-for="k in TARGET_KINDS" :key="k.value" :value="k.value">{{ t(k.title) }}</option>
      </select></label
    >
    <template v-if="form.kind !== 'none'">
      <label v-if="form.kind === 'nominal-error'" class="short"
        >{{ t('sheet.nominal', { shownUnit: QUANTITIES[want.quantity].shownUnit })
        }}<input class="fig wide" :value="form.nominal" @change="write({ nominal: text($event) })"
      /></label>
      <label v-if="form.kind === 'like-reading' || form.kind === 'above-reading'"
        >{{ t('sheet.ofStep')
        }}<select :value="form.stepId" @change="write({ stepId: text($event) })">
          <option v-for="s in steps" :key="s" :value="s">{{ s }}</option>
        </select></label
      >
      <label v-if="form.kind === 'like-reading' || form.kind === 'above-reading'"
        >{{ t('sheet.its')
        }}<select :value="form.of" @change="write({ of: text($event) as Quantity })">
          <option v-for="q in QUANTITY_NAMES" :key="q" :value="q">{{ quantityLabel(q) }}</option>
        </select></label
      >
      <label v-if="form.kind === 'above-reading'" class="short"
        >{{ t('sheet.rowLabel')
        }}<input class="fig" :value="form.pointId" @change="write({ pointId: text($event) })"
      /></label>
      <label class="short"
        >{{ t('sheet.minimum', { unit })
        }}<input class="fig" inputmode="decimal" :value="form.low" @change="write({ low: text($event) })"
      /></label>
      <label class="short"
        >{{ t('sheet.maximum', { unit })
        }}<input class="fig" inputmode="decimal" :value="form.high" @change="write({ high: text($event) })"
      /></label>
      <label v-if="form.kind !== 'like-reading'" class="short"
        >{{ t('sheet.targetField', { unit })
        }}<input class="fig" inputmode="decimal" :value="form.aim" @change="write({ aim: text($event) })"
      /></label>
      <label v-if="form.kind === 'channel-error'" class="short"
        >{{ t('sheet.toneBesideHz')
        }}<input
          class="fig"
          inputmode="decimal"
          :value="form.nominal"
          @change="write({ nominal: text($event) })"
      /></label>
    </template>
    <label class="check"
      ><input
        type="checkbox"
        :checked="want.judgeLimit"
        @change="emit('change', { ...want, judgeLimit: ($event.target as HTMLInputElement).checked })"
      />
      {{ t('sheet.limitFromTheRuleSet') }}</label
    >
    <button type="button" class="out" @click="emit('remove')">{{ t('sheet.remove') }}</button>
  </div>
</template>

<style scoped>
.want {
  display: flex;
  flex-wrap: wrap;
  gap: 8px 10px;
  align-items: end;
  padding: 6px 0 6px 14px;
  border-left: 2px solid var(--line2);
}
.out {
  min-height: 44px;
  font-size: 13px;
  color: var(--accent);
  text-decoration: underline;
}
</style>
