import { ROUTES } from '../../../../shared/api/routes'
import { isUuid } from '../../../../shared/text'
import { answerWords } from '../../../../shared/wording/viewWords'
import { database } from '../../../database/connection'
import { notFound } from '../../../http/refusal'
import { route } from '../../../http/route'
import { takeBack } from '../../../practice/practice'

export default route(ROUTES.dropPractice, ({ param, body }) => {
  const id = param('id').toLowerCase()
  if (!isUuid(id)) throw notFound(answerWords.noTask)
  return takeBack(database('write'), id, body.by)
})
