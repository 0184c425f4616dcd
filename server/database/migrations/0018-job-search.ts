import type { Knex } from 'knex'

/** Keys of payloads under which people write words. */
const WORDS = 'text|note|words|remark|remarks|why|exception|customer|site|permit|signedBy'

/** Jobs that are there, found by what their rows and entries tell. */
export const fillFromRows = async (knex: Knex): Promise<void> => {
  await knex.raw(`
    with written as (
      select job_id, string_agg(words, ' ') as words from (
        select job_id, supersede_reason as words from entries where supersede_reason is not null
        union all
        select job_id, said.value #>> '{}' from entries, jsonb_path_query(payload,
        '$.** \\? (@.type() == "object").keyvalue() \\? (@.key like_regex "^(${WORDS})$").value \\? (@.type() == "string")'
        ) as said(value)
      ) as said group by job_id
    ), opening as (
      select distinct on (job_id) job_id, payload from entries where kind = 'job-opened' order by job_id, seq desc
    ), writers as (
      select job_id, array_agg(distinct 'person:' || author) as terms from entries group by job_id
    )
    insert into job_search (job_id, opened_at, words, terms)
    select j.id, j.opened_at,
      strip(to_tsvector('simple', regexp_replace(
        lower(concat_ws(' ', m.tag, m.name, m.area, w.words)), '[^[:alnum:]]+', ' ', 'g'))),
      array_remove(array[
        'kind:' || j.kind, 'verdict:' || j.verdict, 'machine:' || lower(m.tag), 'area:' || lower(m.area),
        case when j.closed_at is null then 'state:open' else 'state:closed' end,
        'reason:' || (o.payload->>'reason'),
        'customer:' || nullif(lower(trim(o.payload->>'customer')), '')
      ], null) || coalesce(p.terms, '{}')
    from jobs j
    join machines m on m.id = j.machine_id
    left join written w on w.job_id = j.id
    left join opening o on o.job_id = j.id
    left join writers p on p.job_id = j.id
  `)
}

/**
 * What a job is found by: the words that were written in it, and terms such as `verdict:in`. Beside the jobs, so that an
 * entry that says nothing new writes no index. Jobs that are there get what their rows and entries tell; `npm run refold`
 * adds the rest.
 */
export const up = async (knex: Knex): Promise<void> => {
  await knex.schema.createTable('job_search', (t) => {
    t.uuid('job_id').primary().references('jobs.id').onDelete('CASCADE')
    t.timestamp('opened_at').notNullable()
    t.specificType('words', 'tsvector').notNullable()
    t.specificType('terms', 'text[]').notNullable()
  })
  await knex.schema.createTable('search_views', (t) => {
    t.uuid('id').primary()
    t.uuid('person').notNullable().references('people.id')
    t.text('name').notNullable()
    t.text('query').notNullable()
    t.unique(['person', 'name'])
  })
  await knex.raw('create index job_search_words on job_search using gin (words)')
  await knex.raw('create index job_search_terms on job_search using gin (terms)')
  await knex.raw('create index job_search_opened on job_search (opened_at desc, job_id desc)')
  await fillFromRows(knex)
}

export const down = async (knex: Knex): Promise<void> => {
  await knex.schema.dropTable('search_views')
  await knex.schema.dropTable('job_search')
}
