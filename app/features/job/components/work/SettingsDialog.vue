<script setup lang="ts">
import { computed, ref } from 'vue'
import { MODES, channelName, planOf } from '#core/rules'
import { CONNECTED_TO, type SettingsNoted } from '#core/run'
import type { ModelSheet } from '#core/sheet'
import { t, translated } from '#shared/i18n'
import { capital } from '#shared/words/sentence'
import { connectedWords, controlWords, settingsFor } from '#shared/words/settingsWords'
import { matchTyped } from '../../logic/matchForm'
import { settingsDraft, settingsOf } from '../../logic/settingsForm'
import type { NewWorkEvent } from '../../logic/useEventForm'
import MatchFields from './MatchFields.vue'

/** Positions of the controls for one band: those of the sheet, those of the card, and one that is added. */
const props = defineProps<{
  sheet: ModelSheet
  controls: readonly string[]
  /** what is changed; null = a new line */
  noted: SettingsNoted | null
  /** band that a new line begins with */
  nextBand: number | null
  wrong: (field: string) => string | undefined
}>()
const emit = defineEmits<{ send: [event: NewWorkEvent, kept?: () => void]; close: [] }>()
/** Those that stood there when it was opened; a name that is typed is none of them. */
const known = props.controls.length
const draft = ref(settingsDraft(props.controls, props.noted, props.nextBand))
const bands = computed(() => {
  const plan = planOf(props.sheet)
  return [
    { value: null, title: t('settings.allBands') },
    ...plan.channelsHz.map((_, i) => ({ value: i + 1, title: translated(channelName(plan, i + 1)) })),
  ]
})
const connections = [null, ...CONNECTED_TO].map(value => ({ value, title: connectedWords(value) }))
const modes = [{ value: null, title: t('settings.anyMode') }, ...MODES.map(m => ({ value: m, title: m }))]
const atAntenna = computed(() => draft.value.connectedTo === 'antenna')
const problems = computed(() => (atAntenna.value ? matchTyped(draft.value.match).problems : {}))
const written = computed(() => (Object.keys(problems.value).length > 0 ? null : settingsOf(draft.value)))
const add = () => draft.value.positions.push({ control: '', position: '' })

function keep() {
  if (written.value) emit('send', written.value, () => emit('close'))
}
</script>

<template>
  <v-dialog :model-value="true" max-width="640" @update:model-value="v => v || emit('close')">
    <v-card :title="t('settings.positionsOfTheControls')">
      <v-card-text>
        <p v-if="noted">
          <b>{{ settingsFor(sheet, noted) }}</b>
        </p>
        <div v-else class="for">
          <v-select
            v-model="draft.channel"
            :label="t('settings.band')"
            :items="bands"
            :error-messages="wrong('channel')"
          />
          <v-select v-model="draft.mode" :label="t('common.mode')" :items="modes" />
          <v-select v-model="draft.connectedTo" :label="t('form.connectedTo')" :items="connections" />
        </div>
        <div class="positions">
          <template v-for="(p, i) in draft.positions" :key="i">
            <v-text-field
              v-if="i < known"
              v-model="p.position"
              :label="capital(controlWords(sheet, p.control))"
              maxlength="60"
              @keydown.enter="keep"
            />
            <div v-else class="added">
              <v-text-field v-model="p.control" :label="t('form.control')" maxlength="60" />
              <v-text-field
                v-model="p.position"
                :label="t('form.position')"
                maxlength="60"
                @keydown.enter="keep"
              />
            </div>
          </template>
        </div>
        <v-btn height="44" @click="add">{{ t('settings.addControl') }}</v-btn>
        <MatchFields v-if="atAntenna" v-model="draft.match" :problems="problems" />
        <v-textarea
          v-model="draft.text"
          :class="{ 'mt-4': !atAntenna }"
          :label="t('form.note')"
          rows="2"
          auto-grow
          :error-messages="wrong('text') ?? wrong('')"
        />
      </v-card-text>
      <v-card-actions
        ><v-spacer /><v-btn @click="emit('close')">{{ t('common.cancel') }}</v-btn
        ><v-btn variant="flat" color="primary" :disabled="!written" @click="keep">{{
          t('common.save')
        }}</v-btn></v-card-actions
      >
    </v-card>
  </v-dialog>
</template>

<style scoped>
.for,
.positions {
  display: grid;
  grid-template-columns: repeat(auto-fit, minmax(160px, 1fr));
  gap: 10px;
  margin-bottom: 10px;
}
.added {
  display: grid;
  grid-column: 1 / -1;
  grid-template-columns: minmax(0, 1fr) minmax(0, 1fr);
  gap: 10px;
}
</style>
