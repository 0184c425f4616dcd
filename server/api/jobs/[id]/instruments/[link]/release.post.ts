import { ROUTES } from '../../../../../../shared/api/routes'
import { database } from '../../../../../database/connection'
import { route } from '../../../../../http/route'
import { releaseInstrument } from '../../../../../instruments/pairing'
import { idIn } from '../../../../../http/idIn'

export default route(ROUTES.releaseInstrument, ({ param }) =>
  releaseInstrument(database('write'), idIn(param('id')), idIn(param('link'))),
)
