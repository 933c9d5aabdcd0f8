<script setup lang="ts">
import { t } from '#shared/i18n'
import type { SheetReference } from '#core/sheet'

/**
 * Something is about to be taken out that other places name: they are told, and taken out with it on request.
 */
defineProps<{ name: string | null; references: readonly SheetReference[] }>()
const emit = defineEmits<{ close: []; clear: [] }>()
</script>

<template>
  <v-dialog :model-value="name !== null" max-width="520" @update:model-value="v => v || emit('close')">
    <v-card :title="t('sheet.removeNamed', { name })">
      <v-card-text>
        <p>
          {{
            t('sheet.isUsedIn', {
              name,
              what:
                references.length === 1
                  ? t('sheet.onePlace')
                  : t('sheet.places', { count: references.length }),
              list: references.map(r => `${r.at} ${r.name}`).join(', '),
            })
          }}
        </p>
      </v-card-text>
      <v-card-actions>
        <v-spacer />
        <v-btn height="44" @click="emit('close')">{{ t('common.cancel') }}</v-btn>
        <v-btn height="44" variant="flat" color="primary" @click="emit('clear')">{{
          t('sheet.removeThereToo')
        }}</v-btn>
      </v-card-actions>
    </v-card>
  </v-dialog>
</template>
