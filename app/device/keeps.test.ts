import 'fake-indexeddb/auto'
import { beforeEach, describe, expect, it } from 'vitest'
import { keepCopy, copyOf } from './copies'
import { deviceStore } from './database'
import { addRow, allRows } from './outboxQueue'
import { rowOf } from './testTab'
import {
  allKeeps,
  keepOf,
  KEPT_WEEKS,
  letGo,
  makeRoom,
  noteKeep,
  outlived,
  spare,
  tidy,
  type Keep,
} from './keeps'

const NOW = Date.UTC(2026, 10, 29, 8)
const WEEK = 7 * 24 * 3600_000
const keep = (id: string, more: Partial<Keep> = {}): Keep => ({
  key: `job:${id}`,
  what: 'job',
  id,
  tag: `T-${id}`,
  name: 'Mill',
  usedAt: NOW,
  pinned: false,
  copiedAt: NOW,
  closed: false,
  opened: true,
  ...more,
})
const ids = (keeps: readonly Keep[]) => keeps.map((k) => k.id)

beforeEach(async () => {
  const db = await deviceStore()
  for (const store of ['keeps', 'jobs', 'copies', 'outbox'] as const) await db.clear(store)
})

describe('how long a job stays on a device', () => {
  const old = { usedAt: NOW - KEPT_WEEKS * WEEK - 1 }

  it('stays its weeks from when it was opened last, and longer when pinned or while something of it waits', () => {
    const keeps = [
      keep('fresh'),
      keep('just', { usedAt: NOW - KEPT_WEEKS * WEEK }),
      keep('old', old),
      keep('pinned', { ...old, pinned: true }),
      keep('waiting', old),
    ]
    expect(ids(outlived(keeps, NOW, new Set(['waiting'])))).toEqual(['old'])
  })

  it('makes room with what was unused longest, never with what is pinned, in view, or has something to send', () => {
    const keeps = [
      keep('newer', { usedAt: NOW - 1 }),
      keep('older', { usedAt: NOW - 2 }),
      keep('pinned', { pinned: true, usedAt: NOW - 9 }),
      keep('view', { usedAt: NOW - 9 }),
      keep('waiting', { usedAt: NOW - 9 }),
    ]
    expect(ids(spare(keeps, new Set(['waiting']), 'view'))).toEqual(['older', 'newer'])
  })
})

describe('what is kept', () => {
  it('is noted bit by bit, and what was used last stands first', async () => {
    await noteKeep('job', 'a', { tag: 'T-1', name: 'Mill', usedAt: NOW - 5 })
    await noteKeep('machine', 'T-1', { tag: 'T-1', name: 'Mill', usedAt: NOW })
    await noteKeep('job', 'a', { pinned: true })
    expect(await keepOf('job', 'a')).toMatchObject({
      tag: 'T-1',
      pinned: true,
      usedAt: NOW - 5,
      copiedAt: null,
    })
    expect(ids(await allKeeps())).toEqual(['T-1', 'a'])
  })

  it('goes with its copies, but for those that another one of the same machine is made of', async () => {
    const db = await deviceStore()
    await db.put('jobs', { id: 'a' })
    await keepCopy('/api/machines/T-1', { tag: 'T-1' })
    await noteKeep('job', 'a', { tag: 'T-1' })
    await noteKeep('machine', 'T-1', { tag: 'T-1' })
    await letGo((await keepOf('job', 'a')) as Keep)
    expect(await db.get('jobs', 'a')).toBeUndefined()
    expect(await copyOf('/api/machines/T-1')).toBeDefined()
    await letGo((await keepOf('machine', 'T-1')) as Keep)
    expect(await copyOf('/api/machines/T-1')).toBeUndefined()
  })

  it('is tidied of what has outlived its weeks; entries that wait are never touched', async () => {
    const usedAt = NOW - (KEPT_WEEKS + 1) * WEEK
    for (const id of ['gone', 'waits']) await noteKeep('job', id, { tag: id, usedAt })
    await addRow(rowOf('waits', 'entry'))
    await keepCopy('/api/today', {})
    await tidy(NOW)
    expect(ids(await allKeeps())).toEqual(['waits'])
    expect((await allRows()).map((r) => r.id)).toEqual(['entry'])
    await tidy(Date.now() + (KEPT_WEEKS + 1) * WEEK)
    expect(await copyOf('/api/today')).toBeUndefined()
  })

  it('makes room by halves until nothing is to spare', async () => {
    for (const [i, id] of ['a', 'b', 'c'].entries()) await noteKeep('job', id, { tag: id, usedAt: NOW + i })
    expect(await makeRoom('')).toBe(true)
    expect(ids(await allKeeps())).toEqual(['c'])
    expect(await makeRoom('c')).toBe(false)
    expect(await makeRoom('')).toBe(true)
    expect(await makeRoom('')).toBe(false)
  })
})
