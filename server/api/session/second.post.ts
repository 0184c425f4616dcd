import { ROUTES } from '../../../shared/api/routes'
import { database } from '../../database/connection'
import { route } from '../../http/route'
import { slowDown } from '../../people/guesses'
import { currentIn } from '../../people/session'
import { showSecond } from '../../people/signIn'

export default route(ROUTES.second, ({ event, body }) => {
  const current = currentIn(event)
  return slowDown(event, () => showSecond(database('write'), current, body))
})
