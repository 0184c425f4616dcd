import { ROUTES } from '../../../shared/api/routes'
import { feeds } from '../../comeBack/feeds'
import { database } from '../../database/connection'
import { route } from '../../http/route'

export default route(ROUTES.feeds, () => feeds(database('read')))
