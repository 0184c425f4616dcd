import { ROUTES } from '../../../../shared/api/routes'
import { database } from '../../../database/connection'
import { route } from '../../../http/route'
import { machineHistory } from '../../../machines/history'

export default route(ROUTES.machineHistory, ({ param }) => machineHistory(database('read'), param('tag')))
