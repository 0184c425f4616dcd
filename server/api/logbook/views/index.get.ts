import { ROUTES } from '../../../../shared/api/routes'
import { database } from '../../../database/connection'
import { route } from '../../../http/route'
import { viewsOf } from '../../../search/search.repository'

export default route(ROUTES.searchViews, ({ query }) => viewsOf(database('read'), query.person))
