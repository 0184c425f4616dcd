import { defineEventHandler, readBody, setResponseStatus } from 'h3'
import { database } from '../../../../../server/database/connection'

interface Row {
  readonly id: string
  readonly job: string
}

/** Reads a JSON body, inserts it as a row, answers. The yardstick of `npm run bench:server`. */
export default defineEventHandler(async (event) => {
  const body = await readBody<Row>(event)
  await database('write')('bare').insert({ id: body.id, job: body.job, payload: JSON.stringify(body) })
  setResponseStatus(event, 201)
  return { added: true }
})
