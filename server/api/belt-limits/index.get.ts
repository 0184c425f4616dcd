import { ROUTES } from '../../../shared/api/routes'
import { database } from '../../database/connection'
import { route } from '../../http/route'
import { beltLimits } from '../../beltLimits/beltLimits'

export default route(ROUTES.beltLimits, () => beltLimits.list(database('read')))
