import { ROUTES } from '../../../shared/api/routes'
import { changeStandstill } from '../../comeBack/standstills'
import { database } from '../../database/connection'
import { notFound } from '../../http/refusal'
import { route } from '../../http/route'
import { isUuid } from '../../../shared/text'
import { en } from '../../../shared/wording/en'

export default route(ROUTES.changeStandstill, ({ param, body }) => {
  const id = param('id').toLowerCase()
  if (!isUuid(id)) throw notFound(en.answers.noStandstill)
  return changeStandstill(database('write'), id, body)
})
