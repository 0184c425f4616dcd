import { ROUTES } from '../../../shared/api/routes'
import { database } from '../../database/connection'
import { route } from '../../http/route'
import { notFound } from '../../http/refusal'
import { beltSections } from '../../sections/sections'
import { isUuid } from '../../../shared/text'
import { answerWords } from '../../../shared/wording/viewWords'

export default route(ROUTES.changeSection, ({ param, body }) => {
  if (!isUuid(param('id'))) throw notFound(answerWords.noSection)
  return beltSections.change(database('write'), param('id').toLowerCase(), body)
})
