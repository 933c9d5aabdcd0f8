<script setup lang="ts">
import { t, withTextsTranslated } from '#shared/i18n'
import { computed, defineAsyncComponent, onMounted, ref, shallowRef } from 'vue'
import { useCookie, useHead, useRoute } from '#imports'
import ModelHistory from '~/features/search/components/ModelHistory.vue'
import AdjusterTable from '~/features/sheet/components/AdjusterTable.vue'
import RuleSetText from '~/features/rules/components/RuleSetText.vue'
import SheetRevisions from '~/features/sheet/components/SheetRevisions.vue'
import SheetSteps from '~/features/sheet/components/SheetSteps.vue'
import { coversPlan, planOf } from '#core/rules'
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
const sheet = computed(() => withTextsTranslated(view.value?.sheet ?? null))
const rules = computed(() =>
  sheet.value ? rulesStore.all.filter(r => coversPlan(r.planId, planOf(sheet.value!))) : [],
)
useHead({ title: () => sheet.value?.model ?? t('sheet.sheet') })
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
        <v-btn height="44" class="no-print" :to="`/sheets/new?copy=${sheet.id}`">{{
          t('sheet.copy')
        }}</v-btn><v-btn height="44" class="no-print" :href="`/api/sheets/${sheet.id}/file.json`" download>{{
          t('sheet.export')
        }}</v-btn
        ><v-btn height="44" class="no-print" @click="print">{{ t('common.print') }}</v-btn>
        <v-btn height="44" class="no-print" variant="flat" color="primary" :to="`/sheets/${sheet.id}/edit`">{{
          t('common.edit')
        }}</v-btn>
      </div>
      <p class="lead">
        {{
          t('sheet.revisionOf', {
            description: sheet.description,
            revision: sheet.revision,
            revisedOn: sheet.revisedOn,
          })
        }}
      </p>
      <div class="care mb-6">
        <p v-for="c in sheet.cautions" :key="c">{{ c }}</p>
      </div>
      <h2>{{ t('sheet.board') }}</h2>
      <BoardView :sheet="sheet" :wanted="wanted" />
      <h2>{{ t('sheet.adjusters') }}</h2>
      <AdjusterTable :sheet="sheet" :trust="view.trust" @show="d => (wanted = [d])" />
      <h2>{{ t('sheet.procedure') }}</h2>
      <StepGraph :steps="sheet.procedure" />
      <div class="scroll" tabindex="0"><SheetSteps :sheet="sheet" /></div>
      <template v-if="sheet.testPoints?.length"
        ><h2>{{ t('sheet.testPoints') }}</h2>
        <table class="plain">
          <tbody>
            <tr v-for="p in sheet.testPoints" :key="p.id">
              <td class="fig">{{ p.id }}</td>
              <td>{{ p.name }}</td>
              <td>{{ p.where }}</td>
              <td>{{ p.expected }}</td>
              <td class="quiet">{{ p.caution }}</td>
            </tr>
          </tbody>
        </table></template
      >
      <h2>{{ t('sheet.specification') }}</h2>
      <table v-if="sheet.specification.length > 0" class="plain">
        <tbody>
          <tr v-for="l in sheet.specification" :key="l.what">
            <td>{{ l.what }}</td>
            <td>{{ l.value }}</td>
            <td class="quiet">{{ l.source }}</td>
          </tr>
        </tbody>
      </table>
      <p v-else class="quiet">{{ t('sheet.noneYet') }}</p>
      <template v-if="sheet.typicalFaults?.length"
        ><h2>{{ t('sheet.typicalFaults') }}</h2>
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
      <h2>{{ t('sheet.revisions') }}</h2>
      <SheetRevisions :id="sheet.id" :revisions="view.revisions" :revision="store.revision" />
      <h2 class="no-print">{{ t('sheet.ruleSetsForThisChannelPlan') }}</h2>
      <RuleSetText v-for="r in rules" :key="r.id" class="mt-3 no-print" :set="r" />
    </template>
    <template v-else-if="store.failure"
      ><h1>
        {{
          store.failure.code === 'unknown-sheet' ? t('sheet.sheetNotFound') : t('sheet.theSheetCannotBeShown')
        }}
      </h1>
      <p class="lead">{{ store.failure.words }}</p>
      <v-btn to="/sheets">{{ t('sheet.allSheets') }}</v-btn></template
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
