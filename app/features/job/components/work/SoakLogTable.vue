<script setup lang="ts">
import { t } from '#shared/i18n'
import { computed } from 'vue'
import { groupDigits, showErrorHz, showPlain } from '#core/quantity'
import type { SoakLog } from '#core/work'
import { clockTime } from '#shared/words/dateWords'
import { durationWords } from '#shared/words/workWords'
import StateMark from '~/ui/gauge/StateMark.vue'

/** Readings while a soak runs: a short key-down every ten minutes, against the first. */
const props = defineProps<{ log: SoakLog; nowMs: number; title: string; cautions: string }>()
const emit = defineEmits<{ take: []; type: [] }>()
const due = computed(() => props.log.nextDueMs <= props.nowMs)
const first = computed(() => props.log.readings[0] ?? null)
const drift = (hz: number | null) =>
  hz === null || first.value?.carrierHz == null
    ? ''
    : `${showErrorHz(hz - first.value.carrierHz, null).value} Hz`
</script>

<template>
  <div class="log">
    <h2>
      {{ t('job.log') }} <span class="quiet">{{ t('job.keyed5SOn', { title, cautions }) }}</span>
    </h2>
    <p :class="{ due }" role="status">
      {{
        due
          ? t('job.aReadingIsDue')
          : t('job.nextReadingIn', { duration: durationWords(log.nextDueMs - nowMs) })
      }}
    </p>
    <slot />
    <div class="acts">
      <v-btn
        size="large"
        :variant="due ? 'flat' : undefined"
        :color="due ? 'primary' : undefined"
        @click="emit('take')"
        >{{ t('job.logNow') }}</v-btn><v-btn size="large" @click="emit('type')">{{ t('job.type') }}</v-btn>
    </div>
    <table v-if="log.readings.length > 0" class="plain">
      <thead>
        <tr>
          <th>{{ t('job.time') }}</th>
          <th>{{ t('job.power') }}</th>
          <th>{{ t('job.frequencyRelativeToTheFirst') }}</th>
        </tr>
      </thead>
      <tbody>
        <tr v-for="r in log.readings" :key="r.atMs">
          <td class="fig">{{ clockTime(r.atMs) }}</td>
          <td class="fig">{{ r.powerW === null ? '\u2013' : showPlain(r.powerW, 'powerW') }}</td>
          <td class="fig">{{ drift(r.carrierHz) }}</td>
        </tr>
      </tbody>
    </table>
    <p v-if="log.dropDb !== null">
      <StateMark aria-hidden="true" :mark="log.fades ? 'below' : 'inside'" :size="12" />
      {{
        t('job.dbSinceTheFirst', {
          dropDb: groupDigits(log.dropDb, 2, true),
          what: log.fades ? t('job.powerDownMoreThan05') : t('job.within05Db'),
        })
      }}<template v-if="log.driftHz !== null">{{
        t('job.driftHz', { driftHz: groupDigits(log.driftHz, 0, true) })
      }}</template>
    </p>
  </div>
</template>

<style scoped>
.log {
  margin-top: 18px;
}
h2 {
  margin: 0;
}
h2 .quiet {
  font-weight: 400;
  font-size: 13px;
}
.acts {
  display: flex;
  gap: 12px;
  margin: 6px 0 10px;
}
.due {
  font-weight: 600;
}
table {
  max-width: 520px;
}
</style>
