<script setup lang="ts">
import { computed, ref } from 'vue'
import { groupDigits } from '../../../core/quantity'
import { modelSheet } from '../../../core/sheet'
import type { PracticeChange, PracticeState } from '../../../shared/practice'

/** The hands on the simulated set: one control per adjuster, the front panel, and the leads of its instruments. */
const props = defineProps<{ state: PracticeState, failure: string | null, narrow?: boolean, wanted?: readonly string[] }>()
const emit = defineEmits<{ change: [change: Partial<PracticeChange>], close: [] }>()
/** What the finger holds now must not be pulled back by the state that arrives meanwhile. */
const held = ref<Record<string, number>>({})
const ordered = computed(() => {
  const all = modelSheet('osmund-27f').adjusters
  const first = (a: { designator: string }) => props.wanted?.includes(a.designator) ? 0 : 1
  return [...all].sort((a, b) => first(a) - first(b))
})
const adjusters = computed(() => ordered.value.map((a) => {
  const core = a.kind === 'core'
  return { ...a, min: core ? -2 : 0, max: core ? 2 : 1, step: core ? 0.05 : a.kind === 'trimmer' ? 0.0005 : 0.005, position: held.value[a.designator] ?? props.state.adjusters[a.designator] ?? 0, unit: core ? 'turns in' : '' }
}))
function turn(designator: string, position: number, released: boolean) {
  held.value = { ...held.value, [designator]: position }
  emit('change', { adjusters: [{ designator, position }] })
  if (released) setTimeout(() => (held.value = Object.fromEntries(Object.entries(held.value).filter(([d]) => d !== designator))), 800)
}
function nudge(a: { designator: string, position: number, min: number, max: number, step: number }, by: number) {
  turn(a.designator, Math.min(a.max, Math.max(a.min, Number((a.position + by * a.step).toFixed(4)))), true)
}
const minutes = computed(() => Math.floor(props.state.onTimeS / 60))
</script>

<template>
  <div class="practice" :class="{ narrow }">
    <div class="banner"><b>Simulated set</b> Osmund 27F: no radio is connected<v-btn v-if="narrow" size="small" height="44" class="close" @click="emit('close')">Close <kbd>P</kbd></v-btn></div>
    <p v-if="failure" class="care" role="alert">{{ failure }}</p>
    <section class="front" aria-label="Front panel">
      <div class="line">
        <v-btn class="ptt" :class="{ keyed: state.keyed }" :aria-pressed="state.keyed" size="large" @click="emit('change', { keyed: !state.keyed })">{{ state.keyed ? 'Keyed' : 'Key' }} <kbd>K</kbd></v-btn>
        <label class="channel">Channel <select :value="state.channel" aria-label="channel" @change="emit('change', { channel: Number(($event.target as HTMLSelectElement).value) })"><option v-for="c in 40" :key="c" :value="c">{{ c }}</option></select></label>
        <v-btn v-for="c in [1, 20, 40]" :key="c" class="jump" :aria-label="`channel ${c}`" @click="emit('change', { channel: c })">{{ c }}</v-btn>
      </div>
      <div class="line">
        <v-btn :aria-pressed="state.lowPower" @click="emit('change', { lowPower: !state.lowPower })">Power {{ state.lowPower ? 'low' : 'high' }}</v-btn>
        <v-btn :aria-pressed="state.toneOn" @click="emit('change', { toneOn: !state.toneOn })">Tone {{ state.toneOn ? 'on' : 'off' }}</v-btn>
        <v-btn @click="emit('change', { warmByS: 1200 })">Pass 20 min</v-btn>
      </div>
      <p class="shows"><span>Lock lamp <b>{{ state.locked ? 'lit' : 'dark' }}</b>, last lock <b class="fig">{{ state.lockS.toFixed(2) }}&#8239;s</b></span> <span>Panel meter <b class="fig">{{ state.panelPowerW.toFixed(1) }}&#8239;W</b></span> <span>On for <b class="fig">{{ minutes }}&#8239;min</b></span> <span>12 dB SINAD at <b class="fig">{{ (state.sensitivityV * 1e6).toFixed(2) }}&#8239;µV</b></span></p>
    </section>
    <section class="adjusters" aria-label="Adjusters">
      <div v-for="a in adjusters" :key="a.designator" class="adj" :class="{ wanted: wanted?.includes(a.designator) }">
        <span class="name"><b class="fig">{{ a.designator }}</b> {{ a.name }}</span>
        <button type="button" :aria-label="`${a.designator} back a little`" @click="nudge(a, -1)">&minus;</button>
        <input type="range" :min="a.min" :max="a.max" :step="a.step" :value="a.position" :aria-label="`${a.designator} ${a.name}`" @input="turn(a.designator, Number(($event.target as HTMLInputElement).value), false)" @change="turn(a.designator, Number(($event.target as HTMLInputElement).value), true)">
        <button type="button" :aria-label="`${a.designator} on a little`" @click="nudge(a, 1)">+</button>
        <span class="fig pos">{{ a.kind === 'core' ? groupDigits(a.position, 2) : `${(a.position * 100).toFixed(a.kind === 'trimmer' ? 2 : 1)}%` }}</span>
      </div>
    </section>
    <section aria-label="Leads">
      <h3>Leads of the simulated instruments</h3>
      <div class="line"><v-btn v-for="i in state.instruments" :key="i.key" :aria-pressed="!i.pluggedIn" @click="emit('change', { plug: { key: i.key as 'power', pluggedIn: !i.pluggedIn } })">{{ i.name }}: {{ i.pluggedIn ? 'plugged in' : 'unplugged' }}</v-btn></div>
      <v-btn class="mt-2" @click="emit('change', { deliverAgain: true })">Bring the set as it first came in</v-btn>
    </section>
  </div>
</template>

<style scoped>
.practice { padding: 12px 14px 20px; }
.banner { border: 2px dashed var(--unsure); border-radius: 6px; padding: 8px 12px; margin-bottom: 12px; display: flex; gap: 4px 10px; align-items: center; flex-wrap: wrap; }
.close { margin-left: auto; }
.line { display: flex; gap: 8px; flex-wrap: wrap; margin-bottom: 8px; align-items: center; }
.ptt { min-width: 112px; } .ptt.keyed { background: var(--out); color: var(--paper); }
.channel select { height: 46px; min-width: 62px; font: inherit; background: var(--sheet); color: var(--ink); border: 1px solid var(--edge); border-radius: 6px; padding: 0 8px; }
.jump { min-width: 46px; padding: 0 10px; }
.shows { display: flex; flex-wrap: wrap; gap: 2px 16px; font-size: 13.5px; margin: 4px 0 12px; }
.adjusters { display: grid; grid-template-columns: repeat(auto-fill, minmax(330px, 1fr)); gap: 4px 26px; }
.narrow .adjusters { grid-template-columns: 1fr; }
.adj { display: grid; grid-template-columns: 44px 1fr 44px 62px; gap: 0 6px; align-items: center; padding: 3px 0; }
.adj.wanted { box-shadow: -6px 0 0 var(--sheet), -9px 0 0 var(--accent); }
.adj .name { grid-column: 1 / -1; font-size: 13px; line-height: 1.2; }
.adj button { height: 44px; border: 1px solid var(--line2); border-radius: 6px; background: none; color: inherit; font-size: 20px; cursor: pointer; }
.adj input { width: 100%; height: 44px; accent-color: var(--accent); }
.pos { text-align: right; font-size: 13px; }
h3 { font-size: 13px; color: var(--ink2); margin: 14px 0 6px; font-weight: 600; }
</style>
