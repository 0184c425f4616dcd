import { ROUTES } from '../../../shared/api/routes'
import { database } from '../../database/connection'
import { route } from '../../http/route'
import { changeComeBack } from '../../works/works'

export default route(ROUTES.changeComeBack, ({ body }) => changeComeBack(database('write'), body))
