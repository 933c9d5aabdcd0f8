<script setup lang="ts">
import { t } from '#shared/i18n'
import type { AuditEntry } from '#shared/people'
import { clockTime, dayMonthYear } from '#shared/words/dateWords'
import { actionWords, roleWords } from '#shared/words/peopleWords'

defineProps<{ entries: readonly AuditEntry[] }>()
</script>

<template>
  <table class="plain">
    <thead>
      <tr>
        <th>{{ t('people.when') }}</th>
        <th>{{ t('people.who') }}</th>
        <th>{{ t('people.what') }}</th>
        <th>{{ t('people.about') }}</th>
      </tr>
    </thead>
    <tbody>
      <tr v-for="(e, i) in entries" :key="i">
        <td class="fig">{{ dayMonthYear(e.atMs) }} {{ clockTime(e.atMs) }}</td>
        <td>{{ e.name }}</td>
        <td>{{ actionWords(e.action) }}</td>
        <td>{{ [e.about, e.role && roleWords(e.role)].filter(Boolean).join(', ') }}</td>
      </tr>
    </tbody>
  </table>
</template>
