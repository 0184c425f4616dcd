import { LARGEST_JOB_FILE } from '../../../shared/files/size'
import { ROUTES } from '../../../shared/api/routes'
import { jobFileWords } from '../../../shared/wording/en'
import { OWN_END } from '../../../shared/wording/words'
import { database } from '../../database/connection'
import { bringIn, wouldBringIn } from '../../files/jobFiles'
import { inThread } from '../../heavy/pool'
import { busy } from '../../http/databaseFailure'
import { readBytes } from '../../http/readBytes'
import { Refused } from '../../http/refusal'
import { route } from '../../http/route'

/** Files that are in memory at once; whoever comes next tries again. */
const AT_ONCE = 2
let reading = 0

export default route(ROUTES.bringJob, async ({ event, query }) => {
  const w = jobFileWords(OWN_END)
  if (reading >= AT_ONCE) throw busy()
  reading++
  try {
    const bytes = await readBytes(event, LARGEST_JOB_FILE, w.faults.tooLarge)
    const file = await inThread('readJob', { text: bytes.toString('utf8') }, event)
    if ('faults' in file) {
      const issues = file.faults.map(({ path, message, line }) => ({
        path,
        message: `${w.line(line)}: ${message}`,
      }))
      throw new Refused(422, 'bad-file', issues[0]?.message ?? w.faults.damaged, { issues })
    }
    return query.write === 'yes'
      ? await bringIn(database('write'), file.read)
      : await wouldBringIn(database('read'), file.read)
  } finally {
    reading--
  }
})
