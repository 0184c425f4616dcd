import { ROUTES } from '../../../../../shared/api/routes'
import { database } from '../../../../database/connection'
import { idIn } from '../../../../http/idIn'
import { route } from '../../../../http/route'
import { dropView } from '../../../../search/search'

export default route(ROUTES.dropSearchView, ({ param, body }) =>
  dropView(database('write'), idIn(param('id')), body.by),
)
