import { setResponseHeaders } from 'h3'
import { z } from 'zod'
import { ROUTES } from '../../../../../shared/api/routes'
import { answerWords } from '../../../../../shared/wording/viewWords'
import { database } from '../../../../database/connection'
import { notFound } from '../../../../http/refusal'
import { route } from '../../../../http/route'
import { photographOf } from '../../../../photographs/photographs'

export default route(ROUTES.photograph, async ({ event, param }) => {
  const id = param('photograph').toLowerCase()
  if (!z.uuid().safeParse(id).success) throw notFound(answerWords.nothingHere)
  const jpeg = await photographOf(database('read'), param('id'), id)
  // A photograph never changes under its id.
  setResponseHeaders(event, {
    'content-type': 'image/jpeg',
    'cache-control': 'private, max-age=31536000, immutable',
  })
  return jpeg
})
