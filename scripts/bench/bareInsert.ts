/** A bare insert route: reads a JSON body, inserts it as a row, answers. The yardstick of `npm run bench:server`. */
import { createServer } from 'node:http'
import { createApp, defineEventHandler, readBody, setResponseStatus, toNodeListener } from 'h3'
import { closeDatabase, database } from '../../server/database/connection'

interface Row {
  readonly id: string
  readonly job: string
}

const knex = database('write')
await knex.schema.createTable('bare', (t) => {
  t.uuid('id').primary()
  t.uuid('job').notNullable().index()
  t.jsonb('payload').notNullable()
  t.timestamp('at').notNullable().defaultTo(knex.fn.now())
})

const app = createApp()
app.use(
  defineEventHandler(async (event) => {
    const body = await readBody<Row>(event)
    await knex('bare').insert({ id: body.id, job: body.job, payload: JSON.stringify(body) })
    setResponseStatus(event, 201)
    return { added: true }
  }),
)
const server = createServer(toNodeListener(app)).listen(Number(process.env.BARE_PORT), '127.0.0.1', () =>
  process.stdout.write('ready\n'),
)
process.once('SIGTERM', () => {
  server.close()
  void closeDatabase().finally(() => process.exit(0))
})
