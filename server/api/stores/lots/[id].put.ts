import { ROUTES } from '../../../../shared/api/routes'
import { isUuid } from '../../../../shared/text'
import { en } from '../../../../shared/wording/en'
import { database } from '../../../database/connection'
import { notFound } from '../../../http/refusal'
import { route } from '../../../http/route'
import { changeLot } from '../../../stores/stores'

export default route(ROUTES.changeLot, ({ param, body }) => {
  const id = param('id').toLowerCase()
  if (!isUuid(id)) throw notFound(en.answers.noLot)
  return changeLot(database('write'), id, body)
})
