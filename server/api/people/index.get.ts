import { ROUTES } from '../../../shared/api/routes'
import { database } from '../../database/connection'
import { route } from '../../http/route'
import { listPeople } from '../../works/works.repository'

export default route(ROUTES.people, () => listPeople(database('read')))
