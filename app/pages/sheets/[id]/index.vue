<script setup lang="ts">
import { computed, defineAsyncComponent, onMounted, ref, shallowRef } from 'vue'
import { useCookie, useHead, useRoute } from '#imports'
import ModelHistory from '~/features/search/components/ModelHistory.vue'
import AdjusterTable from '~/features/sheet/components/AdjusterTable.vue'
import RuleSetText from '~/features/rules/components/RuleSetText.vue'
import SheetRevisions from '~/features/sheet/components/SheetRevisions.vue'
import SheetSteps from '~/features/sheet/components/SheetSteps.vue'
import { coversPlan } from '#core/rules'
import type { SheetView } from '#shared/sheetFile'
import { useRulesStore } from '~/features/rules/store/rules'
import { useSearchStore } from '~/features/search/store/search'
import { useSheetsStore } from '~/features/sheet/store/sheets'

const BoardView = defineAsyncComponent(() => import('~/features/sheet/components/board/BoardView.vue'))
const StepGraph = defineAsyncComponent(() => import('~/features/sheet/components/StepGraph.vue'))
const route = useRoute()
const search = useSearchStore()
const store = useSheetsStore()
const rulesStore = useRulesStore()
const night = useCookie<'day' | 'night'>('theme')
const view = shallowRef<SheetView | null>(null)
const wanted = ref<string[]>([])
const sheet = computed(() => view.value?.sheet ?? null)
const rules = computed(() =>
  sheet.value ? rulesStore.all.filter(r => coversPlan(r.planId, sheet.value!.planId)) : [],
)
useHead({ title: () => sheet.value?.model ?? 'Sheet' })
const print = () => globalThis.print()
onMounted(async () => {
  void rulesStore.load()
  view.value = await store.view(String(route.params.id))
})
</script>

<template>
  <div class="page">
    <template v-if="view && sheet">
      <div class="top">
        <h1>{{ sheet.model }}</h1>
        <span class="space" />
        <v-btn height="44" class="no-print" :to="`/sheets/new?copy=${sheet.id}`">Copy</v-btn
        ><v-btn height="44" class="no-print" :href="`/api/sheets/${sheet.id}/file.json`" download
          >Export</v-btn
        ><v-btn height="44" class="no-print" @click="print">Print</v-btn>
        <v-btn height="44" class="no-print" variant="flat" color="primary" :to="`/sheets/${sheet.id}/edit`"
          >Edit</v-btn
        >
      </div>
      <p class="lead">{{ sheet.description }}. Revision {{ sheet.revision }} of {{ sheet.revisedOn }}.</p>
      <div class="care mb-6">
        <p v-for="c in sheet.cautions" :key="c">{{ c }}</p>
      </div>
      <h2>Board</h2>
      <BoardView :sheet="sheet" :wanted="wanted" />
      <h2>Adjusters</h2>
      <AdjusterTable :sheet="sheet" :trust="view.trust" @show="d => (wanted = [d])" />
      <h2>Procedure</h2>
      <StepGraph :steps="sheet.procedure" />
      <div class="scroll" tabindex="0"><SheetSteps :sheet="sheet" /></div>
      <template v-if="sheet.testPoints?.length"
        ><h2>Test points</h2>
        <table class="plain">
          <tbody>
            <tr v-for="t in sheet.testPoints" :key="t.id">
              <td class="fig">{{ t.id }}</td>
              <td>{{ t.name }}</td>
              <td>{{ t.where }}</td>
              <td>{{ t.expected }}</td>
              <td class="quiet">{{ t.caution }}</td>
            </tr>
          </tbody>
        </table></template
      >
      <h2>Specification</h2>
      <table v-if="sheet.specification.length > 0" class="plain">
        <tbody>
          <tr v-for="l in sheet.specification" :key="l.what">
            <td>{{ l.what }}</td>
            <td>{{ l.value }}</td>
            <td class="quiet">{{ l.source }}</td>
          </tr>
        </tbody>
      </table>
      <p v-else class="quiet">None yet.</p>
      <template v-if="sheet.typicalFaults?.length"
        ><h2>Typical faults</h2>
        <table class="plain">
          <tbody>
            <tr v-for="f in sheet.typicalFaults" :key="f.seen">
              <td>{{ f.seen }}</td>
              <td>{{ f.cause }}</td>
              <td>{{ f.cure }}</td>
            </tr>
          </tbody>
        </table></template
      >
      <ModelHistory
        class="no-print"
        :sheet="sheet"
        :job-id="null"
        :night="night === 'night'"
        :load="search.historyOf"
      />
      <h2>Revisions</h2>
      <SheetRevisions :id="sheet.id" :revisions="view.revisions" :revision="store.revision" />
      <h2 class="no-print">Rule sets for this channel plan</h2>
      <RuleSetText v-for="r in rules" :key="r.id" class="mt-3 no-print" :set="r" />
    </template>
    <template v-else-if="store.failure"
      ><h1>
        {{ store.failure.code === 'unknown-sheet' ? 'Sheet not found' : 'The sheet cannot be shown' }}
      </h1>
      <p class="lead">{{ store.failure.words }}</p>
      <v-btn to="/sheets">All sheets</v-btn></template
    >
    <div v-else role="status"><v-progress-linear indeterminate color="primary" /></div>
  </div>
</template>

<style scoped>
.top {
  display: flex;
  gap: 10px;
  align-items: center;
  flex-wrap: wrap;
}
.space {
  flex: 1;
}
.scroll {
  overflow-x: auto;
}
.care p {
  margin: 0;
}
</style>
