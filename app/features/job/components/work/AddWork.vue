<script setup lang="ts">
import { useLocalStorage } from '@vueuse/core'
import { computed } from 'vue'
import type { PartTested } from '#core/run'
import type { WorkLogged } from '#core/work'
import { t } from '#shared/i18n'
import { WORK_LOGGED_WORDS } from '#shared/words/workLogWords'
import type { NewWorkEvent } from '../../logic/useEventForm'
import ChangedForm from './add/ChangedForm.vue'
import PartTestForm from './add/PartTestForm.vue'
import QuestionForm from './add/QuestionForm.vue'
import TreatedForm from './add/TreatedForm.vue'
import TurnedForm from './add/TurnedForm.vue'
import WaitForm from './add/WaitForm.vue'

/** One entry at a time: its kind is chosen, the last one is offered again, and only its fields are there. */
const props = defineProps<{
  kinds: readonly WorkLogged[]
  /** tests of other parts, by which a lot is known */
  tested: readonly PartTested[]
  wrong: (field: string) => string | undefined
}>()
defineEmits<{ send: [event: NewWorkEvent, kept?: () => void] }>()
const FORMS = {
  'part-changed': ChangedForm,
  'treated': TreatedForm,
  'part-tested': PartTestForm,
  'unlisted-turned': TurnedForm,
  'question-asked': QuestionForm,
  'wait-begun': WaitForm,
} as const
const remembered = useLocalStorage<string>('workAdded', props.kinds[0]!)
const kind = computed<WorkLogged>(() => props.kinds.find(k => k === remembered.value) ?? props.kinds[0]!)
</script>

<template>
  <section class="add no-print" :aria-label="t('repair.addEntry')">
    <div class="kinds" role="group" :aria-label="t('repair.whatHappened')">
      <v-btn
        v-for="k in kinds"
        :key="k"
        height="44"
        :variant="k === kind ? 'flat' : 'outlined'"
        :color="k === kind ? 'primary' : undefined"
        :aria-pressed="k === kind"
        @click="remembered = k"
        >{{ t(WORK_LOGGED_WORDS[k]) }}</v-btn
      >
    </div>
    <!-- What is half filled in is there again when its kind is chosen again. -->
    <KeepAlive>
      <component
        :is="FORMS[kind]"
        :wrong="wrong"
        :tested="kind === 'part-tested' ? tested : undefined"
        @send="(event: NewWorkEvent, kept?: () => void) => $emit('send', event, kept)"
      />
    </KeepAlive>
  </section>
</template>

<style scoped>
.add {
  margin: 8px 0 18px;
}
.kinds {
  display: flex;
  flex-wrap: wrap;
  gap: 8px;
  margin-bottom: 14px;
}
.add :deep(.fields) {
  display: grid;
  grid-template-columns: repeat(auto-fill, minmax(min(200px, 100%), 1fr));
  gap: 10px;
  align-items: start;
}
/* Names of what is read on a part are long. */
.add :deep(.fields.wide) {
  grid-template-columns: repeat(auto-fill, minmax(min(310px, 100%), 1fr));
}
.add :deep(.fields > p) {
  grid-column: 1 / -1;
  margin: 0;
}
</style>
