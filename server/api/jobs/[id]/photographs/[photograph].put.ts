import { setResponseStatus } from 'h3'
import { z } from 'zod'
import { ROUTES } from '../../../../../shared/api/routes'
import { LARGEST_FILE } from '../../../../../shared/photographs/photographs'
import { look } from '../../../../../shared/wording/en'
import { answerWords } from '../../../../../shared/wording/viewWords'
import { database } from '../../../../database/connection'
import { busy } from '../../../../http/databaseFailure'
import { readBytes } from '../../../../http/readBytes'
import { Refused } from '../../../../http/refusal'
import { route } from '../../../../http/route'
import { keepPhotograph } from '../../../../photographs/photographs'

/** Files that are in memory at once; whoever comes next tries again. */
const AT_ONCE = 8
let reading = 0

export default route(ROUTES.keepPhotograph, async ({ event, param }) => {
  const id = param('photograph').toLowerCase()
  if (!z.uuid().safeParse(id).success) throw new Refused(422, 'bad-input', answerWords.photographId)
  if (reading >= AT_ONCE) throw busy()
  reading++
  try {
    const bytes = await readBytes(event, LARGEST_FILE, look.photographs.tooLarge)
    const answer = await keepPhotograph(database('write'), param('id'), id, bytes)
    setResponseStatus(event, answer.added ? 201 : 200)
    return answer
  } finally {
    reading--
  }
})
