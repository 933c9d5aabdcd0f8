<script setup lang="ts">
import { SHEETS } from '../../../core/sheet'

useHead({ title: 'Sheets' })
</script>

<template>
  <div class="page">
    <h1>Model sheets</h1>
    <p class="lead">What turns what, where and with which tool; what is measured; in which order, and why. Sheets are read only for now. <NuxtLink to="/rules">Rules and schools</NuxtLink> stand beside them.</p>
    <NuxtLink v-for="s in SHEETS" :key="s.id" :to="`/sheets/${s.id}`" class="sheet"><b>{{ s.model }}</b><span>{{ s.description }}</span><span class="quiet">{{ s.adjusters.length }} adjusters, {{ s.procedure.length }} steps, revision {{ s.revision }} of {{ s.revisedOn }}</span></NuxtLink>
  </div>
</template>

<style scoped>
.sheet { display: grid; grid-template-columns: 160px 1fr auto; gap: 20px; padding: 16px 4px; min-height: 56px; border-bottom: 1px solid var(--line); color: inherit; text-decoration: none; align-items: baseline; }
.sheet:hover { background: var(--sheet); }
.sheet b { font-size: 16px; }
@media (max-width: 700px) { .sheet { grid-template-columns: 1fr; gap: 2px; } }
</style>
