<script setup lang="ts">
import { numberForField, typedNumber } from '#core/quantity'
import { CLAIM_KIND_WORDS } from '#shared/words/claimWords'
import { t, translated } from '#shared/i18n'
import { v4 as uuid } from 'uuid'
import { ref, watch } from 'vue'
import {
  CLAIM_QUANTITIES,
  CLAIM_QUANTITY_NAMES,
  type Claim,
  type ClaimKind,
  type ClaimQuantity,
} from '#core/claims'
import { MODES, type Mode } from '#core/rules'
import { MAX_CLAIMS } from '#shared/job'

/** Numbers in the complaint, so that the as-found readings can settle them. */
const claims = defineModel<Claim[] | undefined>({ required: true })
defineProps<{ failure?: string }>()
const KINDS: readonly ClaimKind[] = ['about', 'under', 'over']
/** What was typed, per claim; a text that is no number yet stays as it is. */
const texts = ref<Record<string, string>>({})
watch(
  claims,
  list => {
    for (const c of list ?? [])
      texts.value[c.id] ??= numberForField(c.value * CLAIM_QUANTITIES[c.quantity].perSi, 9)
  },
  { immediate: true },
)

function change(id: string, part: Partial<Claim>) {
  claims.value = (claims.value ?? []).map(c => (c.id === id ? withValue({ ...c, ...part }) : c))
}
/** The number means the unit shown beside it, also after the quantity was changed. */
function withValue(claim: Claim): Claim {
  const typed = typedNumber(texts.value[claim.id] ?? '') ?? Number.NaN
  return { ...claim, value: typed / CLAIM_QUANTITIES[claim.quantity].perSi }
}
function add() {
  const id = uuid()
  texts.value[id] = ''
  claims.value = [
    ...(claims.value ?? []),
    { id, quantity: 'powerW', kind: 'under', value: Number.NaN, meter: '' },
  ]
}
function remove(id: string) {
  claims.value = (claims.value ?? []).filter(c => c.id !== id)
}
function type(id: string, text: string) {
  texts.value[id] = text
  change(id, {})
}
/** An empty field waits; only a text that is no number is wrong. */
const wrong = (c: Claim) => !Number.isFinite(c.value) && (texts.value[c.id] ?? '') !== ''
</script>

<template>
  <fieldset class="claims">
    <legend>
      {{ t('job.claimsToCheck') }} <span class="quiet">{{ t('job.checkedAgainstTheAsFoundReadings') }}</span>
    </legend>
    <div v-for="c in claims ?? []" :key="c.id" class="claim">
      <select
        :value="c.kind"
        :aria-label="t('job.howTheOwnerPutIt')"
        @change="change(c.id, { kind: ($event.target as HTMLSelectElement).value as ClaimKind })"
      >
        <option v-for="k in KINDS" :key="k" :value="k">{{ t(CLAIM_KIND_WORDS[k]) }}</option>
      </select>
      <span class="number"
        ><input
          class="fig"
          inputmode="decimal"
          :value="texts[c.id]"
          :aria-label="t('job.number')"
          :aria-invalid="wrong(c)"
          @input="type(c.id, ($event.target as HTMLInputElement).value)"
        />
        {{ CLAIM_QUANTITIES[c.quantity].shownUnit }}</span
      >
      <select
        :value="c.quantity"
        :aria-label="t('job.quantity')"
        @change="change(c.id, { quantity: ($event.target as HTMLSelectElement).value as ClaimQuantity })"
      >
        <option v-for="q in CLAIM_QUANTITY_NAMES" :key="q" :value="q">
          {{ translated(CLAIM_QUANTITIES[q].label) }}
        </option>
      </select>
      <select
        :value="c.mode ?? ''"
        :aria-label="t('job.mode')"
        @change="change(c.id, { mode: (($event.target as HTMLSelectElement).value || null) as Mode | null })"
      >
        <option value="">{{ t('job.anyMode') }}</option>
        <option v-for="m in MODES" :key="m">{{ m }}</option>
      </select>
      <input
        class="meter"
        :value="c.meter"
        maxlength="100"
        :placeholder="t('job.ownersMeter')"
        :aria-label="t('job.theOwnersMeter')"
        @input="change(c.id, { meter: ($event.target as HTMLInputElement).value })"
      />
      <button type="button" :aria-label="t('job.removeThisClaim')" @click="remove(c.id)">
        {{ t('common.remove') }}
      </button>
      <p v-if="wrong(c)" class="problem">
        {{ t('job.aClaimNeedsANumberLike') }}
      </p>
    </div>
    <p v-if="failure" class="problem" role="alert">{{ failure }}</p>
    <button v-if="(claims ?? []).length < MAX_CLAIMS" type="button" @click="add">
      {{ t('job.addClaim') }}
    </button>
  </fieldset>
</template>

<style scoped>
.claims {
  border: 0;
  padding: 0;
  min-width: 0;
}
legend {
  font-weight: 600;
  font-size: 14px;
  margin-bottom: 6px;
}
legend .quiet {
  font-weight: 400;
  font-size: 12.5px;
}
.claim {
  display: grid;
  grid-template-columns: 110px 138px minmax(160px, 1fr) 138px auto;
  gap: 8px;
  align-items: center;
  margin-bottom: 14px;
}
/* A line of its own: the name of a meter is longer than what would be left of the first. */
.meter {
  grid-area: 2 / 1 / 3 / 5;
}
select,
input {
  width: 100%;
}
.number {
  display: flex;
  align-items: center;
  gap: 6px;
}
.number input {
  width: 100px;
  font-family: var(--figures);
}
input[aria-invalid='true'] {
  border: 2px solid var(--out);
}
button {
  min-height: 46px;
  padding: 0 12px;
  font-weight: 600;
  color: var(--ink);
  border: 1px solid var(--line2);
  border-radius: 6px;
}
.problem {
  grid-column: 1 / -1;
  margin: 0;
  font-size: 13px;
  color: var(--out);
}
@media (max-width: 700px) {
  .claim {
    grid-template-columns: 1fr 1fr;
  }
  .meter {
    grid-area: auto / 1 / auto / 3;
  }
}
</style>
