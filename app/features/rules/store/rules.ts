import { useLocalStorage } from '@vueuse/core'
import { withTextsTranslated } from '#shared/i18n'
import { $api } from '~/data/api'
import { defineStore } from 'pinia'
import { computed, shallowRef } from 'vue'
import { RULE_SETS, type RuleSet } from '#core/rules'
import type { SchoolChoices } from '#core/sheet'
import type { OwnRuleSet, RuleSetBody } from '#shared/ruleSet'
import { toRuleSet } from '#shared/ownRuleSet'
import { failureOf, type Failure } from '~/data/failureWords'

const REMEMBERED = 'diapason.rule-sets'

/**
 * Every rule set: those that ship with Diapason and those of this shop, remembered for when the server does
 * not answer.
 */
export const useRulesStore = defineStore('rules', () => {
  /** what this browser saw last, until the server answers */
  const own = useLocalStorage<OwnRuleSet[]>(REMEMBERED, [], { shallow: true })
  const all = computed<readonly RuleSet[]>(() => [
    ...withTextsTranslated(RULE_SETS),
    ...own.value.map(toRuleSet),
  ])
  const of = (id: string) => all.value.find(r => r.id === id) ?? null

  async function load() {
    try {
      own.value = await $api<OwnRuleSet[]>('/api/rule-sets')
    } catch {
      // Without an answer, what was seen last holds.
    }
  }

  /** @param set null = a new one */
  async function keep(set: OwnRuleSet | null, body: RuleSetBody): Promise<Failure | null> {
    try {
      if (set)
        await $api(`/api/rule-sets/${set.id}`, {
          method: 'PUT',
          body: { ...body, version: set.version },
        })
      else await $api('/api/rule-sets', { method: 'POST', body })
      await load()
      return null
    } catch (error) {
      return failureOf(error)
    }
  }

  const schools = shallowRef<SchoolChoices>({})
  const loadSchools = async () =>
    (schools.value = await $api<SchoolChoices>('/api/schools').catch(() => schools.value))
  const chooseSchool = async (id: string, optionId: string) =>
    (schools.value = await $api<SchoolChoices>(`/api/schools/${id}`, {
      method: 'PUT',
      body: { optionId },
    }).catch(() => schools.value))

  return { own, all, of, load, keep, schools, loadSchools, chooseSchool }
})
