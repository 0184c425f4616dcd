import { ROUTES } from '../../../shared/api/routes'
import { database } from '../../database/connection'
import { route } from '../../http/route'
import { searchJobs } from '../../search/search'

export default route(ROUTES.search, ({ query }) => searchJobs(database('read'), query))
