import { ROUTES } from '../../../shared/api/routes'
import { database } from '../../database/connection'
import { route } from '../../http/route'
import { pageOfJobs } from '../../jobs/logbook'

export default route(ROUTES.jobs, ({ query }) => pageOfJobs(database('read'), query))
