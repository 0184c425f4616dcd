import type { Knex } from 'knex'

const INDEXES = ['job_search_words', 'job_search_terms']

/** Words of rows just written, in one order whoever writes: two writers never wait for one another in a ring. */
const KEEP = `
  create function keep_search_words() returns trigger language plpgsql as $$
  begin
    insert into search_words (word)
    select w.word from (select distinct unnest(tsvector_to_array(words)) as word from fresh) w
    where not exists (select 1 from search_words s where s.word = w.word collate "C")
    order by w.word collate "C"
    on conflict do nothing;
    return null;
  end $$`

/**
 * Every word that a job is or was found by, once, kept by the database beside `job_search`: how typed words may go on. And
 * what a job is found by goes into its indexes as it is written: put off until there is more of it, as PostgreSQL does of
 * itself, every search has to read through it meanwhile.
 */
export const up = async (knex: Knex): Promise<void> => {
  await knex.raw('create table search_words (word text collate "C" primary key)')
  await knex.raw(`insert into search_words (word) select word from ts_stat('select words from job_search')`)
  await knex.raw(KEEP)
  for (const when of ['insert', 'update'])
    await knex.raw(`
      create trigger search_words_after_${when} after ${when} on job_search
      referencing new table as fresh for each statement execute function keep_search_words()`)
  for (const index of INDEXES) {
    await knex.raw(`alter index ${index} set (fastupdate = off)`)
    await knex.raw(`select gin_clean_pending_list('${index}')`)
  }
}

export const down = async (knex: Knex): Promise<void> => {
  for (const index of INDEXES) await knex.raw(`alter index ${index} reset (fastupdate)`)
  for (const when of ['insert', 'update'])
    await knex.raw(`drop trigger search_words_after_${when} on job_search`)
  await knex.raw('drop function keep_search_words()')
  await knex.raw('drop table search_words')
}
