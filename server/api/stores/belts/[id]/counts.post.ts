import { ROUTES } from '../../../../../shared/api/routes'
import { isUuid } from '../../../../../shared/text'
import { answerWords } from '../../../../../shared/wording/viewWords'
import { database } from '../../../../database/connection'
import { notFound } from '../../../../http/refusal'
import { route } from '../../../../http/route'
import { countBelts } from '../../../../stores/stores'

export default route(ROUTES.countSpareBelts, ({ param, body }) => {
  const id = param('id').toLowerCase()
  if (!isUuid(id)) throw notFound(answerWords.noBelts)
  return countBelts(database('write'), id, body)
})
