import { ROUTES } from '../../../shared/api/routes'
import { database } from '../../database/connection'
import { route } from '../../http/route'
import { machineSummaries } from '../../machines/register'

export default route(ROUTES.machines, () => machineSummaries(database('read')))
