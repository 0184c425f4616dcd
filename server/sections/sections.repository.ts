import type { Knex } from 'knex'
import { sectionFields, type SectionFields, type SectionRecord } from '../../shared/sections/section'

interface Row {
  readonly id: string
  readonly record: unknown
  readonly in_use: boolean
  readonly version: number
}

const toRecord = ({ id, record, in_use, version }: Row): SectionRecord => ({
  ...sectionFields.parse({ ...(record as object), inUse: in_use }),
  id,
  version,
})
const columnsOf = ({ inUse, ...record }: SectionFields) => ({
  section: record.section.trim(),
  construction: record.construction ?? '',
  in_use: inUse,
  record: JSON.stringify(record),
})
const COLUMNS = ['id', 'record', 'in_use', 'version']

/** All sections that the works has written: those in use first, by section and construction. */
export const listSections = async (knex: Knex): Promise<readonly SectionRecord[]> =>
  (
    (await knex('belt_sections')
      .select(COLUMNS)
      .orderBy([
        { column: 'in_use', order: 'desc' },
        { column: 'section' },
        { column: 'construction' },
        { column: 'updated_at', order: 'desc' },
      ])) as Row[]
  ).map(toRecord)

/** Those that jobs are opened with. */
export const sectionsInUse = async (knex: Knex): Promise<readonly SectionRecord[]> =>
  ((await knex('belt_sections').select(COLUMNS).where({ in_use: true })) as Row[]).map(toRecord)

/** One section, locked until the transaction ends; null for an unknown id. */
export const findSection = async (trx: Knex, id: string): Promise<SectionRecord | null> => {
  const row = (await trx('belt_sections').where({ id }).forUpdate().first(COLUMNS)) as Row | undefined
  return row ? toRecord(row) : null
}

/** Takes the one that was in use there out of use, whoever it is but `id`. */
export const takeOutOfUse = async (
  trx: Knex,
  { section, construction }: Pick<SectionFields, 'section' | 'construction'>,
  id: string,
): Promise<void> => {
  await trx('belt_sections')
    .where({ construction: construction ?? '', in_use: true })
    .whereRaw('lower(section) = lower(?)', [section.trim()])
    .whereNot({ id })
    .update({ in_use: false, version: trx.raw('version + 1'), updated_at: trx.fn.now() })
}

/** Adds a section; false when its id is taken. */
export const insertSection = async (trx: Knex, id: string, section: SectionFields): Promise<boolean> => {
  const rows = (await trx('belt_sections')
    .insert({ id, ...columnsOf(section) })
    .onConflict('id')
    .ignore()
    .returning('id')) as unknown[]
  return rows.length > 0
}

/** Writes a section over the one that has `version`. */
export const updateSection = async (
  trx: Knex,
  id: string,
  version: number,
  section: SectionFields,
): Promise<void> => {
  await trx('belt_sections')
    .where({ id, version })
    .update({ ...columnsOf(section), version: version + 1, updated_at: trx.fn.now() })
}
