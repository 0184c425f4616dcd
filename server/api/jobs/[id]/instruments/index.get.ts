import { ROUTES } from '../../../../../shared/api/routes'
import { database } from '../../../../database/connection'
import { route } from '../../../../http/route'
import { instrumentsOf } from '../../../../instruments/pairing'
import { idIn } from '../../../../http/idIn'

export default route(ROUTES.instruments, ({ param }) => instrumentsOf(database('read'), idIn(param('id'))))
