import { ruleSetBody } from '#shared/ruleSet'
import { addRuleSet } from '../../services/rules'
import { apiHandler, created, validBody } from '../../utils/api'

export default apiHandler(async event =>
  created(event, await addRuleSet(await validBody(event, ruleSetBody))),
)
