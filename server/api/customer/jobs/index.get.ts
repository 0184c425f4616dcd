import { ROUTES } from '../../../../shared/api/routes'
import { database } from '../../../database/connection'
import { route } from '../../../http/route'
import { ownJobsOf } from '../../../people/customers'
import { currentIn } from '../../../people/session'

export default route(ROUTES.ownJobs, ({ event }) => ownJobsOf(database('read'), currentIn(event)))
