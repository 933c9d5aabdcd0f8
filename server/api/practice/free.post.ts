import { freePractice } from '#shared/practice'
import { freeSet } from '../../services/practice'
import { apiHandler, validBody } from '../../utils/api'

export default apiHandler(async event => freeSet(await validBody(event, freePractice)))
