<script setup lang="ts">
import { t, translated } from '#shared/i18n'
import { computed, nextTick, onMounted, ref, watch } from 'vue'
import { useHead, useRoute } from '#imports'
import { CAUSES } from '#core/diagnose'
import type { SavedQuery } from '#shared/search'
import type { Failure } from '../../data/failureWords'
import TextDialog from '../../ui/frame/TextDialog.vue'
import FoundRow from '~/features/search/components/FoundRow.vue'
import ViewChips from '~/features/search/components/ViewChips.vue'
import { useBenchKeys } from '~/features/align/logic/useBenchKeys'
import { EMPTY_QUERY, useSearchStore } from '~/features/search/store/search'
import { useSheetsStore } from '~/features/sheet/store/sheets'

/**
 * Every set that came over the bench, found as one types. The address holds the search, so that it can be
 * sent and kept.
 */
const route = useRoute()
const store = useSearchStore()
const sheets = useSheetsStore()
const field = ref<HTMLInputElement | null>(null)
const naming = ref(false)
const nameFailure = ref<Failure | null>(null)
/** the name that was refused: saved again, it overwrites */
let takenName = ''
const fromAddress = (): SavedQuery => {
  const text = (name: string) => String(route.query[name] ?? '')
  return {
    words: text('words'),
    sheetId: text('sheetId'),
    state: (['bench', 'away', 'withdrawn'] as const).find(s => s === text('state')) ?? 'any',
    causeId: text('causeId'),
  }
}
const query = ref<SavedQuery>(fromAddress())
const isEmpty = computed(() =>
  Object.entries(query.value).every(([k, v]) => v === EMPTY_QUERY[k as keyof SavedQuery]),
)

async function search() {
  await store.ask(query.value)
  const differing = Object.fromEntries(
    Object.entries(query.value).filter(([k, v]) => v !== EMPTY_QUERY[k as keyof SavedQuery]),
  )
  history.replaceState(
    history.state,
    '',
    `/sets?${new URLSearchParams(differing as Record<string, string>).toString()}`.replace(/\?$/, ''),
  )
}
async function keep(name: string) {
  const failed = await store.keepView(name, query.value, name === takenName)
  takenName = failed?.code === 'name-taken' ? name : ''
  nameFailure.value = failed
  naming.value = failed !== null
}
function closeNaming() {
  naming.value = false
  nameFailure.value = null
  takenName = ''
}
onMounted(() => {
  void search()
  void store.loadViews()
  void sheets.load()
})
/** Typing on means another question: only a short pause asks. */
let pause: ReturnType<typeof setTimeout> | undefined
watch(
  query,
  () => {
    clearTimeout(pause)
    pause = setTimeout(() => void search(), 80)
  },
  { deep: true },
)
useBenchKeys({ '/': () => void nextTick(() => field.value?.focus()) })
useHead({ title: t('job.sets') })
</script>

<template>
  <div class="page">
    <div class="top">
      <h1>{{ t('job.sets') }}</h1>
      <v-btn href="/api/readings.csv" download>{{ t('job.allReadingsAsCsv') }}</v-btn>
    </div>
    <p class="lead">
      {{ t('job.everySetBookedInOwnerModel') }}
    </p>
    <div class="fields">
      <label class="words"
        ><span>{{ t('job.find') }} <kbd>/</kbd></span
        ><input
          ref="field"
          v-model="query.words"
          type="search"
          :placeholder="t('job.wordsAllMustOccur')"
          @keydown.esc="query.words = ''"
      /></label>
      <label
        >{{ t('common.model')
        }}<select v-model="query.sheetId">
          <option value="">{{ t('job.any') }}</option>
          <option v-for="s in sheets.list" :key="s.id" :value="s.id">{{ s.model }}</option>
        </select></label
      >
      <label
        >{{ t('job.state')
        }}<select v-model="query.state">
          <option value="any">{{ t('job.any') }}</option>
          <option value="bench">{{ t('job.onTheBench') }}</option>
          <option value="away">{{ t('job.handedOverState') }}</option>
          <option value="withdrawn">{{ t('job.withdrawn') }}</option>
        </select></label
      >
      <label
        >{{ t('job.confirmedCause')
        }}<select v-model="query.causeId">
          <option value="">{{ t('job.any') }}</option>
          <option v-for="c in CAUSES" :key="c.id" :value="c.id">{{ translated(c.title) }}</option>
        </select></label
      >
    </div>
    <ViewChips
      :views="store.views"
      :can-keep="!isEmpty"
      @choose="v => (query = { ...v.query })"
      @drop="store.dropView"
      @keep="naming = true"
      @clear="query = { ...EMPTY_QUERY }"
    />
    <div v-if="store.failure" class="care" role="alert">
      {{ store.failure.words }}
      <v-btn size="small" class="ml-3" @click="search()">{{ t('common.tryAgain') }}</v-btn>
    </div>
    <p v-else-if="!store.found" class="lead" role="status">{{ t('job.searching') }}</p>
    <p v-else-if="store.found.length === 0" class="lead" role="status">
      {{ isEmpty ? t('job.noJobsYet') : t('job.noMatchesUseFewerWordsOr') }}
    </p>
    <template v-else>
      <p v-if="store.amongNewest" class="quiet">
        {{ t('job.shortWordsAreSearchedAmongThe', { amongNewest: store.amongNewest }) }}
      </p>
      <FoundRow v-for="j in store.found" :key="j.id" :job="j" :model="sheets.nameOf(j.sheetId)" />
      <v-btn v-if="store.next" class="mt-4" size="large" @click="store.ask(query, store.next)">{{
        t('job.more')
      }}</v-btn>
    </template>
    <TextDialog
      :open="naming"
      :title="t('job.saveSearch')"
      :label="t('common.name')"
      :action="t('common.save')"
      :failure="nameFailure?.words"
      :max-length="60"
      @close="closeNaming"
      @done="keep"
    />
  </div>
</template>

<style scoped>
.top {
  display: flex;
  justify-content: space-between;
  align-items: center;
  gap: 12px;
}
.fields {
  display: flex;
  flex-wrap: wrap;
  gap: 12px;
  align-items: end;
}
label {
  display: flex;
  flex-direction: column;
  font-size: 12.5px;
  color: var(--ink2);
  max-width: 100%;
}
.words {
  flex: 1 1 300px;
}
input,
select {
  max-width: 260px;
}
.words input {
  max-width: none;
}
</style>
