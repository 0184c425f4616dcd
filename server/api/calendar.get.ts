import { ROUTES } from '../../shared/api/routes'
import { calendar } from '../comeBack/calendar'
import { database } from '../database/connection'
import { route } from '../http/route'

export default route(ROUTES.calendar, () => calendar(database('read')))
