/** `npm run seed`: migrates, empties the database at DATABASE_URL and writes the demo works; `-- --if-empty` leaves a filled one alone. */
import { migrateDown, migrateUp } from '../server/database/migrate'
import { insertMachine } from '../server/machines/machines.repository'
import { writeHistory } from './demo/history'
import { limitSets } from '../server/limits/limits'
import { insertStandstill } from '../server/comeBack/standstills.repository'
import { LIMIT_SETS } from './demo/limits'
import { BELT_LIMITS } from './demo/beltLimits'
import { SECTIONS } from './demo/sections'
import { beltLimits } from '../server/beltLimits/beltLimits'
import { beltSections } from '../server/sections/sections'
import { standstillsFrom } from './demo/standstills'
import { demoId, INSTRUMENTS, LOTS, MACHINES, PEOPLE, SPARE_BELTS, WORKS } from './demo/works'
import { spareBelts } from '../server/stores/spareBelts.repository'
import { shimLots } from '../server/stores/lots.repository'
import { letCustomerIn, letOldDemoIn, letPeopleIn } from './demo/people'
import { withDatabase } from './withDatabase'

/** The last time the demo works counted its shims. */
const COUNTED_DAYS_AGO = 12

await withDatabase(async (knex) => {
  await migrateUp(knex)
  const filled = (await knex('works').first('id')) !== undefined
  if (filled && process.argv.includes('--if-empty')) {
    // A demo works of a version in which nobody signed in: its people get the PIN that the page names.
    const letIn = await knex.transaction(letOldDemoIn)
    process.stdout.write(
      letIn
        ? 'The demo works is there already; its people can sign in now.\n'
        : 'The database has a works already; nothing written.\n',
    )
    return
  }
  if (filled) {
    await migrateDown(knex)
    await migrateUp(knex)
  }
  // One transaction: a seed that is broken off leaves nothing half written.
  await knex.transaction(async (trx) => {
    await trx('works').insert({
      id: 1,
      name: WORKS.name,
      pack_limit: WORKS.packLimit,
      foot_words: WORKS.footWords,
      come_back: JSON.stringify(WORKS.comeBack),
    })
    await trx('people').insert([...PEOPLE])
    await letPeopleIn(trx)
    const countedAt = new Date(Date.now() - COUNTED_DAYS_AGO * 86_400_000)
    for (const lot of LOTS) await shimLots.insert(trx, lot, countedAt)
    for (const belts of SPARE_BELTS) await spareBelts.insert(trx, belts, countedAt)
    await trx('instruments').insert(
      INSTRUMENTS.map(({ dueIn, ...i }) => ({
        ...i,
        due: dueIn === null ? null : new Date(Date.now() + dueIn * 86_400_000).toISOString().slice(0, 10),
      })),
    )
    for (const { id, ...set } of LIMIT_SETS) await limitSets.insert(trx, id, set)
    for (const { id, ...section } of SECTIONS) await beltSections.insert(trx, id, section)
    for (const { id, ...limits } of BELT_LIMITS) await beltLimits.insert(trx, id, limits)
    for (const machine of MACHINES) await insertMachine(trx, demoId(`machine/${machine.tag}`), machine)
    await letCustomerIn(trx)
    for (const { id, ...stop } of standstillsFrom(new Date())) await insertStandstill(trx, id, stop)
    await writeHistory(trx, new Date())
  })
  process.stdout.write(`${WORKS.name}: ${MACHINES.length} machines, with their history.\n`)
})
