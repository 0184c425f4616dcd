import { ROUTES } from '../../../../shared/api/routes'
import { database } from '../../../database/connection'
import { route } from '../../../http/route'
import { answerJob } from '../../../jobs/logbook'

export default route(ROUTES.job, ({ param }) => answerJob(database('read'), param('id')))
