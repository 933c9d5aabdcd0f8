<script setup lang="ts">
import { useLocalStorage } from '@vueuse/core'
import { computed } from 'vue'
import type { PartTested } from '#core/run'
import type { WorkLogged } from '#core/work'
import { t } from '#shared/i18n'
import { WORK_LOGGED_WORDS } from '#shared/words/workLogWords'
import ChoiceButtons from '~/ui/frame/ChoiceButtons.vue'
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
const kind = computed<WorkLogged>({
  get: () => props.kinds.find(k => k === remembered.value) ?? props.kinds[0]!,
  set: chosen => (remembered.value = chosen),
})
</script>

<template>
  <section class="add no-print" :aria-label="t('repair.addEntry')">
    <ChoiceButtons
      v-model="kind"
      class="kinds"
      :label="t('repair.whatHappened')"
      :options="kinds.map(id => ({ id, label: t(WORK_LOGGED_WORDS[id]) }))"
    />
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
