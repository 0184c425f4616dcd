import { ROUTES } from '../../../shared/api/routes'
import { database } from '../../database/connection'
import { route } from '../../http/route'
import { stores } from '../../stores/stores'

export default route(ROUTES.stores, () => stores(database('read')))
