<script setup lang="ts">
import { ref } from 'vue'
import type { AdjusterRole } from '#core/sheet'
import { GOES_STALE } from '#core/sheet'
import type { NewWorkEvent } from '../../logic/useEventForm'
import { ROLE_WORDS } from '#shared/words/roleWords'

/** What was turned, what it sets, where it stood. */
defineProps<{ wrong?: (field: string) => string | undefined }>()
const emit = defineEmits<{ send: [event: NewWorkEvent, kept?: () => void]; close: [] }>()
const name = ref('')
const role = ref<AdjusterRole | null>(null)
const startPosition = ref('')
const roles = Object.entries(ROLE_WORDS).map(([value, title]) => ({ value: value as AdjusterRole, title }))

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
    <v-card title="Adjustment not on the sheet">
      <v-card-text class="fields">
        <p class="care">
          Return it to its starting position if you know it. Readings that depend on it need a recheck.
        </p>
        <v-text-field
          v-model="name"
          label="Which adjuster"
          placeholder="L9, the core beside L4"
          autofocus
          maxlength="60"
          :error-messages="wrong?.('name')"
        />
        <v-select v-model="role" label="What it sets, as far as you can tell" :items="roles" />
        <v-text-field
          v-model="startPosition"
          label="Starting position"
          placeholder="core 2 turns below the rim; 10 o’clock; not known"
        />
        <p v-if="role" class="quiet">
          Recheck then: {{ GOES_STALE[role].topics.map(t => t.replace('-', ' ')).join(', ') }}, because
          {{ GOES_STALE[role].because }}.
        </p>
      </v-card-text>
      <v-card-actions
        ><v-spacer /><v-btn @click="emit('close')">Cancel</v-btn
        ><v-btn variant="flat" color="primary" :disabled="!name.trim() || role === null" @click="keep"
          >Save</v-btn
        ></v-card-actions
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
