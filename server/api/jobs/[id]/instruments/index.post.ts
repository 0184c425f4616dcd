import { ROUTES } from '../../../../../shared/api/routes'
import { database } from '../../../../database/connection'
import { route } from '../../../../http/route'
import { awaitInstrument } from '../../../../instruments/pairing'
import { idIn } from '../../../../http/idIn'

export default route(ROUTES.awaitInstrument, ({ param, body }) =>
  awaitInstrument(database('write'), idIn(param('id')), body),
)
