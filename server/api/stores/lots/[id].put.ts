import { ROUTES } from '../../../../shared/api/routes'
import { isUuid } from '../../../../shared/text'
import { answerWords } from '../../../../shared/wording/viewWords'
import { database } from '../../../database/connection'
import { notFound } from '../../../http/refusal'
import { route } from '../../../http/route'
import { shimLots } from '../../../stores/lots.repository'

export default route(ROUTES.changeLot, ({ param, body }) => {
  const id = param('id').toLowerCase()
  if (!isUuid(id)) throw notFound(answerWords.noLot)
  return shimLots.change(database('write'), id, body)
})
