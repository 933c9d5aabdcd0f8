<script setup lang="ts">
import { t } from '#shared/i18n'
import { LINK_DAYS } from '#shared/handoverLink'
import { dayMonthYear } from '#shared/words/dateWords'
import { useLocalStorage } from '@vueuse/core'
import { onMounted, ref, shallowRef, watch } from 'vue'
import { useJobStore } from '../store/job'
import { useOwnerLinksStore } from '../store/ownerLinks'

/** Addresses by which the owner reads his copy without signing in. */
const job = useJobStore()
const store = useOwnerLinksStore()
const days = useLocalStorage<number>('diapason.linkDays', LINK_DAYS[0])
const picture = shallowRef<string | null>(null)
const copied = ref<boolean | null>(null)
const choices = LINK_DAYS.map(value => ({ value, title: t('job.linkDays', { days: value }) }))

onMounted(() => void store.load(job.job!.id))
watch(
  () => store.made,
  async made => {
    copied.value = null
    picture.value = null
    if (!made?.opensElsewhere) return
    const { renderSVG } = await import('uqr')
    picture.value = `data:image/svg+xml,${encodeURIComponent(renderSVG(made.address, { border: 2 }))}`
  },
)
async function copy() {
  // Without encryption a browser offers no clipboard.
  copied.value = await Promise.resolve(navigator.clipboard?.writeText(store.made!.address))
    .then(() => navigator.clipboard !== undefined)
    .catch(() => false)
}
const select = (event: Event) => (event.target as HTMLInputElement).select()
</script>

<template>
  <section class="no-print" :aria-label="t('job.ownerLinks')">
    <h2>{{ t('job.ownerLinks') }}</h2>
    <p class="quiet">{{ t('job.ownerLinksLead') }} {{ t('job.linkWhereReached') }}</p>
    <div class="make">
      <v-select v-model="days" :items="choices" :label="t('job.linkValidFor')" hide-details />
      <v-btn size="large" @click="store.make(job.job!.id, days)">{{ t('job.makeLink') }}</v-btn>
    </div>
    <p v-if="store.failure" class="care" role="alert">{{ store.failure.words }}</p>
    <div v-if="store.made" class="new" role="status">
      <img v-if="picture" :src="picture" :alt="t('job.qrOfLink')" width="160" height="160" />
      <div>
        <p>{{ t('job.newLink') }}</p>
        <v-text-field :model-value="store.made.address" readonly hide-details @focus="select" />
        <p class="act">
          <v-btn size="large" @click="copy">{{ t('job.copyLink') }}</v-btn>
          <span v-if="copied !== null">{{ copied ? t('job.linkCopied') : t('job.linkNotCopied') }}</span>
        </p>
        <p v-if="!store.made.opensElsewhere">{{ t('job.linkOnThisMachine') }}</p>
      </div>
    </div>
    <ul v-if="store.links.length">
      <li v-for="l in store.links" :key="l.id">
        <span>{{
          t('job.linkMade', {
            made: dayMonthYear(l.madeAtMs),
            expires: dayMonthYear(l.expiresAtMs),
            count: l.timesRead,
          })
        }}</span>
        <v-btn height="44" @click="store.end(l.id)">{{ t('job.endLink') }}</v-btn>
      </li>
    </ul>
  </section>
</template>

<style scoped>
section {
  margin-top: 22px;
}
.make,
.new,
.act,
li {
  display: flex;
  flex-wrap: wrap;
  gap: 16px;
  align-items: center;
}
.make > :first-child {
  flex: 0 1 220px;
}
.new {
  align-items: start;
  margin-top: 12px;
}
.new > div {
  flex: 1 1 420px;
  max-width: 680px;
}
img {
  background: #fff;
}
ul {
  list-style: none;
  padding: 0;
}
li {
  min-height: 48px;
  border-bottom: 1px solid var(--line2);
  max-width: 680px;
  justify-content: space-between;
}
</style>
