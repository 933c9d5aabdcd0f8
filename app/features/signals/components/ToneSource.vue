<script setup lang="ts">
import { useLocalStorage } from '@vueuse/core'
import { typedNumberOrNull, groupDigits } from '#core/quantity'
import { t } from '#shared/i18n'
import { computed, ref } from 'vue'
import { useToneSource, type ToneSetting } from '../logic/useToneSource'

/**
 * Tones from the sound card for the microphone socket, in volts once the output was set against a
 * millivoltmeter.
 */
const { playing, play, silence } = useToneSource()
const REMEMBERED = 'tone-full-scale-v'
const KINDS = [
  { value: 'one', title: t('signals.oneTone') },
  { value: 'two', title: t('signals.twoTones700And1900Hz') },
]
const LEVELS_MV = [1, 3, 10, 30, 100]
const STEPS_HZ = [300, 600, 1000, 1250, 2500, 3000]
const kind = ref<'one' | 'two'>('one')
const hz = ref('1000')
const levelMv = ref('30')
const measuredMv = ref('')
/** 0 = never set against a millivoltmeter */
const remembered = useLocalStorage(REMEMBERED, 0)
const fullScaleV = computed(() => (remembered.value > 0 ? remembered.value : null))
const tooLoud = ref(false)
const TEST_SHARE = 0.1
const setting = computed<ToneSetting | null>(() => {
  const [f, v] = [typedNumberOrNull(hz.value) ?? 0, (typedNumberOrNull(levelMv.value) ?? 0) / 1000]
  return f > 0 && f < 20_000 && v > 0
    ? { hz: kind.value === 'two' ? [700, 1900] : [f], levelV: fullScaleV.value === null ? Math.min(1, v) : v }
    : null
})

function toggle() {
  if (playing.value) silence()
  else start()
}
function start() {
  if (setting.value) tooLoud.value = !play(setting.value, fullScaleV.value)
}
function step(part: { hz?: number; mv?: number }) {
  if (part.hz) hz.value = String(part.hz)
  if (part.mv) levelMv.value = String(part.mv)
  if (playing.value) start()
}
/** A tenth of full scale is played; what the millivoltmeter shows then sets everything. */
function calibrate() {
  if (!playing.value) return play({ hz: [1000], levelV: TEST_SHARE }, null)
  const mv = typedNumberOrNull(measuredMv.value)
  if (mv === null || mv <= 0) return
  remembered.value = mv / 1000 / TEST_SHARE
  silence()
}
</script>

<template>
  <section class="source" :aria-label="t('signals.audioSource')">
    <h2>{{ t('signals.audioSource') }}</h2>
    <p class="quiet">{{ t('signals.connectToTheMicrophoneSocketWith') }}</p>
    <div class="fields">
      <v-select
        v-model="kind"
        :label="t('signals.signal')"
        :items="KINDS"
        @update:model-value="playing && start()"
      />
      <v-text-field
        v-model="hz"
        :label="t('signals.toneHz')"
        inputmode="decimal"
        :disabled="kind === 'two'"
        @change="playing && start()"
      />
      <v-text-field
        v-model="levelMv"
        :label="fullScaleV === null ? t('signals.levelNotCalibrated') : t('signals.levelMvRms')"
        inputmode="decimal"
        :disabled="fullScaleV === null"
        @change="playing && start()"
      />
      <v-btn
        size="large"
        :variant="playing ? 'flat' : 'outlined'"
        :color="playing ? 'primary' : undefined"
        :aria-pressed="playing !== null"
        :disabled="!setting || fullScaleV === null"
        @click="toggle"
        >{{ playing ? t('signals.stop') : t('signals.play') }}</v-btn
      >
    </div>
    <p class="steps">
      <span class="quiet">{{ t('common.frequency') }}</span><button
        v-for="f in STEPS_HZ"
        :key="f"
        type="button"
        :class="{ on: hz === String(f) }"
        @click="step({ hz: f })"
      >
        {{ f }}</button
      ><span class="quiet">{{ t('signals.levelMv') }}</span
      ><button
        v-for="v in LEVELS_MV"
        :key="v"
        type="button"
        :class="{ on: levelMv === String(v) }"
        @click="step({ mv: v })"
      >
        {{ v }}
      </button>
    </p>
    <p v-if="tooLoud" class="care" role="alert">
      {{ t('signals.theSoundCardReachesMvAt', { fullScaleV: groupDigits((fullScaleV ?? 1) * 1000, 0) }) }}
    </p>
    <div class="cal">
      <b>{{
        fullScaleV === null
          ? t('signals.calibrateOutput')
          : t('signals.fullScaleIsMv', { fullScaleV: groupDigits(fullScaleV * 1000, 0) })
      }}</b><span class="quiet">{{ t('signals.setTheVolumeOfTheComputer') }}</span>
      <v-btn @click="calibrate">{{
        playing ? t('signals.saveCalibration') : t('signals.playTheTestTone')
      }}</v-btn><v-text-field
        v-if="playing"
        v-model="measuredMv"
        :label="t('signals.millivoltmeterReadsMvRms')"
        inputmode="decimal"
      />
    </div>
  </section>
</template>

<style scoped>
.source {
  border-top: 1px solid var(--line2);
  margin-top: 20px;
  padding-top: 10px;
}
h2 {
  margin: 0;
}
.fields {
  display: grid;
  grid-template-columns: 1.4fr 1fr 1fr 120px;
  gap: 12px;
  margin-top: 8px;
}
.steps {
  display: flex;
  gap: 8px;
  align-items: center;
  flex-wrap: wrap;
}
.steps button {
  min-width: 52px;
  min-height: 44px;
  color: var(--ink);
  border: 1px solid var(--line2);
  border-radius: 6px;
}
.steps button.on {
  border-color: var(--accent);
  font-weight: 650;
}
.cal {
  display: flex;
  gap: 14px;
  align-items: center;
  flex-wrap: wrap;
  font-size: 14px;
}
.cal .v-text-field {
  max-width: 260px;
}
@media (max-width: 700px) {
  .fields {
    grid-template-columns: 1fr 1fr;
  }
}
</style>
