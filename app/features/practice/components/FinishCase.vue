<script setup lang="ts">
import { t, withTextsTranslated } from '#shared/i18n'
import { computed, ref } from 'vue'
import { RIG_FAULTS } from '#core/rig'

/** The end of a case: what it was, in the words of the trainee, before anything is told. */
const props = defineProps<{ designId: string; lesson: boolean; busy: boolean }>()
const emit = defineEmits<{ finish: [named: string[]]; close: [] }>()
const named = ref<string[]>([])
const choices = computed(() =>
  withTextsTranslated(RIG_FAULTS)
    .filter(f => f.designIds.includes(props.designId))
    .sort((a, b) => a.name.localeCompare(b.name)),
)
</script>

<template>
  <v-card :title="t('practice.whatWasTheFault')" class="pa-2">
    <v-card-text>
      <p v-if="lesson">{{ t('practice.aLessonHasNoFaultFinish') }}</p>
      <template v-else>
        <p>{{ t('practice.tickTheFaultsYouFoundLeave') }}</p>
        <div class="choices">
          <label v-for="f in choices" :key="f.id"
            ><input v-model="named" type="checkbox" :value="f.id" /> {{ f.name }}</label
          >
        </div>
      </template>
    </v-card-text>
    <v-card-actions
      ><v-spacer /><v-btn @click="emit('close')">{{ t('practice.continueWorking') }}</v-btn
      ><v-btn color="primary" :disabled="busy" @click="emit('finish', named)">{{
        t('practice.finishAndReview')
      }}</v-btn></v-card-actions
    >
  </v-card>
</template>

<style scoped>
.choices {
  display: grid;
  gap: 2px;
  max-height: 50vh;
  overflow: auto;
}
label {
  display: flex;
  gap: 10px;
  align-items: center;
  min-height: 44px;
}
input {
  flex: none;
}
</style>
