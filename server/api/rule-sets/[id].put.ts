import { getRouterParam } from 'h3'
import { ruleSetPatch } from '#shared/ruleSet'
import { changeRuleSet } from '../../services/rules'
import { apiHandler, validBody } from '../../utils/api'

export default apiHandler(async event => {
  const { version, ...body } = await validBody(event, ruleSetPatch)
  return changeRuleSet(getRouterParam(event, 'id')!, version, body)
})
