import { usualRulesBody } from '#shared/peopleBodies'
import { chooseUsualRules } from '../../services/workshop'
import { apiHandler, validBody } from '../../utils/api'

export default apiHandler(async event => {
  const { ruleSetId } = await validBody(event, usualRulesBody)
  await chooseUsualRules(ruleSetId)
  return { ruleSetId }
})
