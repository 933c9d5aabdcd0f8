<script setup lang="ts">
import { t, translated } from '#shared/i18n'
import { countWords } from '#shared/words/dateWords'
import { ref, watch } from 'vue'
import { vFocus } from '../vFocus'

/** Asks for a few words: a note, a reason. What was typed stays until it was kept or given up. */
const props = withDefaults(
  defineProps<{
    open: boolean
    title: string
    hint?: string
    label: string
    action: string
    required?: boolean
    failure?: string | null
    maxLength?: number
    /** usual answers of a table, one press each: kept as the table has them, shown in the language of the page */
    suggestions?: readonly string[]
  }>(),
  { hint: '', suggestions: () => [], required: true, failure: null, maxLength: 10_000 },
)
const emit = defineEmits<{ close: []; done: [text: string] }>()
const text = ref('')
watch(
  () => props.open,
  open => open && (text.value = ''),
)

function finish() {
  if (props.required && text.value.trim() === '') return
  emit('done', text.value.trim())
}
const tooLong = (v: string) =>
  v.length <= props.maxLength ||
  t('frame.charactersMaxPleaseShortenItNothing', {
    label: props.label,
    count: countWords(v.length),
    maxLength: countWords(props.maxLength),
  })
</script>

<template>
  <v-dialog :model-value="open" max-width="560" @update:model-value="v => v || emit('close')">
    <v-card :title="title">
      <v-card-text>
        <p v-if="hint" class="quiet mb-3">{{ hint }}</p>
        <div v-if="suggestions.length > 0" class="suggestions">
          <v-btn v-for="s in suggestions" :key="s" height="44" @click="emit('done', s)">{{
            translated(s)
          }}</v-btn>
        </div>
        <v-textarea
          v-model="text"
          v-focus
          :label="label"
          rows="3"
          auto-grow
          max-rows="10"
          :rules="[tooLong]"
          :error-messages="failure ?? undefined"
          @keydown.ctrl.enter="finish"
        />
      </v-card-text>
      <v-card-actions>
        <v-spacer />
        <v-btn @click="emit('close')">{{ t('common.cancel') }}</v-btn>
        <v-btn
          variant="flat"
          color="primary"
          :disabled="(required && text.trim() === '') || text.length > maxLength"
          @click="finish"
          >{{ action }} <kbd>{{ t('frame.ctrlEnter') }}</kbd></v-btn
        >
      </v-card-actions>
    </v-card>
  </v-dialog>
</template>

<style scoped>
.suggestions {
  display: flex;
  flex-wrap: wrap;
  gap: 8px;
  margin-bottom: 12px;
}
</style>
