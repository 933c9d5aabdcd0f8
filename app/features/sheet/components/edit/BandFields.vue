<script setup lang="ts">
import { computed } from 'vue'
import { t } from '#shared/i18n'
import { numberForField } from '#core/quantity'
import { MODES, bandChannelsHz, rasterOver, type BandChannels, type Mode, type PlanBand } from '#core/rules'
import { enteredNumber, enteredRequired } from '~/ui/enteredNumber'
import { enteredFrequencies, frequenciesForField } from './enteredFrequencies'

/** One band: its channels, edges, modes, and where it is received. */
const props = defineProps<{
  band: PlanBand
  rules: readonly { readonly value: string; readonly title: string }[]
}>()
const emit = defineEmits<{ change: [band: PlanBand] }>()
const put = (part: Partial<PlanBand>) => emit('change', { ...props.band, ...part })
/** Units of the fields in one hertz. */
const [MHZ, KHZ] = [1e-6, 1e-3]
const raster = computed(() => (props.band.channels.kind === 'raster' ? props.band.channels : null))
const value = (e: Event) => (e.target as HTMLInputElement).value
const putRaster = (part: Partial<Extract<BandChannels, { kind: 'raster' }>>) =>
  put({ channels: { ...raster.value!, ...part } })

/** The other way to write the same frequencies. */
function write(kind: string) {
  const frequenciesHz = bandChannelsHz(props.band)
  put({ channels: kind === 'list' ? { kind, frequenciesHz } : rasterOver(frequenciesHz) })
}
/** Edges are known both or not at all: the other begins where the channels end. */
function putEdge(end: 'low' | 'high', e: Event) {
  const { edgesHz } = props.band
  const hz = enteredNumber(e, edgesHz?.[end] ?? null, { perSi: MHZ, optional: true })
  if (hz === null) return put({ edgesHz: null })
  const channelsHz = bandChannelsHz(props.band)
  const known = edgesHz ?? { low: Math.min(...channelsHz, hz), high: Math.max(...channelsHz, hz) }
  put({ edgesHz: { ...known, [end]: Math.round(hz) } })
}
function putRules(id: string) {
  const { ruleSetId: _before, ...rest } = props.band
  emit('change', id === '' ? rest : { ...rest, ruleSetId: id })
}
function toggle(mode: Mode) {
  const { modes } = props.band
  put({ modes: modes.includes(mode) ? modes.filter(m => m !== mode) : [...modes, mode] })
}
</script>

<template>
  <div class="band">
    <label
      >{{ t('common.name')
      }}<input :value="band.name" maxlength="20" @change="put({ name: value($event).trim() })"
    /></label>
    <label
      >{{ t('sheet.spacing')
      }}<select :value="band.channels.kind" @change="write(value($event))">
        <option value="raster">{{ t('sheet.evenly') }}</option>
        <option value="list">{{ t('sheet.oneByOne') }}</option>
      </select></label
    >
    <template v-if="band.channels.kind === 'raster'">
      <label
        v-for="(words, key) in { firstHz: 'sheet.firstMhz', lastHz: 'sheet.lastMhz' } as const"
        :key="key"
        >{{ t(words)
        }}<input
          class="fig"
          inputmode="decimal"
          :value="numberForField(band.channels[key] * MHZ)"
          @change="putRaster({ [key]: Math.round(enteredRequired($event, raster![key], MHZ)) })"
      /></label>
      <label
        >{{ t('sheet.stepKhz')
        }}<input
          class="fig"
          inputmode="decimal"
          :value="numberForField(band.channels.stepHz * KHZ)"
          @change="putRaster({ stepHz: enteredRequired($event, raster!.stepHz, KHZ) })"
      /></label>
      <label class="long"
        >{{ t('sheet.leftOutMhz')
        }}<input
          class="fig"
          :value="frequenciesForField(band.channels.leftOutHz)"
          :placeholder="t('sheet.apartBySpaces')"
          @change="putRaster({ leftOutHz: enteredFrequencies($event, raster!.leftOutHz) })"
      /></label>
    </template>
    <label v-else class="long"
      >{{ t('sheet.frequenciesMhz')
      }}<textarea
        class="fig"
        rows="2"
        :value="frequenciesForField(band.channels.frequenciesHz)"
        :placeholder="t('sheet.apartBySpaces')"
        @change="
          put({ channels: { kind: 'list', frequenciesHz: enteredFrequencies($event, bandChannelsHz(band)) } })
        "
      />
    </label>
    <label v-for="(words, end) in { low: 'sheet.edgesFromMhz', high: 'sheet.edgesToMhz' } as const" :key="end"
      >{{ t(words)
      }}<input
        class="fig"
        inputmode="decimal"
        :value="numberForField(band.edgesHz ? band.edgesHz[end] * MHZ : null)"
        @change="putEdge(end, $event)"
    /></label>
    <label
      >{{ t('sheet.receivedAboveKhz')
      }}<input
        class="fig"
        inputmode="decimal"
        :value="numberForField(band.receiveOffsetHz * KHZ)"
        @change="put({ receiveOffsetHz: Math.round(enteredRequired($event, band.receiveOffsetHz, KHZ)) })"
    /></label>
    <label class="long"
      >{{ t('sheet.bandRules')
      }}<select :value="band.ruleSetId ?? ''" @change="putRules(value($event))">
        <option value="">{{ t('sheet.rulesOfTheJob') }}</option>
        <option v-for="r in rules" :key="r.value" :value="r.value">{{ r.title }}</option>
      </select></label
    >
    <fieldset>
      <legend>{{ t('sheet.bandModes') }}</legend>
      <label v-for="m in MODES" :key="m" class="check"
        ><input type="checkbox" :checked="band.modes.includes(m)" @change="toggle(m)" /> {{ m }}</label
      >
      <span v-if="band.modes.length === 0" class="quiet">{{ t('sheet.everyModeOfTheSet') }}</span>
    </fieldset>
  </div>
</template>

<style scoped>
.band {
  display: grid;
  grid-template-columns: repeat(auto-fill, minmax(150px, 1fr));
  gap: 8px 12px;
  align-items: end;
  padding: 0 0 10px 14px;
}
.band input:not([type='checkbox']),
.band select,
.band textarea {
  width: 100%;
}
.long {
  grid-column: span 2;
}
fieldset {
  grid-column: 1 / -1;
  border: 0;
  padding: 0;
  display: flex;
  flex-wrap: wrap;
  gap: 4px 14px;
  align-items: center;
}
</style>
