<script setup lang="ts">
import { computed, ref } from 'vue'
import { RIG_FAULTS } from '#core/rig'

/** The end of a case: what it was, in the words of the trainee, before anything is told. */
const props = defineProps<{ designId: string; lesson: boolean; busy: boolean }>()
const emit = defineEmits<{ finish: [named: string[]]; close: [] }>()
const named = ref<string[]>([])
const choices = computed(() =>
  RIG_FAULTS.filter(f => f.designIds.includes(props.designId)).sort((a, b) => a.name.localeCompare(b.name)),
)
</script>

<template>
  <v-card title="What was the fault?" class="pa-2">
    <v-card-text>
      <p v-if="lesson">A lesson has no fault. Finish it to see the review.</p>
      <template v-else>
        <p>Tick the faults you found. Leave all empty if you do not know. The answer follows.</p>
        <div class="choices">
          <label v-for="f in choices" :key="f.id"
            ><input v-model="named" type="checkbox" :value="f.id" /> {{ f.name }}</label
          >
        </div>
      </template>
    </v-card-text>
    <v-card-actions
      ><v-spacer /><v-btn @click="emit('close')">Continue working</v-btn
      ><v-btn color="primary" :disabled="busy" @click="emit('finish', named)"
        >Finish and review</v-btn
      ></v-card-actions
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
  width: 22px;
  height: 22px;
  flex: none;
}
</style>
