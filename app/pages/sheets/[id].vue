<script setup lang="ts">
import { computed } from 'vue'
import BoardMap from '../../components/align/BoardMap.vue'
import ModelHistory from '../../components/search/ModelHistory.vue'
import SheetSteps from '../../components/sheet/SheetSteps.vue'
import { coversPlan } from '../../../core/rules'
import { SHEETS, GOES_STALE } from '../../../core/sheet'
import { useRulesStore } from '../../stores/rules'
import { useSearchStore } from '../../stores/search'

const route = useRoute()
const search = useSearchStore()
const rulesStore = useRulesStore()
const night = useCookie<'day' | 'night'>('theme')
const sheet = computed(() => {
  const found = SHEETS.find(s => s.id === route.params.id)
  if (!found) throw createError({ statusCode: 404, statusMessage: 'unknown sheet' })
  return found
})
const rules = computed(() => rulesStore.all.filter(r => coversPlan(r.planId, sheet.value.planId)))
useHead({ title: () => sheet.value.model })
onMounted(() => void rulesStore.load())
</script>

<template>
  <div class="page">
    <h1>{{ sheet.model }}</h1>
    <p class="lead">{{ sheet.description }}. Revision {{ sheet.revision }} of {{ sheet.revisedOn }}.</p>
    <div class="care mb-6"><p v-for="c in sheet.cautions" :key="c">{{ c }}</p></div>
    <h2>Adjusters</h2>
    <div class="adjusters">
      <BoardMap :adjusters="sheet.adjusters" :wanted="[]" />
      <div class="scroll" tabindex="0"><table class="plain">
        <thead><tr><th>Adjuster</th><th>Where</th><th>Turn, tool</th><th>Moves</th></tr></thead>
        <tbody><tr v-for="a in sheet.adjusters" :key="a.designator"><td><b class="fig">{{ a.designator }}</b> {{ a.name }}</td><td>{{ a.where }}</td><td>{{ a.turn }}<br><span class="quiet">{{ a.tool }}</span></td><td>{{ a.moves }}<br><span class="quiet">{{ GOES_STALE[a.role].because }}</span></td></tr></tbody>
      </table></div>
    </div>
    <ModelHistory :sheet="sheet" :job-id="null" :night="night === 'night'" :load="search.historyOf" />
    <h2>Procedure</h2>
    <div class="scroll" tabindex="0"><SheetSteps :sheet="sheet" /></div>
    <h2>Specification</h2>
    <table class="plain"><tbody><tr v-for="l in sheet.specification" :key="l.what"><td>{{ l.what }}</td><td>{{ l.value }}</td><td class="quiet">{{ l.source }}</td></tr></tbody></table>
    <h2>Rule sets for this channel plan</h2>
    <div v-for="r in rules" :key="r.id" class="mt-3"><b>{{ r.name }}</b> <span class="quiet">{{ r.region }}; {{ r.source }}, as of {{ r.asOf }}{{ r.fromMemory ? ', from memory: check the current text' : '' }}</span>
      <ul><li v-for="l in r.limits" :key="l.id"><span class="fig">{{ l.id }}</span> {{ l.words }}</li><li v-for="a in r.alsoSays" :key="a" class="quiet">{{ a }}</li></ul></div>
  </div>
</template>

<style scoped>
.adjusters { display: grid; grid-template-columns: 300px minmax(0, 1fr); gap: 24px; margin-top: 10px; align-items: start; }
.scroll { overflow-x: auto; }
.care p { margin: 0; }
@media (max-width: 900px) { .adjusters { grid-template-columns: 1fr; } }
</style>
