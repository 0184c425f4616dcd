import { ROUTES } from '../../../shared/api/routes'
import { endFeed } from '../../comeBack/feeds'
import { database } from '../../database/connection'
import { notFound } from '../../http/refusal'
import { route } from '../../http/route'
import { currentIn } from '../../people/session'
import { isUuid } from '../../../shared/text'
import { answerWords } from '../../../shared/wording/viewWords'

export default route(ROUTES.endFeed, ({ event, param }) => {
  const id = param('feed').toLowerCase()
  if (!isUuid(id)) throw notFound(answerWords.noFeed)
  return endFeed(database('write'), id, currentIn(event))
})
