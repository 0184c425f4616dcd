import { ROUTES } from '../../shared/api/routes'
import { database } from '../database/connection'
import { route } from '../http/route'
import { today } from '../jobs/today'

export default route(ROUTES.today, () => today(database('read')))
