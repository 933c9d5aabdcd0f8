<script setup lang="ts">
import { computed } from 'vue'
import { GOES_STALE, adjusterOf, type ModelSheet, type Step } from '../../../core/sheet'
import type { Turn } from '../../../core/run'
import { clockTime, keyDownWords } from '../../../shared/words/runWords'
import type { NewWorkEvent } from '../../composables/useEventForm'
import OtherTurned from '../work/OtherTurned.vue'
import BoardMap from '../board/BoardMap.vue'

/** What the hands do: which adjuster, where, with what, and what it spoils. */
const props = defineProps<{ sheet: ModelSheet, step: Step, turns: readonly Turn[] }>()
const emit = defineEmits<{ turned: [designators: string[]], other: [event: NewWorkEvent] }>()
const adjusters = computed(() => props.step.adjusters.map(d => adjusterOf(props.sheet, d)))
const single = computed(() => adjusters.value.length === 1 ? adjusters.value[0]! : null)
const cautions = computed(() => [...props.step.cautions, ...new Set(adjusters.value.flatMap(a => a.caution ? [a.caution] : []))])
const lastTurn = (designator: string) => props.turns.findLast(t => t.designator === designator)
const spoils = computed(() => [...new Set(adjusters.value.map(a => GOES_STALE[a.role].because))].join('; '))
</script>

<template>
  <section class="hands" tabindex="0" aria-label="At the set">
    <h3>At the set</h3>
    <button type="button" class="show" aria-label="show me on the board" @click="emit('show')"><BoardMap :sheet="sheet" :wanted="step.adjusters" /></button>
    <dl v-if="single">
      <dt>Adjuster</dt><dd><b>{{ single.designator }}</b> {{ single.name }}</dd>
      <dt>Where</dt><dd>{{ single.where }}</dd>
      <dt>Turn</dt><dd>{{ single.turn }}</dd>
      <dt>Tool</dt><dd>{{ single.tool }}</dd>
      <dt>Moves</dt><dd>{{ single.moves }}; {{ spoils }}</dd>
    </dl>
    <template v-else-if="adjusters.length > 0">
      <ol class="order"><li v-for="a in adjusters" :key="a.designator"><b>{{ a.designator }}</b> {{ a.name }}<span v-if="lastTurn(a.designator)" class="quiet">, turned {{ clockTime(lastTurn(a.designator)!.atMs) }}</span></li></ol>
      <dl><dt>Tool</dt><dd>{{ adjusters[0]!.tool }}</dd><dt>Turn</dt><dd>{{ adjusters[0]!.turn }}</dd></dl>
    </template>
    <p v-else class="quiet none">Nothing is turned in this step.</p>
    <div v-if="adjusters.length > 0" class="turned">
      <v-btn size="small" height="44" block @click="emit('turned', step.adjusters as string[])">Mark as turned <kbd>A</kbd></v-btn>
      <p v-if="single && lastTurn(single.designator)" class="quiet">turned {{ clockTime(lastTurn(single.designator)!.atMs) }}{{ lastTurn(single.designator)!.inferred ? ', seen by the reading' : '' }}</p>
    </div>
    <OtherTurned class="other" size="small" height="44" variant="text" @send="e => emit('other', e)" />
    <div class="care"><p v-for="c in cautions" :key="c">{{ c }}</p><p>{{ keyDownWords(step) }}</p></div>
  </section>
</template>

<style scoped>
.hands { border-left: 1px solid var(--line); padding: 14px 16px; overflow: auto; }
h3 { margin: 0 0 8px; font-size: 12.5px; font-weight: 600; color: var(--ink2); }
dl { margin: 10px 0 0; display: grid; grid-template-columns: 66px 1fr; font-size: 14px; row-gap: 4px; }
dt { color: var(--ink2); } dd { margin: 0; }
.order { margin: 10px 0 0; padding-left: 20px; font-size: 14px; }
.none { margin: 10px 0 0; }
.turned { margin-top: 10px; } .turned p { margin: 4px 0 0; font-size: 12.5px; }
.care { margin-top: 12px; } .care p { margin: 0 0 4px; } .care p::first-letter { text-transform: uppercase; }
</style>
