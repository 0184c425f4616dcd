import { ROUTES } from '../../../shared/api/routes'
import { inputSchema, OPERATIONS } from '../../../shared/calculation/operations'
import { route } from '../../http/route'

export default route(ROUTES.calculations, () =>
  OPERATIONS.map((o) => ({ name: o.name, summary: o.summary, input: inputSchema(o) })),
)
