import { setResponseStatus } from 'h3'
import { ROUTES } from '../../../shared/api/routes'
import { database } from '../../database/connection'
import { route } from '../../http/route'
import { addPerson } from '../../people/people'

export default route(ROUTES.addPerson, async ({ event, body }) => {
  const added = await addPerson(database('write'), body)
  setResponseStatus(event, 201)
  return added
})
