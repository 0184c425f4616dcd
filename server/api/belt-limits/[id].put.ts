import { ROUTES } from '../../../shared/api/routes'
import { database } from '../../database/connection'
import { route } from '../../http/route'
import { notFound } from '../../http/refusal'
import { beltLimits } from '../../beltLimits/beltLimits'
import { isUuid } from '../../../shared/text'
import { answerWords } from '../../../shared/wording/viewWords'

export default route(ROUTES.changeBeltLimits, ({ param, body }) => {
  if (!isUuid(param('id'))) throw notFound(answerWords.noLimits)
  return beltLimits.change(database('write'), param('id').toLowerCase(), body)
})
