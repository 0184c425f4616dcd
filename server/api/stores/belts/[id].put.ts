import { ROUTES } from '../../../../shared/api/routes'
import { isUuid } from '../../../../shared/text'
import { answerWords } from '../../../../shared/wording/viewWords'
import { database } from '../../../database/connection'
import { notFound } from '../../../http/refusal'
import { route } from '../../../http/route'
import { spareBelts } from '../../../stores/spareBelts.repository'

export default route(ROUTES.changeSpareBelts, ({ param, body }) => {
  const id = param('id').toLowerCase()
  if (!isUuid(id)) throw notFound(answerWords.noBelts)
  return spareBelts.change(database('write'), id, body)
})
