import knexModule, { type Knex } from 'knex'
import { afterAll, inject } from 'vitest'
import { knexOptions } from '../../server/database/connection'
import { databaseOf } from '../support/cluster'

/** Databases of a test file beside that of its program: opened and laid out as it needs them, let go of at the end. */
export const useDatabases = () => {
  const opened: Knex[] = []
  afterAll(() => Promise.all(opened.map((knex) => knex.destroy())))
  const open = (address: string): Knex => {
    const knex = knexModule(knexOptions(address))
    opened.push(knex)
    return knex
  }
  /** A new one that holds nothing. */
  const empty = async (name: string) => {
    const urlOf = databaseOf(inject('address'))
    await open(urlOf('postgres')).raw(`create database ${name}`)
    return { address: urlOf(name), knex: open(urlOf(name)) }
  }
  return { open, empty }
}
