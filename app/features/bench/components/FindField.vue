<script setup lang="ts">
import { ref } from 'vue'
import { t } from '#shared/i18n'

/** Finds a job among those that are shown. */
const search = defineModel<string>({ required: true })
const field = ref<HTMLInputElement | null>(null)
defineExpose({ focus: () => field.value?.focus() })
</script>

<template>
  <label class="find"
    >{{ t('bench.find') }} <kbd>/</kbd>{{ ' ' }}
    <input
      ref="field"
      v-model="search"
      type="search"
      :placeholder="t('bench.tagSerialOwner')"
      @keydown.esc="search = ''"
  /></label>
</template>

<style scoped>
.find {
  margin-left: auto;
  font-size: 13px;
  color: var(--ink2);
}
input {
  width: 240px;
  margin-left: 10px;
}
@media (max-width: 700px) {
  .find {
    margin-left: 0;
  }
}
</style>
