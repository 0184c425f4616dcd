import { ROUTES } from '../../../shared/api/routes'
import { database } from '../../database/connection'
import { route } from '../../http/route'
import { listLimitSets } from '../../limits/limits.repository'

export default route(ROUTES.limits, () => listLimitSets(database('read')))
