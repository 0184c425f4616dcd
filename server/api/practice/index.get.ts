import { ROUTES } from '../../../shared/api/routes'
import { database } from '../../database/connection'
import { route } from '../../http/route'
import { practiceFor } from '../../practice/practice'

export default route(ROUTES.practice, ({ query }) => practiceFor(database('read'), query.person))
