import { ROUTES } from '../../../shared/api/routes'
import { database } from '../../database/connection'
import { route } from '../../http/route'
import { machineWithJobs } from '../../machines/register'

export default route(ROUTES.machine, ({ param }) => machineWithJobs(database('read'), param('tag')))
