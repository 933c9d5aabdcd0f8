<script setup lang="ts">
import { numberForField } from '#core/quantity'
import { MODES } from '#core/rules'
import { modulationOf, withoutAudioWords, type Audio, type SetState } from '#core/sheet'
import { t } from '#shared/i18n'
import { enteredNumber } from '~/ui/enteredNumber'

/** How the set stands while a row is read. */
const props = defineProps<{
  state: SetState
  channels: readonly { readonly value: number; readonly title: string }[]
}>()
const emit = defineEmits<{ change: [part: Partial<SetState>] }>()
const text = (e: Event) => (e.target as HTMLInputElement).value
/** A position between the ends is neither of them. */
function putPosition(name: string) {
  const powerPosition = name.trim()
  emit('change', powerPosition ? { powerPosition, lowPower: false } : { powerPosition: undefined })
}
/** A single tone has its own field; what else modulates the set takes its place. */
const putTone = (toneHz: number | null) =>
  emit('change', toneHz === null ? { toneHz } : { toneHz, audio: undefined })
/** The field decides from here on: older sheets say it in the controls too. */
function putAudio(audio: string) {
  const setting = withoutAudioWords(props.state.setting)
  emit(
    'change',
    audio === '' ? { audio: undefined, setting } : { audio: audio as Audio, toneHz: null, setting },
  )
}
const otherAudio = (state: SetState) => {
  const modulation = modulationOf(state)
  return modulation === 'speech' || modulation === 'two-tones' ? modulation : ''
}
/** Units of the fields in one volt. */
const [MV, UV] = [1e3, 1e6]
</script>

<template>
  <label class="short"
    >{{ t('common.mode')
    }}<select :value="state.mode" @change="emit('change', { mode: text($event) as SetState['mode'] })">
      <option v-for="m in MODES" :key="m">{{ m }}</option>
    </select></label
  >
  <label class="short"
    >{{ t('common.channel')
    }}<select
      :value="state.channel ?? ''"
      @change="emit('change', { channel: enteredNumber($event, state.channel, { optional: true }) })"
    >
      <option value="">{{ t('sheet.any') }}</option>
      <option v-for="c in channels" :key="c.value" :value="c.value">{{ c.title }}</option>
    </select></label
  >
  <label class="check"
    ><input type="checkbox" :checked="state.keyed" @change="emit('change', { keyed: !state.keyed })" />
    {{ t('sheet.keyed') }}</label
  >
  <label class="check"
    ><input
      type="checkbox"
      :checked="state.lowPower"
      :disabled="!!state.powerPosition"
      @change="emit('change', { lowPower: !state.lowPower })"
    />
    {{ t('sheet.lowPower') }}</label
  >
  <label class="middle"
    >{{ t('sheet.powerPosition')
    }}<input
      :value="state.powerPosition ?? ''"
      maxlength="60"
      :placeholder="t('sheet.highestOrLowest')"
      @change="putPosition(text($event))"
  /></label>
  <label class="check"
    ><input
      type="checkbox"
      :checked="state.coverage === 'expanded'"
      @change="emit('change', { coverage: state.coverage === 'expanded' ? 'standard' : 'expanded' })"
    />
    {{ t('sheet.expanded') }}</label
  >
  <label class="short"
    >{{ t('sheet.toneHz')
    }}<input
      class="fig"
      :value="numberForField(state.toneHz)"
      @change="putTone(enteredNumber($event, state.toneHz, { optional: true }))"
  /></label>
  <label class="middle"
    >{{ t('sheet.otherModulation')
    }}<select :value="otherAudio(state)" @change="putAudio(text($event))">
      <option value="">{{ t('sheet.none') }}</option>
      <option value="two-tones">{{ t('sheet.twoTones') }}</option>
      <option value="speech">{{ t('sheet.speech') }}</option>
    </select></label
  >
  <label class="short"
    >{{ t('sheet.driveMv')
    }}<input
      class="fig"
      :value="numberForField(state.toneV === null ? null : state.toneV * MV, 6)"
      @change="emit('change', { toneV: enteredNumber($event, state.toneV, { perSi: MV, optional: true }) })"
  /></label>
  <label class="short"
    >{{ t('sheet.generatorV')
    }}<input
      class="fig"
      :value="numberForField(state.inputV === null ? null : state.inputV * UV, 6)"
      @change="
        emit('change', { inputV: enteredNumber($event, state.inputV, { perSi: UV, optional: true }) })
      "
  /></label>
  <label class="long"
    >{{ t('sheet.controls')
    }}<input
      :value="state.setting"
      :placeholder="t('sheet.asUsual')"
      @change="emit('change', { setting: text($event) })"
  /></label>
  <label class="long"
    >{{ t('sheet.also')
    }}<input
      :value="state.also ?? ''"
      :placeholder="t('sheet.probePosition')"
      @change="emit('change', { also: text($event) || null })"
  /></label>
</template>

<style scoped>
.middle {
  flex: 0 1 200px;
}
.long {
  flex: 1 1 220px;
}
</style>
