import { ROUTES } from '../../../shared/api/routes'
import { database } from '../../database/connection'
import { route } from '../../http/route'
import { notFound } from '../../http/refusal'
import { changeLimitSet } from '../../limits/limits'
import { isUuid } from '../../../shared/text'
import { en } from '../../../shared/wording/en'

export default route(ROUTES.changeLimits, ({ param, body }) => {
  if (!isUuid(param('id'))) throw notFound(en.answers.noLimits)
  return changeLimitSet(database('write'), param('id').toLowerCase(), body)
})
