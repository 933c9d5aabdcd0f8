import { computed } from 'vue'
import { emissionMask } from '#core/rules'
import { judgeSignal } from '#core/signal'
import type { KeptOptions } from '#shared/recording'
import { adjacentLimitWords } from '#shared/words/signalWords'
import { useRulesStore } from '~/features/rules/store/rules'
import type { OpenRecording } from '../logic/openRecording'
import { useSignalsStore } from './signals'
import { picturesOf, type Inks } from '../logic/pictures/signalPictures'

/** A mask is drawn for a carrier of so many watts where nobody said how many [W]. */
const USUAL_CARRIER_W = 4

/** Colours by name: the picture asks the theme for them when it is drawn, by day and by night. */
const INKS: Inks = {
  ink: 'var(--ink)',
  ink2: 'var(--ink2)',
  accent: 'var(--accent)',
  out: 'var(--out)',
  win: 'var(--win)',
  line: 'var(--line)',
}

/** The recording that is looked at, and the one beside it, by the rule set each was measured for. */
export function useJudged() {
  const store = useSignalsStore()
  const rules = useRulesStore()
  const rulesOf = (o: KeptOptions) => rules.all.find(r => r.id === o.ruleSetId) ?? rules.all[0]!
  const judge = (of: OpenRecording | null) =>
    of && judgeSignal(of.measured.measurement, rulesOf(of.options), of.options.carrierW)
  const judged = computed(() => judge(store.shown))
  const second = computed(() => judge(store.against))
  const mask = computed(() =>
    store.shown && judged.value?.mode
      ? emissionMask(
          rulesOf(store.shown.options).mask,
          judged.value.mode,
          store.shown.options.carrierW ?? USUAL_CARRIER_W,
        )
      : null,
  )
  /** Neighbours are limited in watts: only the carrier power makes a verdict of them. */
  const wattLimit = computed(
    () => store.shown && adjacentLimitWords(rulesOf(store.shown.options), store.shown.options.carrierW),
  )
  const pictures = computed(() =>
    store.shown
      ? picturesOf(
          store.shown.measured.pictures,
          store.against?.measured.pictures ?? null,
          [store.shown.name, store.against?.name ?? ''],
          mask.value,
          store.shown.options.spacingHz,
          INKS,
        )
      : [],
  )
  return { rulesOf, judged, second, wattLimit, pictures }
}
