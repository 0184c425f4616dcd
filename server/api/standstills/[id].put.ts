import { ROUTES } from '../../../shared/api/routes'
import { changeStandstill } from '../../comeBack/standstills'
import { database } from '../../database/connection'
import { notFound } from '../../http/refusal'
import { route } from '../../http/route'
import { isUuid } from '../../../shared/text'
import { answerWords } from '../../../shared/wording/viewWords'

export default route(ROUTES.changeStandstill, ({ param, body }) => {
  const id = param('id').toLowerCase()
  if (!isUuid(id)) throw notFound(answerWords.noStandstill)
  return changeStandstill(database('write'), id, body)
})
