<script setup lang="ts">
import { ref } from 'vue'
import type { OpenItem } from '#core/run'
import { t } from '#shared/i18n'
import StateMark from '~/ui/gauge/StateMark.vue'

/** What was taken out or changed for a demonstration, and whether it is back. */
defineProps<{ items: readonly OpenItem[]; wrong: (field: string) => string | undefined }>()
const emit = defineEmits<{ add: [text: string, kept: () => void]; back: [item: OpenItem] }>()
const text = ref('')
</script>

<template>
  <section :aria-label="t('trial.altered')">
    <h2>{{ t('trial.altered') }}</h2>
    <p class="quiet">{{ t('trial.alteredHint') }}</p>
    <ul>
      <li v-for="i in items" :key="i.id">
        <StateMark aria-hidden="true" :mark="i.settled === null ? 'none' : 'inside'" :size="12" />
        <span>
          <b>{{ i.title }}</b>{{ ' '
          }}<span class="quiet">{{
            i.settled === null ? t('trial.isOut') : t('trial.isBack', { text: i.settled })
          }}</span>
        </span>
        <v-btn
          v-if="i.settled === null"
          height="44"
          :aria-label="`${t('trial.putBack')} ${i.title}`"
          @click="emit('back', i)"
          >{{ t('trial.putBack') }}</v-btn
        >
      </li>
    </ul>
    <form class="no-print" @submit.prevent="emit('add', text, () => (text = ''))">
      <v-text-field v-model="text" :label="t('form.whatWasChanged')" :error-messages="wrong('text')" /><v-btn
        type="submit"
        size="large"
        :disabled="!text.trim()"
        >{{ t('trial.note') }}</v-btn
      >
    </form>
  </section>
</template>

<style scoped>
h2 {
  margin: 0;
}
p {
  margin: 0 0 6px;
}
ul {
  list-style: none;
  padding: 0 !important;
  margin: 0 0 8px;
}
li {
  display: flex;
  align-items: center;
  gap: 10px;
  min-height: 44px;
}
form {
  display: flex;
  flex-wrap: wrap;
  gap: 10px;
  align-items: flex-start;
  max-width: 640px;
}
form .v-text-field {
  flex: 1 1 340px;
}
</style>
