import { ROUTES } from '../../../../shared/api/routes'
import { database } from '../../../database/connection'
import { route } from '../../../http/route'
import { readJob } from '../../../jobs/logbook'

export default route(ROUTES.job, ({ param }) => readJob(database(), param('id')))
