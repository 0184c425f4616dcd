import { openApiDocument } from '../../shared/api/openapi'
import { ROUTES } from '../../shared/api/routes'
import { route } from '../http/route'

export default route(ROUTES.openapi, () => openApiDocument())
