import { setResponseStatus } from 'h3'
import { ROUTES } from '../../../shared/api/routes'
import { database } from '../../database/connection'
import { route } from '../../http/route'
import { beltSections } from '../../sections/sections'

export default route(ROUTES.addSection, async ({ event, body }) => {
  const added = await beltSections.add(database('write'), body)
  setResponseStatus(event, 201)
  return added
})
