import { ROUTES } from '../../../shared/api/routes'
import { endFeed } from '../../comeBack/feeds'
import { database } from '../../database/connection'
import { notFound } from '../../http/refusal'
import { route } from '../../http/route'
import { isUuid } from '../../../shared/text'
import { en } from '../../../shared/wording/en'

export default route(ROUTES.endFeed, ({ param }) => {
  const id = param('feed').toLowerCase()
  if (!isUuid(id)) throw notFound(en.answers.noFeed)
  return endFeed(database('write'), id)
})
