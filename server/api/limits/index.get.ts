import { ROUTES } from '../../../shared/api/routes'
import { database } from '../../database/connection'
import { route } from '../../http/route'
import { limitSets } from '../../limits/limits'

export default route(ROUTES.limits, () => limitSets.list(database('read')))
