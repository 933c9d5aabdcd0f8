<script setup lang="ts">
import { t } from '#shared/i18n'
import type { Doubt } from '../../logic/doubts'

/** What cannot be true in a row, and what the technician said to it. */
defineProps<{ doubts: readonly Doubt[] }>()
const emit = defineEmits<{ keep: [doubt: Doubt] }>()
</script>

<template>
  <span v-for="d in doubts" :key="d.rule + d.readingId" class="doubt" :class="{ kept: d.keptBecause }">
    <template v-if="d.keptBecause"
      >{{ t('align.confirmedByUser', { keptBecause: d.keptBecause }) }}
      <span class="quiet">({{ d.words }})</span></template
    >
    <template v-else
      >{{ t('align.implausible', { words: d.words })
      }}<button type="button" class="text-button keep no-print" @click.stop="emit('keep', d)">
        {{ t('align.confirmReading') }}
      </button></template
    >
  </span>
</template>

<style scoped>
.quiet {
  font-size: 12.5px;
}
.doubt {
  font-size: 12.5px;
  border-left: 3px dashed var(--out);
  padding-left: 8px;
  margin-top: 3px;
}
.doubt.kept {
  border-left: 3px solid var(--line2);
  color: var(--ink2);
}
.keep {
  padding: 0 8px;
  display: block;
}
</style>
