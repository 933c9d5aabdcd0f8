<script setup lang="ts">
import { midSentence } from '#shared/words/sentence'
import { quantityLabel } from '#shared/words/quantityWords'
import { t } from '#shared/i18n'
import { computed } from 'vue'
import { dbToPowerRatio, showPlain, groupDigits } from '#core/quantity'
import { generatorAdvice, peakKey, type PeakLook, type PeakedQuantity } from '#core/run'
import { peakGuide } from '#shared/words/coachWords'
import CoachLine from './CoachLine.vue'

/** The hand on a core: which way, how far below the best, when to stop; on whatever shows it best now. */
const props = defineProps<{
  on: boolean
  last: PeakLook | null
  looks: number
  belowDb: number | null
  best: number | null
  rising: 'up' | 'down' | 'level'
  peaked: PeakedQuantity
  choices: readonly PeakedQuantity[]
  value: number | null
  passes: number | null
  gainDb: number | null
  limitDb: number | null
}>()
const emit = defineEmits<{ begin: []; end: []; choose: [key: string] }>()
const words = computed(() =>
  props.last
    ? peakGuide(props.last.word)
    : {
        say: t('align.turnOneCoreSlightlyThenWait'),
        how: t('align.turnALittleAtATime'),
      },
)
const below = computed(() =>
  props.belowDb === null || props.belowDb < 0.005
    ? ''
    : t('align.dbBelowTheBestReadingSo', {
        belowDb: groupDigits(props.belowDb, 2),
        value: groupDigits(100 * (1 - dbToPowerRatio(-props.belowDb)), 1),
      }),
)
const bestWords = computed(() =>
  props.best === null ? '' : t('align.best', { best: showPlain(props.best, props.peaked.quantity) }),
)
/** The guide counts better as up; the words say what the needle does. */
const needle = computed(() => {
  if (props.rising === 'level') return 'level'
  return (props.rising === 'up') === (props.peaked.seek === 'largest') ? 'up' : 'down'
})
const WAYS = { up: 'align.wayUp', down: 'align.wayDown', level: 'align.wayLevel' } as const
const way = computed(() => t(WAYS[needle.value]))
const isBothWays = (c: PeakedQuantity) =>
  props.choices.some(o => o.quantity === c.quantity && o.seek !== c.seek)
function choiceWords(c: PeakedQuantity): string {
  const label = quantityLabel(c.quantity)
  if (c.seek === 'smallest') return `${label}${t('align.smallest')}`
  return isBothWays(c) ? `${label}${t('align.largest')}` : label
}
const step = computed(() =>
  props.value === null ? null : generatorAdvice(props.peaked.quantity, props.value),
)
const again = computed(() =>
  props.gainDb !== null && props.limitDb !== null && Math.abs(props.gainDb) >= props.limitDb
    ? t('align.theLastPassGainedDbGo', { gainDb: groupDigits(props.gainDb, 2) })
    : '',
)
</script>

<template>
  <section :aria-label="t('align.peakGuide')">
    <template v-if="on">
      <CoachLine
        :say="words.say"
        :how="words.how"
        :tone="
          last?.word === 'stop' ? 'good' : last?.word === 'end' || last?.word === 'flat' ? 'stop' : 'plain'
        "
      >
        <template #state
          ><p class="state">
            <b>{{ way }}</b><template v-if="bestWords">, {{ bestWords }}</template
            ><template v-if="below">, {{ below }}</template
            ><span class="quiet">, {{ t('align.readingsSoFar', { count: looks }) }}</span>
          </p></template
        >
        <v-btn height="44" @click="emit('begin')">{{ t('align.nextCore') }}</v-btn>
      </CoachLine>
      <p v-if="step !== null" class="gen" role="status">
        <b>{{ t('align.reduceTheGeneratorByDb', { step }) }}</b> {{ t('align.theReceiverLevelIsNoLonger') }}
      </p>
    </template>
    <p v-if="again" class="gen">{{ again }}</p>
    <div class="line">
      <v-btn v-if="!on" height="44" @click="emit('begin')">{{ t('align.startPeakGuide') }}</v-btn>
      <v-btn v-if="on" height="44" @click="emit('end')">{{ t('align.stopGuide') }}</v-btn>
      <label v-if="choices.length > 1"
        >{{ t('align.on') }}
        <select :value="peakKey(peaked)" @change="emit('choose', ($event.target as HTMLSelectElement).value)">
          <option v-for="c in choices" :key="peakKey(c)" :value="peakKey(c)">{{ choiceWords(c) }}</option>
        </select></label
      >
      <span v-else class="quiet">{{
        t('align.guideOn', {
          label: midSentence(quantityLabel(peaked.quantity)),
          what: peaked.seek === 'smallest' ? t('align.minimum') : '',
        })
      }}</span>
    </div>
  </section>
</template>

<style scoped>
.line {
  display: flex;
  gap: 10px;
  align-items: center;
  margin: 4px 0;
  flex-wrap: wrap;
}
.state,
.gen {
  margin: 2px 0 0;
  font-size: 15.5px;
}
</style>
