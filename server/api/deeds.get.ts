import { ROUTES } from '../../shared/api/routes'
import { database } from '../database/connection'
import { route } from '../http/route'
import { pageOfDeeds } from '../people/deeds'

export default route(ROUTES.deeds, ({ query }) => pageOfDeeds(database('read'), query))
