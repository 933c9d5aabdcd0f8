<script setup lang="ts">
import { groupDigits } from '#core/quantity'
import { messageWords } from '#shared/words/messageWords'
import { t } from '#shared/i18n'
import { ref } from 'vue'
import type { InstrumentAnswer } from '#shared/instrumentCommands'
import TraceChart from './TraceChart.vue'

/** Send a line, see the raw answer, see what was understood. */
defineProps<{ answer: InstrumentAnswer | null; busy: boolean; failure: string | null; night: boolean }>()
const emit = defineEmits<{ ask: [text: string] }>()
const text = defineModel<string>({ required: true })
const sent = ref('')
function send() {
  sent.value = text.value.trim()
  if (sent.value) emit('ask', sent.value)
}
</script>

<template>
  <section class="try" :aria-label="t('instruments.try')">
    <h2>{{ t('instruments.tryACommand') }}</h2>
    <form class="line" @submit.prevent="send">
      <v-text-field
        v-model="text"
        :label="t('instruments.toTheInstrument')"
        hide-details
        class="what"
        spellcheck="false"
        autocomplete="off"
      /><v-btn type="submit" size="large" :disabled="busy || !text.trim()">{{ t('instruments.send') }}</v-btn>
    </form>
    <p v-if="failure" class="care" role="alert">{{ failure }}</p>
    <dl v-else-if="answer" aria-live="polite">
      <dt>{{ t('instruments.sent') }}</dt>
      <dd class="fig">{{ sent }}</dd>
      <dt>{{ t('instruments.rawResponse') }}</dt>
      <dd class="fig">
        {{
          answer.raw === null
            ? t('instruments.noResponse')
            : answer.raw === ''
              ? t('instruments.noneExpected')
              : answer.raw
        }}
      </dd>
      <dt>{{ t('instruments.interpretedAs') }}</dt>
      <dd>
        {{
          t('instruments.afterMs', {
            understood: messageWords(answer.understood),
            tookMs: groupDigits(answer.tookMs, 0),
          })
        }}
      </dd>
      <dt>{{ t('instruments.instrumentErrors') }}</dt>
      <dd>{{ answer.errors.length ? answer.errors.join('; ') : t('instruments.none') }}</dd>
    </dl>
    <TraceChart v-if="answer?.trace && !failure" :values="answer.trace" :night="night" />
  </section>
</template>

<style scoped>
h2 {
  font-size: 17px;
  margin: 18px 0 8px;
}
.line {
  display: flex;
  gap: 10px;
  align-items: center;
  max-width: 640px;
}
.what {
  flex: 1;
}
dl {
  display: grid;
  grid-template-columns: 110px 1fr;
  gap: 4px 12px;
  margin: 10px 0;
}
dt {
  color: var(--ink2);
}
dd {
  margin: 0;
  overflow-wrap: anywhere;
}
</style>
