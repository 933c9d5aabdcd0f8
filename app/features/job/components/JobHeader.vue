<script setup lang="ts">
import { computed } from 'vue'
import { t } from '#shared/i18n'
import { STAGE_NAMES, jobKindWords } from '#shared/words/jobKindWords'
import type { JobKind } from '#core/run'
import type { Stage } from '#core/work'
import { eachRuleSet, type RuleSet } from '#core/rules'
import type { ModelSheet } from '#core/sheet'
import type { Job } from '#shared/job'
import { jobTag } from '#shared/jobTag'
import { day } from '#shared/words/dateWords'
import StateMark from '~/ui/gauge/StateMark.vue'

const props = defineProps<{
  job: Job
  sheet: ModelSheet
  rules: RuleSet
  done: Record<Stage, boolean>
  stages: readonly Stage[]
  jobKind: JobKind
  stage: string
}>()
defineEmits<{ kind: [] }>()
const ruleSets = computed(() => eachRuleSet(props.rules))
</script>

<template>
  <header class="job-header">
    <div class="tag">
      <div class="name">
        <b>{{ jobTag(job.number) }} {{ sheet.model }}</b>
        <button type="button" class="kind" :title="t('kind.changeKind')" @click="$emit('kind')">
          {{ jobKindWords(jobKind) }}
        </button>
        <span v-if="sheet.family">{{ t('job.onFamilySheet') }}</span>
      </div>
      <span>{{
        t('job.jobSummary', {
          serial: job.serial,
          what: job.promisedOn ? t('job.due', { day: day(job.promisedOn) }) : t('common.noDueDate'),
          owner: job.owner,
        })
      }}</span>
    </div>
    <nav class="stages" :aria-label="t('job.jobPhases')">
      <NuxtLink
        v-for="s in stages"
        :key="s"
        prefetch-on="interaction"
        :to="`/jobs/${job.id}/${s}`"
        :class="{ on: stage === s }"
        :aria-current="stage === s ? 'step' : undefined"
      >
        <StateMark aria-hidden="true" :mark="done[s] ? 'inside' : 'none'" :size="10" />{{ t(STAGE_NAMES[s])
        }}<span class="sr">{{ done[s] ? t('job.complete') : t('job.phaseOpen') }}</span>
      </NuxtLink>
    </nav>
    <div class="rules">
      {{ t('common.ruleSet') }} <b>{{ rules.name }}</b><br />
      <template v-for="r in ruleSets.slice(1)" :key="r.id">
        {{ t('job.andRuleSet') }} <b>{{ r.name }}</b><br />
      </template>
      {{ ruleSets.some(r => r.fromMemory) ? t('job.unverifiedCheckTheText') : rules.source }}
    </div>
  </header>
</template>

<style scoped>
.job-header {
  display: flex;
  align-items: stretch;
  min-height: 56px;
  border-bottom: 1px solid var(--line2);
  flex: none;
}
.tag {
  display: flex;
  flex-direction: column;
  justify-content: center;
  padding: 4px 12px 4px 20px;
  min-width: 190px;
  flex: 1 1 0;
}
.name {
  display: flex;
  flex-wrap: wrap;
  align-items: baseline;
  gap: 0 10px;
}
.kind {
  min-height: 28px;
  padding: 0;
  font-size: 13px;
  color: var(--accent);
  text-decoration: underline;
  text-underline-offset: 3px;
}
.tag b {
  font-size: 16px;
}
.tag b,
.tag span {
  line-height: 1.25;
  overflow-wrap: anywhere;
}
.tag span {
  font-size: 12.5px;
  color: var(--ink2);
}
.stages {
  display: flex;
  flex: 0 1 auto;
  min-width: 0;
  overflow-x: auto;
  margin: 0 4px;
}
.stages a {
  display: flex;
  align-items: center;
  gap: 5px;
  padding: 0 8px;
  min-height: 48px;
  color: var(--ink2);
  font-size: 13.5px;
  text-decoration: none;
  line-height: 1.15;
  max-width: 108px;
}
.stages a.on {
  color: var(--ink);
  font-weight: 650;
  box-shadow: inset 0 -3px 0 var(--accent);
}
.rules {
  align-self: center;
  font-size: 12px;
  color: var(--ink2);
  text-align: right;
  padding: 0 14px 0 6px;
  line-height: 1.25;
  flex: 0 1 auto;
}
.rules b {
  color: var(--ink);
  font-weight: 600;
}
@media (min-width: 701px) and (max-width: 1180px) {
  .stages a {
    gap: 3px;
    padding: 0 4px;
    font-size: 12.5px;
  }
  .tag {
    min-width: 140px;
    padding: 4px 8px 4px 12px;
  }
  .rules {
    max-width: 128px;
    padding: 0 8px 0 4px;
  }
}
@media (max-width: 700px) {
  .kind {
    min-height: 44px;
  }
  .job-header {
    flex-wrap: wrap;
  }
  .stages {
    overflow-x: auto;
    width: 100%;
  }
  .rules {
    margin-left: 0;
    text-align: left;
    padding-bottom: 6px;
  }
}
</style>
