<script setup lang="ts">
import { decimalSign, type DecimalSign } from '#core/quantity'
import { LANGUAGES, LANGUAGE_NAMES, language, t, type Language } from '#shared/i18n'
import { computed } from 'vue'
import { mainPages } from './mainPages'

const props = defineProps<{
  path: string
  night: boolean
  simulated: boolean
  panelOpen: boolean
  /** a simulated bench runs here: without one there is nothing to practise on */
  practice: boolean
  /** who is signed in; null = nobody signs in here */
  person: string | null
}>()
const emit = defineEmits<{
  theme: []
  keys: []
  person: []
  panel: []
  language: [to: Language]
  decimal: [sign: DecimalSign]
}>()
const pages = computed(() => mainPages().filter(p => p.to !== '/practice' || props.practice))
const otherSign: DecimalSign = decimalSign() === '.' ? ',' : '.'
const other = LANGUAGES.find(l => l !== language())!
</script>

<template>
  <nav class="side frame-nav" :aria-label="t('frame.mainMenu')">
    <NuxtLink to="/" prefetch-on="interaction" class="brand" :aria-label="t('frame.diapasonGoToBench')">
      <svg
        width="28"
        height="34"
        viewBox="0 0 30 36"
        fill="none"
        stroke="currentColor"
        stroke-width="3"
        stroke-linecap="round"
      >
        <path d="M7 3v12c0 5 3.500 8 8 8s8-3 8-8V3M15 23v10" />
      </svg>
    </NuxtLink>
    <NuxtLink
      v-for="p in pages"
      :key="p.to"
      prefetch-on="interaction"
      :to="p.to"
      :class="{ on: p.at(path) }"
      :aria-current="p.at(path) ? 'page' : undefined"
    >
      <svg viewBox="0 0 24 24" aria-hidden="true"><path :d="p.path" /></svg>{{ p.label }}
    </NuxtLink>
    <div class="space" />
    <button
      v-if="person"
      type="button"
      :title="t('frame.switchPerson', { name: person })"
      @click="emit('person')"
    >
      <svg viewBox="0 0 24 24" aria-hidden="true">
        <path d="M12 4a4 4 0 1 0 .01 0M4 20c1-5 4-7 8-7s7 2 8 7" /></svg
      ><span class="person">{{ person }}</span>
    </button>
    <button
      v-if="simulated"
      type="button"
      :aria-pressed="panelOpen"
      :class="{ on: panelOpen }"
      :title="t('frame.simulatorP')"
      @click="emit('panel')"
    >
      <svg viewBox="0 0 24 24" aria-hidden="true"><path d="M4 5h16v14H4zM14 5v14M17 9v2M17 13v2" /></svg
      >{{ t('frame.simulator') }}
    </button>
    <button type="button" :aria-pressed="night" @click="emit('theme')">
      <svg viewBox="0 0 24 24" aria-hidden="true">
        <path v-if="night" d="M12 4v2M12 18v2M4 12h2M18 12h2M12 8.500a3.500 3.500 0 1 0 .01 0" />
        <path v-else d="M19 14.500A7.500 7.500 0 0 1 9.500 5a7.500 7.500 0 1 0 9.500 9.500z" /></svg
      >{{ night ? t('frame.day') : t('frame.night') }}
    </button>
    <button
      type="button"
      :lang="other"
      :title="t('frame.changeLanguage', { name: LANGUAGE_NAMES[other] })"
      @click="emit('language', other)"
    >
      <svg viewBox="0 0 24 24" aria-hidden="true">
        <path d="M4 6h9M8.5 4v2M11 6c-1 4-4 7-7 8M6 8c1 3 3 5 6 6M12 20l4.5-10L21 20M13.500 17h6" /></svg
      >{{ LANGUAGE_NAMES[other] }}
    </button>
    <button type="button" :title="t('frame.changeDecimalSign')" @click="emit('decimal', otherSign)">
      <span class="q fig">0{{ otherSign }}5</span
      >{{ otherSign === ',' ? t('frame.decimalComma') : t('frame.decimalPoint') }}
    </button>
    <button type="button" @click="emit('keys')">
      <span class="q fig">?</span>{{ t('frame.shortcuts') }}
    </button>
  </nav>
</template>

<style scoped>
.person {
  max-width: 74px;
  overflow: hidden;
  text-overflow: ellipsis;
  white-space: nowrap;
}
.side {
  border-right: 1px solid var(--line2);
  display: flex;
  flex-direction: column;
  width: 78px;
}
.side a.brand {
  flex-basis: 56px;
  color: var(--accent);
}
.side a,
.side button {
  flex: 0 1 60px;
  min-height: 44px;
  display: flex;
  flex-direction: column;
  align-items: center;
  justify-content: center;
  gap: 3px;
  font-size: 11.5px;
  color: var(--ink2);
  text-decoration: none;
  width: 100%;
}
.side a.on {
  color: var(--accent);
  font-weight: 650;
  box-shadow: inset 3px 0 0 var(--accent);
}
.side svg {
  width: 21px;
  height: 21px;
  fill: none;
  stroke: currentColor;
  stroke-width: 1.7;
}
.side .brand svg {
  width: 26px;
  height: 32px;
  stroke-width: 3;
}
.side .q {
  font-size: 18px;
  line-height: 21px;
}
.space {
  flex: 1;
}
@media (max-width: 700px) {
  .side {
    flex-direction: row;
    width: 100%;
    border-right: 0;
    border-bottom: 1px solid var(--line2);
    overflow-x: auto;
  }
  .side a,
  .side button {
    width: auto;
    min-width: 62px;
    padding: 0 6px;
    height: 52px;
    flex: none;
  }
  .side .brand {
    display: none;
  }
  .side a.on {
    box-shadow: inset 0 -3px 0 var(--accent);
  }
}
</style>
