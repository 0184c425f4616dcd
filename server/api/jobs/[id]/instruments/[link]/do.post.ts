import { ROUTES } from '../../../../../../shared/api/routes'
import { database } from '../../../../../database/connection'
import { route } from '../../../../../http/route'
import { commandInstrument } from '../../../../../instruments/pairing'
import { idIn } from '../../../../../http/idIn'

export default route(ROUTES.commandInstrument, ({ param, body }) =>
  commandInstrument(database('read'), idIn(param('id')), idIn(param('link')), body.do),
)
