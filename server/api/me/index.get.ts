import { me } from '../../services/signIn'
import { apiHandler } from '../../utils/api'

export default apiHandler(event => me(event))
