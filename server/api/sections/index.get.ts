import { ROUTES } from '../../../shared/api/routes'
import { database } from '../../database/connection'
import { route } from '../../http/route'
import { beltSections } from '../../sections/sections'

export default route(ROUTES.sections, () => beltSections.list(database('read')))
