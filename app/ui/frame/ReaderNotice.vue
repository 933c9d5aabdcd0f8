<script setup lang="ts">
import { t } from '#shared/i18n'
</script>

<template>
  <p class="reads no-print" role="note">{{ t('people.readerNotice') }}</p>
</template>

<style scoped>
.reads {
  margin: 0;
  padding: 8px 20px;
  background: var(--sheet);
  border-left: 4px dashed var(--unsure);
  font-size: 14px;
}
</style>
