<script setup lang="ts">
import { t } from '#shared/i18n'
import type { NewWorkEvent } from '../../logic/useEventForm'
import { vFocus } from '~/ui/vFocus'
import TurnedForm from './add/TurnedForm.vue'

/** What was turned that is not on the sheet, asked where one works on a step. */
defineProps<{ wrong?: (field: string) => string | undefined }>()
const emit = defineEmits<{ send: [event: NewWorkEvent, kept?: () => void]; close: [] }>()
</script>

<template>
  <v-dialog :model-value="true" max-width="560" @update:model-value="v => v || emit('close')">
    <v-card :title="t('job.adjustmentNotOnTheSheet')">
      <v-card-text>
        <TurnedForm
          v-slot="{ isComplete }"
          v-focus
          class="stacked"
          :wrong="wrong"
          @send="event => emit('send', event, () => emit('close'))"
        >
          <div class="actions">
            <v-btn @click="emit('close')">{{ t('common.cancel') }}</v-btn><v-btn
              type="submit"
              variant="flat"
              color="primary"
              :disabled="!isComplete"
              >{{ t('common.save') }}</v-btn
            >
          </div>
        </TurnedForm>
      </v-card-text>
    </v-card>
  </v-dialog>
</template>

<style scoped>
.stacked {
  display: flex;
  flex-direction: column;
  gap: 14px;
}
.stacked :deep(p) {
  margin: 0;
}
.actions {
  order: 1;
  display: flex;
  justify-content: flex-end;
  gap: 8px;
}
</style>
