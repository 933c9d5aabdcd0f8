<script setup lang="ts">
import { messageWords } from '#shared/words/messageWords'
import { t, withTextsTranslated } from '#shared/i18n'
import { clockSeconds, localDay } from '#shared/words/dateWords'
import { computed } from 'vue'
import type { Instrument } from '#shared/instrument'
import { profileOf } from '#shared/instrumentSetup'
import type { LiveLink } from '#shared/live'
import { calibrationWords } from '#shared/words/meterWords'
import StateMark from '~/ui/gauge/StateMark.vue'

const props = defineProps<{ instrument: Instrument; link: LiveLink | null; connected: boolean }>()
const emit = defineEmits<{ edit: []; remove: [] }>()
const today = localDay(Date.now())
const profile = computed(() => withTextsTranslated(profileOf(props.instrument)))
const state = computed(() => {
  if (props.instrument.port === null) return { mark: 'none' as const, words: t('instruments.manualEntry') }
  if (!props.connected || !props.link)
    return { mark: 'stale' as const, words: t('instruments.noDataFromTheInstrumentServer') }
  if (props.link.state === 'live')
    return {
      mark: 'inside' as const,
      words: t('instruments.answering', { identity: props.link.identity ?? '' }),
    }
  if (props.link.state === 'connecting')
    return { mark: 'partial' as const, words: t('instruments.connecting') }
  return {
    mark: 'stale' as const,
    words: t('instruments.notAnsweringSince', {
      value: clockSeconds(props.link.sinceMs),
      detail: props.link.detail ? messageWords(props.link.detail) : '',
    }),
  }
})
</script>

<template>
  <tr :data-instrument="instrument.name" :data-state="link?.state ?? 'none'">
    <td>
      <b>{{ instrument.name }}</b><br /><span class="quiet">{{ profile.name }}</span
      ><br /><span class="quiet">{{ calibrationWords(instrument.calibratedOn, today) }}</span>
    </td>
    <td>
      {{ profile.what }}<br /><span class="quiet"
        >{{ profile.accuracyWords
        }}{{
          instrument.attenuationDb > 0
            ? t('instruments.dbExternalAttenuationAdded', { attenuationDb: instrument.attenuationDb })
            : ''
        }}</span
      >
    </td>
    <td class="fig">{{ instrument.port === null ? '\u2013' : `${instrument.host}:${instrument.port}` }}</td>
    <td>
      <span class="state"
        ><StateMark aria-hidden="true" :mark="state.mark" /> <span>{{ state.words }}</span></span
      >
    </td>
    <td class="acts">
      <v-btn v-if="profile.talks" size="small" height="44" :to="`/instruments/${instrument.id}`">{{
        t('instruments.queries')
      }}</v-btn>{{ ' ' }}
      <v-btn size="small" height="44" @click="emit('edit')">{{ t('common.edit') }}</v-btn>{{ ' ' }}
      <v-btn size="small" height="44" @click="emit('remove')">{{ t('common.remove') }}</v-btn>
    </td>
  </tr>
</template>

<style scoped>
.state {
  display: flex;
  gap: 8px;
  align-items: baseline;
  max-width: 360px;
}
.state :deep(.state-mark) {
  align-self: center;
}
.acts {
  white-space: nowrap;
  text-align: right;
}
.quiet {
  font-size: 13px;
}
</style>
