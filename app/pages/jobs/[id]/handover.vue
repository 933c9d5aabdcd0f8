<script setup lang="ts">
import { t } from '#shared/i18n'
import { computed, ref } from 'vue'
import { useCookie } from '#imports'
import SettledClaims from '~/features/job/components/claims/SettledClaims.vue'
import TextDialog from '../../../ui/frame/TextDialog.vue'
import HandoverReadings from '~/features/job/components/handover/HandoverReadings.vue'
import HandoverVerdict from '~/features/job/components/handover/HandoverVerdict.vue'
import HandoverReports from '~/features/job/screens/HandoverReports.vue'
import SettingsCard from '~/features/job/screens/SettingsCard.vue'
import LineSection from '~/features/job/components/handover/LineSection.vue'
import OpenItemList from '~/features/job/components/handover/OpenItemList.vue'
import { carrierAdvice } from '#core/handover'
import { withdrawal } from '#core/run'
import { plannedWork } from '#core/work'
import { unsettled } from '#shared/words/handoverWords'
import { workLines } from '#shared/words/workLines'
import { complaintLines } from '#shared/words/complaintWords'
import { lessPowerWords } from '#shared/words/ownerReadings'
import { handoverCautions, operatingAdvice } from '#shared/words/ownerWords'
import { day, dayAndTime } from '#shared/words/dateWords'
import { useJobStore } from '~/features/job/store/job'
import { jobTag } from '#shared/jobTag'

const store = useJobStore()
const night = useCookie('theme')
const settling = ref<readonly string[]>([])
const handing = ref(false)
const work = computed(() =>
  workLines(
    { sheet: store.sheet!, found: store.foundSheet! },
    { run: store.run!, compared: store.compared },
    store.events,
  ),
)
const open = computed(() => unsettled(store.items))
const tried = computed(() => complaintLines(store.events))
const planned = computed(() => plannedWork(store.events))
const less = computed(() => lessPowerWords(store.sheet!, store.compared))
const advice = computed(() =>
  operatingAdvice(store.sheet!, carrierAdvice(store.sheet!, store.rules!, store.run!), store.events),
)
/** Something was entered after the last handover: it takes a new issue to stand on paper. */
const corrected = computed(() => store.handedOver !== null && store.events.at(-1)?.id !== store.handedOver.id)

async function settle(text: string) {
  const [first, ...others] = settling.value
  await store.append(
    others.length === 0
      ? { kind: 'item-settled', itemId: first!, text }
      : { kind: 'items-settled', itemIds: settling.value, text },
  )
  settling.value = []
}
async function handOver(text: string) {
  await store.append({ kind: 'handed-over', text })
  handing.value = false
}
const print = () => window.print()
</script>

<template>
  <div class="page handover">
    <div class="top">
      <div>
        <h1>
          {{
            t('job.handoverSerial', {
              jobTag: jobTag(store.job!.number),
              model: store.sheet!.model,
              serial: store.job!.serial,
            })
          }}
        </h1>
        <p class="lead">
          {{ store.job!.owner }}.
          {{ store.job!.promisedOn ? `${t('job.dueSentence', { day: day(store.job!.promisedOn) })} ` : ''
          }}{{
            store.handedOver
              ? t('job.handedOverSentence', { dayAndTime: dayAndTime(store.handedOver.atMs) })
              : ''
          }}
        </p>
      </div>
      <div class="acts no-print">
        <v-btn @click="print">{{ t('common.print') }}</v-btn><v-btn
          :href="`/api/jobs/${store.job!.id}/record.csv`"
          download
          >CSV</v-btn
        ><v-btn :href="`/api/jobs/${store.job!.id}/record.json`" download>JSON</v-btn
        ><v-btn
          v-if="!withdrawal(store.events) && (!store.handedOver || corrected)"
          variant="flat"
          color="primary"
          @click="handing = true"
          >{{ store.handedOver ? t('job.newIssue') : t('job.handOverAction') }}&hellip;</v-btn
        >
      </div>
    </div>
    <HandoverVerdict :sheet="store.sheet!" :rules="store.rules!" :run="store.run!" />
    <HandoverReports :corrected="corrected" />
    <section>
      <h2>{{ t('common.complaint') }}</h2>
      <p class="words">{{ store.job!.complaint }}</p>
      <ul v-if="tried.length > 0">
        <li v-for="w in tried" :key="w">{{ w }}</li>
      </ul>
      <SettledClaims v-if="store.claims.length > 0" :claims="store.claims" />
    </section>
    <HandoverReadings
      :compared="store.compared"
      :as-found="store.asFound"
      :as-left="store.asLeft"
      :sheet="store.sheet!"
      :stages="store.stages"
      :night="night === 'night'"
    />
    <LineSection :title="t('common.workDone')" :lines="work" />
    <LineSection :title="t('job.whyTheMeterMayReadLess')" :lines="less" />
    <LineSection :title="t('job.howToOperateIt')" :lines="advice" />
    <section v-if="store.hasCard" :aria-label="t('settings.card')">
      <h2>{{ t('settings.card') }}</h2>
      <SettingsCard />
    </section>
    <section :aria-label="t('job.openItems')">
      <h2>
        {{ t('job.openItems') }} <span class="quiet">{{ t('job.open', { count: open.length }) }}</span>
      </h2>
      <OpenItemList :items="store.items" @settle="ids => (settling = ids)" />
    </section>
    <LineSection :title="t('common.plannedForALaterVisit')" :lines="planned" />
    <LineSection :title="t('job.cautions')" :lines="handoverCautions(store.sheet!)" />
    <TextDialog
      :open="settling.length > 0"
      :title="
        settling.length > 1 ? t('job.closeOpenItems', { count: settling.length }) : t('job.closeOpenItem')
      "
      :label="t('job.howItWasResolvedOrWho')"
      :action="t('job.closeItem')"
      @close="settling = []"
      @done="settle"
    />
    <TextDialog
      :open="handing"
      :title="t('job.handOverSet')"
      :hint="open.length ? t('job.itemsAreOpenStateWhatThe', { count: open.length }) : t('job.noOpenItems')"
      :label="t('job.explainedToTheOwner')"
      :action="t('job.handOverAction')"
      :required="open.length > 0"
      @close="handing = false"
      @done="handOver"
    />
  </div>
</template>

<style scoped>
section {
  margin-top: 22px;
}
.top {
  display: flex;
  gap: 20px;
  justify-content: space-between;
  flex-wrap: wrap;
}
.acts {
  display: flex;
  gap: 8px;
  align-items: flex-start;
}
.acts a {
  color: inherit;
}
.words {
  white-space: pre-wrap;
  max-width: 80ch;
  margin: 4px 0 0;
}
</style>
