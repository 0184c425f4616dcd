import { ROUTES } from '../../../../../shared/api/routes'
import { database } from '../../../../database/connection'
import { route } from '../../../../http/route'
import { swapInstruments } from '../../../../instruments/pairing'
import { idIn } from '../../../../http/idIn'

export default route(ROUTES.swapInstruments, ({ param, body }) =>
  swapInstruments(database('write'), idIn(param('id')), body.places),
)
