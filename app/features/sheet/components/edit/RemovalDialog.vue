<script setup lang="ts">
import type { SheetReference } from '#core/sheet'

/**
 * Something is about to be taken out that other places name: they are told, and taken out with it on request.
 */
defineProps<{ name: string | null; references: readonly SheetReference[] }>()
const emit = defineEmits<{ close: []; clear: [] }>()
</script>

<template>
  <v-dialog :model-value="name !== null" max-width="520" @update:model-value="v => v || emit('close')">
    <v-card :title="`Remove ${name}`">
      <v-card-text>
        <p>
          {{ name }} is used in {{ references.length === 1 ? 'one place' : `${references.length} places` }}:
          {{ references.map(r => `${r.at} ${r.name}`).join(', ') }}.
        </p>
      </v-card-text>
      <v-card-actions>
        <v-spacer />
        <v-btn height="44" @click="emit('close')">Cancel</v-btn>
        <v-btn height="44" variant="flat" color="primary" @click="emit('clear')">Remove there too</v-btn>
      </v-card-actions>
    </v-card>
  </v-dialog>
</template>
