import { ROUTES } from '../../../../shared/api/routes'
import { database } from '../../../database/connection'
import { bringTables } from '../../../files/tablesIn'
import { inThread } from '../../../heavy/pool'
import { route } from '../../../http/route'

export default route(ROUTES.bringTables, async ({ event, body, query }) => {
  const read = await inThread('readTables', { texts: body.tables }, event)
  const write = query.write === 'yes'
  return bringTables(database(write ? 'write' : 'read'), read, body.person, write)
})
