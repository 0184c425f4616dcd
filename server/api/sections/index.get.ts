import { ROUTES } from '../../../shared/api/routes'
import { database } from '../../database/connection'
import { route } from '../../http/route'
import { listSections } from '../../sections/sections.repository'

export default route(ROUTES.sections, () => listSections(database('read')))
