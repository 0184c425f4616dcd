import type { Knex } from 'knex'
import type { ComeBackRules } from '../../core/comeBack/rules'
import { paceOf } from '../../core/history/pace'
import { comeBackFields } from '../../shared/comeBack/rules'
import { timesOfLastMoves } from '../jobs/jobs.repository'
import { spareBeltsNow } from '../stores/spareBelts.repository'
import { asKept as asKeptBeltLimits } from '../../shared/beltLimits/beltLimits'
import { asKept } from '../../shared/limits/limitSet'
import { asKept as asKeptSection } from '../../shared/sections/section'
import { beltLimits } from '../beltLimits/beltLimits'
import { limitSets } from '../limits/limits'
import { beltSections } from '../sections/sections'
import { freeStock } from '../stores/stock'
import type { Instrument, Person, Works } from '../../shared/register/works'

/** The works with its shim stock, thinnest first, and its instruments. */
export const findWorks = async (knex: Knex): Promise<Works> => {
  const row = (await knex('works').first('name', 'pack_limit', 'foot_words', 'come_back', 'version')) as
    | {
        name: string
        pack_limit: number
        foot_words: Works['footWords']
        come_back: unknown
        version: number
      }
    | undefined
  // One after another: within a transaction there is one connection, which takes one question at a time.
  const stock = await freeStock(knex)
  const times = await timesOfLastMoves(knex)
  const belts = await spareBeltsNow(knex)
  const sets = await limitSets.holding(knex)
  const sections = await beltSections.holding(knex)
  const limits = await beltLimits.holding(knex)
  const instruments = (await knex('instruments')
    .where({ retired: false })
    .select('id', 'name', 'kind', 'due')
    .orderBy(['kind', 'name'])) as Instrument[]
  return {
    name: row?.name ?? '',
    packLimit: row?.pack_limit ?? 4,
    footWords: row?.foot_words ?? 'inboard-outboard',
    comeBack: row?.come_back ? comeBackFields.parse(row.come_back) : null,
    version: row?.version ?? 1,
    pace: paceOf(times),
    stock,
    tables: {
      limitSets: sets.map(asKept),
      sections: sections.map(asKeptSection),
      beltLimits: limits.map(asKeptBeltLimits),
    },
    instruments,
    spareBelts: belts.map(({ lot, now }) => ({ lot, now })),
  }
}

/** Writes the works' rules for coming back over those of `version`; false when someone was faster. */
export const updateComeBack = async (knex: Knex, version: number, rules: ComeBackRules): Promise<boolean> =>
  (await knex('works')
    .where({ id: 1, version })
    .update({ come_back: JSON.stringify(rules), version: version + 1 })) === 1

/** Everyone of the works, by name; those who left as well, for what they wrote. */
export const listPeople = async (knex: Knex): Promise<readonly Person[]> =>
  (await knex('people')
    .whereNot({ role: 'customer' })
    .select('id', 'name', 'role', 'retired')
    .orderBy('name')) as Person[]

/** One person, or null. */
export const findPerson = async (knex: Knex, id: string): Promise<Person | null> =>
  ((await knex('people').where({ id }).first('id', 'name', 'role')) as Person | undefined) ?? null

/** Adds a person; one by that id who is there stays as they are. */
export const insertPerson = async (knex: Knex, { id, name, role }: Person): Promise<void> => {
  await knex('people').insert({ id, name, role }).onConflict('id').ignore()
}
