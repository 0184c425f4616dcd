import { setResponseHeader } from 'h3'
import { ROUTES } from '../../../../shared/api/routes'
import { database } from '../../../database/connection'
import { jobAsFile } from '../../../files/jobFiles'
import { route } from '../../../http/route'

export default route(ROUTES.jobFile, async ({ event, param }) => {
  const { text, name } = await jobAsFile(database('read'), param('id'))
  setResponseHeader(event, 'content-type', 'application/json; charset=utf-8')
  setResponseHeader(event, 'content-disposition', `attachment; filename="${name.replace(/[^\w.-]/g, '_')}"`)
  return text
})
