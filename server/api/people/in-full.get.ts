import { ROUTES } from '../../../shared/api/routes'
import { database } from '../../database/connection'
import { route } from '../../http/route'
import { peopleInFull } from '../../people/people'

export default route(ROUTES.peopleInFull, () => peopleInFull(database('read')))
