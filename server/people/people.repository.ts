import type { Knex } from 'knex'
import type { Role } from '../../core/logbook/may'

/** Somebody as the server knows them. */
export interface Staff {
  readonly id: string
  readonly name: string
  readonly role: Role
  readonly customer: string | null
  readonly retired: boolean
  /** A device that saw their PIN is believed while this stays. */
  readonly epoch: number
  readonly version: number
  readonly signsIn: 'not' | 'once' | 'yes'
}

/** What stands between a guess and somebody. */
export interface Guarded extends Staff {
  readonly secret: string | null
  readonly wrong: number
  readonly waitUntil: Date | null
}

interface Row {
  readonly id: string
  readonly name: string
  readonly role: Role
  readonly customer: string | null
  readonly retired: boolean
  readonly epoch: number
  readonly version: number
  readonly secret: string | null
  readonly secret_once: boolean
  readonly wrong: number
  readonly wait_until: Date | null
}

const COLUMNS = [
  'id',
  'name',
  'role',
  'customer',
  'retired',
  'epoch',
  'version',
  'secret',
  'secret_once',
  'wrong',
  'wait_until',
] as const

const toGuarded = (row: Row): Guarded => ({
  id: row.id,
  name: row.name,
  role: row.role,
  customer: row.customer,
  retired: row.retired,
  epoch: row.epoch,
  version: row.version,
  signsIn: row.secret === null ? 'not' : row.secret_once ? 'once' : 'yes',
  secret: row.secret,
  wrong: row.wrong,
  waitUntil: row.wait_until,
})

const toStaff = ({ secret: _, wrong: __, waitUntil: ___, ...staff }: Guarded): Staff => staff

/** Everybody, by name. */
export const listStaff = async (knex: Knex): Promise<readonly Staff[]> =>
  ((await knex('people').select(COLUMNS).orderBy('name')) as Row[]).map(toGuarded).map(toStaff)

/** Those in service who are called so, however it is written; several where an old register has two of a name. */
export const guardedByName = async (knex: Knex, name: string): Promise<readonly Guarded[]> =>
  (
    (await knex('people')
      .whereRaw('lower(name) = lower(?)', [name])
      .where({ retired: false })
      .select(COLUMNS)
      .orderBy('id')
      .limit(5)) as Row[]
  ).map(toGuarded)

/** One person with what guards them, held until the transaction ends where asked; null when there is none. */
export const findGuarded = async (knex: Knex, id: string, lock = false): Promise<Guarded | null> => {
  const query = knex('people').where({ id }).first(COLUMNS)
  const row = (await (lock ? query.forUpdate() : query)) as Row | undefined
  return row ? toGuarded(row) : null
}

/** Whether somebody in service leads and can sign in, besides this person. */
export const leadThere = async (knex: Knex, besides: string | null = null): Promise<boolean> => {
  const query = knex('people').where({ role: 'lead', retired: false }).whereNotNull('secret')
  if (besides !== null) void query.whereNot({ id: besides })
  return (await query.first('id')) !== undefined
}

/** Adds somebody; false where the id is taken. */
export const insertStaff = async (
  knex: Knex,
  person: {
    readonly id: string
    readonly name: string
    readonly role: Role
    readonly customer: string | null
  },
): Promise<boolean> => {
  const added = (await knex('people').insert(person).onConflict('id').ignore().returning('id')) as unknown[]
  return added.length > 0
}

/** Writes somebody's secret; devices forget them where `anew`. */
export const writeSecret = async (
  knex: Knex,
  id: string,
  secret: string,
  { once, anew }: { readonly once: boolean; readonly anew: boolean },
): Promise<void> => {
  await knex('people')
    .where({ id })
    .update({
      secret,
      secret_once: once,
      wrong: 0,
      wait_until: null,
      ...(anew ? { epoch: knex.raw('epoch + 1') } : {}),
    })
}

/** Changes somebody over `version`; devices forget them where `anew`. False when someone was faster. */
export const updateStaff = async (
  knex: Knex,
  id: string,
  version: number,
  change: { name: string; role: Role; customer: string | null; retired: boolean },
  anew: boolean,
): Promise<boolean> =>
  (await knex('people')
    .where({ id, version })
    .update({
      ...change,
      version: version + 1,
      ...(anew ? { epoch: knex.raw('epoch + 1') } : {}),
    })) === 1

/** Every device forgets somebody. */
export const forgetDevices = async (knex: Knex, id: string): Promise<void> => {
  await knex('people').where({ id }).increment('epoch', 1)
}

/** How wrong guesses are slowed down: so many are free, then a wait of seconds that doubles up to the longest. */
export interface Slowing {
  readonly free: number
  readonly first: number
  readonly longest: number
}

/**
 * Takes a guess before it is looked at, so that guesses made side by side count as well: null, or the seconds that the
 * next one waits.
 */
export const takeGuess = async (
  knex: Knex,
  id: string,
  { free, first, longest }: Slowing,
): Promise<number | null> => {
  const { rows } = (await knex.raw(
    `update people set wrong = wrong + 1, wait_until = case when wrong < :free then null
       else now() + least(:longest, :first * power(2, least(wrong - :free, 20))) * interval '1 second' end
     where id = :id and (wait_until is null or wait_until <= now()) returning id`,
    { id, free, first, longest },
  )) as { rows: unknown[] }
  if (rows.length > 0) return null
  const row = (await knex('people')
    .where({ id })
    .first(knex.raw('extract(epoch from wait_until - now())::float as seconds'))) as
    { seconds: number | null } | undefined
  return row?.seconds ?? first
}

/** Forgets wrong guesses: the right one came. */
export const noteRight = async (knex: Knex, id: string): Promise<void> => {
  await knex('people').where({ id }).update({ wrong: 0, wait_until: null })
}

const PEOPLE_LOCK = 4_310_001

/** Until this transaction ends nobody else is added, renamed or made the first lead: the second one finds the first. */
export const oneAtATime = async (trx: Knex): Promise<void> => {
  await trx.raw('select pg_advisory_xact_lock(?)', [PEOPLE_LOCK])
}

/** The key that the works signs its cookies with. */
export const keptKey = async (knex: Knex, name: string): Promise<string | null> =>
  ((await knex('keys').where({ name }).first('key')) as { key: string } | undefined)?.key ?? null

/** The note on how to sign in that a works to be tried has. */
export const signInNote = async (knex: Knex): Promise<unknown> =>
  ((await knex('works').first('sign_in_note')) as { sign_in_note: unknown } | undefined)?.sign_in_note ?? null
