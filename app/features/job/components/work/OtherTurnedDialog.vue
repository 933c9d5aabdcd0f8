<script setup lang="ts">
import { topicWords } from '#shared/words/quantityWords'
import { t, translated } from '#shared/i18n'
import { ref } from 'vue'
import type { AdjusterRole } from '#core/sheet'
import { GOES_STALE } from '#core/sheet'
import type { NewWorkEvent } from '../../logic/useEventForm'
import { ROLE_WORDS } from '#shared/words/roleWords'
import { vFocus } from '~/ui/vFocus'

/** What was turned, what it sets, where it stood. */
defineProps<{ wrong?: (field: string) => string | undefined }>()
const emit = defineEmits<{ send: [event: NewWorkEvent, kept?: () => void]; close: [] }>()
const name = ref('')
const role = ref<AdjusterRole | null>(null)
const startPosition = ref('')
const roles = Object.entries(ROLE_WORDS).map(([value, code]) => ({
  value: value as AdjusterRole,
  title: t(code),
}))

function keep() {
  if (!name.value.trim() || role.value === null) return
  emit(
    'send',
    {
      kind: 'unlisted-turned',
      name: name.value.trim(),
      role: role.value,
      startPosition: startPosition.value.trim(),
    },
    () => emit('close'),
  )
}
</script>

<template>
  <v-dialog :model-value="true" max-width="560" @update:model-value="v => v || emit('close')">
    <v-card :title="t('job.adjustmentNotOnTheSheet')">
      <v-card-text class="fields">
        <p class="care">
          {{ t('job.returnItToItsStartingPosition') }}
        </p>
        <v-text-field
          v-model="name"
          v-focus
          :label="t('job.whichAdjuster')"
          :placeholder="t('job.exampleCore')"
          maxlength="60"
          :error-messages="wrong?.('name')"
        />
        <v-select v-model="role" :label="t('job.whatItSetsAsFarAs')" :items="roles" />
        <v-text-field
          v-model="startPosition"
          :label="t('job.startingPosition')"
          :placeholder="t('job.core2TurnsBelowTheRim')"
        />
        <p v-if="role" class="quiet">
          {{
            t('job.recheckThenBecause', {
              list: GOES_STALE[role].topics.map(topicWords).join(', '),
              because: translated(GOES_STALE[role].because),
            })
          }}
        </p>
      </v-card-text>
      <v-card-actions
        ><v-spacer /><v-btn @click="emit('close')">{{ t('common.cancel') }}</v-btn
        ><v-btn variant="flat" color="primary" :disabled="!name.trim() || role === null" @click="keep">{{
          t('common.save')
        }}</v-btn></v-card-actions
      >
    </v-card>
  </v-dialog>
</template>

<style scoped>
.fields {
  display: grid;
  gap: 14px;
}
.fields p {
  margin: 0;
}
</style>
