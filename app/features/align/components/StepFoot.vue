<script setup lang="ts">
import { t } from '#shared/i18n'
import type { Confirming } from '../logic/alignView'
import type { useHearing } from '../logic/useHearing'
import type { RunDialog } from '../logic/useRunDialogs'
import MoreMenu from './MoreMenu.vue'
import StepActions from './StepActions.vue'

/** What was last said, and everything that can be done at the step; stays in sight at the lower edge. */
defineProps<{
  said: { readonly text: string; readonly kind: string } | null
  isConfirmed: boolean
  confirming: Confirming
  hearing: ReturnType<typeof useHearing>
  holding: boolean
  alarm: boolean
  following: boolean
  oscillators: boolean
  canBeat: boolean
  ear: boolean
}>()
const emit = defineEmits<{
  take: []
  type: []
  confirm: []
  work: []
  hold: []
  move: [by: number]
  alarm: []
  follow: []
  beat: []
  open: [which: RunDialog]
}>()
</script>

<template>
  <div class="foot">
    <p class="said" role="status" :class="said?.kind">
      {{ said?.text ?? ''
      }}<button v-if="isConfirmed && !said" type="button" class="text-button" @click="emit('open', 'reopen')">
        {{ t('align.reopenThisStep') }}
      </button>
    </p>
    <StepActions
      :confirming="confirming"
      :listening="hearing.on.value"
      :holding="holding"
      @take="emit('take')"
      @type="emit('type')"
      @confirm="emit('confirm')"
      @work="emit('work')"
      @listen="hearing.toggle"
      @hold="emit('hold')"
      @note="emit('open', 'note')"
      @strike="emit('open', 'strike')"
      @back="emit('move', -1)"
      @next="emit('move', 1)"
    >
      <MoreMenu
        :volume="hearing.volume.value"
        :every-s="hearing.everyS.value"
        :has-voice="hearing.hasVoice.value"
        :alarm="alarm"
        :following="following"
        :oscillators="oscillators"
        :ear="ear"
        :can-beat="canBeat"
        @volume="hearing.setVolume"
        @every="hearing.setEvery"
        @alarm="emit('alarm')"
        @follow="emit('follow')"
        @beat="emit('beat')"
        @open="which => emit('open', which)"
      />
    </StepActions>
  </div>
</template>

<style scoped>
.foot {
  margin-top: auto;
  position: sticky;
  bottom: 0;
  background: var(--paper);
  z-index: 2;
}
.said {
  margin: 0;
  min-height: 22px;
  font-weight: 600;
}
.said .text-button {
  padding: 0;
  min-height: 22px;
  font-weight: 400;
  font-size: 13px;
}
.said.problem {
  color: var(--out);
}
.said.ok {
  color: var(--in);
}
</style>
