import { ROUTES } from '../../shared/api/routes'
import { database } from '../database/connection'
import { route } from '../http/route'
import { findWorks } from '../works/works.repository'

export default route(ROUTES.works, () => findWorks(database('read')))
