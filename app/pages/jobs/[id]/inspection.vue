<script setup lang="ts">
import { t, withTextsTranslated } from '#shared/i18n'
import { computed } from 'vue'
import CheckList from '~/features/job/components/work/CheckList.vue'
import FirstPower from '~/features/job/components/work/FirstPower.vue'
import JobPhotos from '~/features/job/screens/JobPhotos.vue'
import ReminderList from '~/features/job/components/work/ReminderList.vue'
import { inspection, isolation, lastPower } from '#core/work'
import { useEventForm } from '~/features/job/logic/useEventForm'
import { useJobStore } from '~/features/job/store/job'
import { useLiveStore } from '~/features/instruments/store/live'

const store = useJobStore()
const live = useLiveStore()
const { problem, send, wrong } = useEventForm(store.append)
const items = computed(() => withTextsTranslated(inspection(store.sheet!, store.events)))
const tries = computed(() => isolation(store.sheet!, store.events))
const liveA = computed(() => live.liveOf('supplyA')?.value ?? null)
</script>

<template>
  <div class="page">
    <h1>{{ t('job.firstPowerAndInspectionTitle') }}</h1>
    <p class="lead">{{ t('job.checkThatTheSetPowersUp') }}</p>
    <p class="care">{{ store.sheet!.cautions.join(' ') }}</p>
    <p v-if="problem && problem.field !== 'text'" class="wrong" role="alert">{{ problem.words }}</p>
    <FirstPower
      :sheet="store.sheet!"
      :last="lastPower(store.events)"
      :tries="tries"
      :live-a="liveA"
      @send="send"
    />
    <CheckList v-slot="{ item }" :items="items" @send="send"
      ><JobPhotos :about="`item:${item.id}`" :label="t('job.photosOf', { lookFor: item.lookFor })" small
    /></CheckList>
    <ReminderList :reminders="store.reminders" :problem="wrong('text')" @send="send" />
  </div>
</template>

<style scoped>
.care {
  margin-bottom: 14px;
}
.wrong {
  color: var(--out);
  font-weight: 600;
}
</style>
