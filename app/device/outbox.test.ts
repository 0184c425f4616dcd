import { beforeEach, describe, expect, it, vi } from 'vitest'
import { deviceStore, type OutboxRow } from './database'
import { RETRY_MS, type Answer } from './outbox'
import { allRows, headOf, takeOverOldQueue } from './outboxQueue'
import { AWAY, layLocks, openTab, rowOf, taken, takeLocks, turnedDown } from './testTab'

beforeEach(async () => {
  layLocks()
  await (await deviceStore()).clear('outbox')
})

/** A server whose answer a test gives when it likes. */
const heldServer = () => {
  const asked: { row: OutboxRow; answer: (a: Answer) => void }[] = []
  const server = (row: OutboxRow) =>
    new Promise<Answer>((resolve) => {
      asked.push({ row, answer: resolve })
    })
  return { asked, server }
}
const kept = async () => (await allRows()).map((r) => r.id)
const quiet = (tab: ReturnType<typeof openTab>) => vi.waitFor(() => expect(tab.shown).toEqual([]))

describe('the outbox', () => {
  it('shows a row at once, before the device has written it', async () => {
    const tab = openTab(taken)
    const writing = tab.put(rowOf('job', 'a'))
    expect(tab.shown.map((r) => r.id)).toEqual(['a'])
    await writing
    await quiet(tab)
  })

  it('keeps a row until the server has it, not a moment less', async () => {
    const { asked, server } = heldServer()
    const tab = openTab(server)
    await tab.put(rowOf('job', 'a'))
    await vi.waitFor(() => expect(asked).toHaveLength(1))
    expect(await kept()).toEqual(['a'])
    asked[0]?.answer(taken(rowOf('job', 'a')))
    await quiet(tab)
    expect(await kept()).toEqual([])
    expect(tab.taken).toEqual([{ job: 'job', id: 'a' }])
  })

  it('sends a job’s entries one after another, in the order they were written', async () => {
    const { asked, server } = heldServer()
    const tab = openTab(server)
    for (const id of ['a', 'b', 'c']) await tab.put(rowOf('job', id))
    for (const id of ['a', 'b', 'c']) {
      await vi.waitFor(() => expect(asked.at(-1)?.row.id).toBe(id))
      asked.at(-1)?.answer(taken(rowOf('job', id)))
    }
    await quiet(tab)
    expect(tab.sent).toEqual(['a', 'b', 'c'])
  })

  it('lets no job wait for another', async () => {
    const { asked, server } = heldServer()
    const tab = openTab(server)
    await tab.put(rowOf('slow', 's1'))
    await tab.put(rowOf('quick', 'q1'))
    await vi.waitFor(() => expect(asked.map((x) => x.row.id)).toEqual(['s1', 'q1']))
    asked[1]?.answer(taken(rowOf('quick', 'q1')))
    await vi.waitFor(async () => expect(await kept()).toEqual(['s1']))
    asked[0]?.answer(taken(rowOf('slow', 's1')))
    await quiet(tab)
  })

  it('carries the opening of a job with its machine, ahead of what was written in it', async () => {
    const seen: (string | null)[] = []
    const tab = openTab((row) => {
      seen.push(row.machine)
      return taken(row)
    })
    await tab.put(rowOf('new', 'opening', 'CP-11'))
    await tab.put(rowOf('new', 'first'))
    await quiet(tab)
    expect(seen).toEqual(['CP-11', null])
  })
})

describe('while the server is away', () => {
  it('nothing is lost, and it is tried again, each time after a longer wait', async () => {
    let away = true
    const tab = openTab((row) => (away ? AWAY : taken(row)))
    await tab.put(rowOf('job', 'a'))
    await vi.waitFor(() => expect(tab.reachable).toBe(false))
    expect(await kept()).toEqual(['a'])
    const waits: number[] = []
    for (let i = 0; i < 7; i++) {
      await vi.waitFor(() => expect(tab.later).toHaveLength(1))
      const [next] = tab.later.splice(0)
      waits.push(next?.ms ?? NaN)
      next?.then()
    }
    await vi.waitFor(() => expect(tab.later).toHaveLength(1))
    expect(waits).toEqual([...RETRY_MS, 8000, 8000])
    away = false
    tab.later[0]?.then()
    await quiet(tab)
    expect(tab.reachable).toBe(true)
  })

  it('a try that is due later replaces the one before it', async () => {
    const tab = openTab(() => AWAY)
    await tab.put(rowOf('one', 'a'))
    await tab.put(rowOf('two', 'b'))
    await vi.waitFor(() => expect(tab.sent).toEqual(['a', 'b']))
    expect(tab.later).toHaveLength(1)
  })

  it('waits begin short again once something went through', async () => {
    const answers: Answer[] = [AWAY, AWAY]
    const tab = openTab((row) => answers.shift() ?? taken(row))
    await tab.put(rowOf('job', 'a'))
    await vi.waitFor(() => expect(tab.later).toHaveLength(1))
    tab.later.splice(0)[0]?.then()
    await vi.waitFor(() => expect(tab.later[0]?.ms).toBe(RETRY_MS[1]))
    tab.later.splice(0)[0]?.then()
    await quiet(tab)
    answers.push(AWAY)
    await tab.put(rowOf('job', 'b'))
    await vi.waitFor(() => expect(tab.later[0]?.ms).toBe(RETRY_MS[0]))
  })

  it('what an earlier visit left is sent when the program is opened', async () => {
    const before = openTab(() => AWAY)
    await before.put(rowOf('job', 'a'))
    await vi.waitFor(() => expect(before.reachable).toBe(false))
    const after = openTab(taken)
    await after.send()
    await quiet(after)
    expect(after.taken).toEqual([{ job: 'job', id: 'a' }])
  })
})

describe('an entry that is turned down', () => {
  const halted = async () => {
    const refused = new Set(['a'])
    const tab = openTab((row) => (refused.has(row.id) ? turnedDown() : taken(row)))
    await tab.put(rowOf('job', 'a'))
    await vi.waitFor(() => expect(tab.shown[0]?.turnedDown).not.toBeNull())
    await tab.put(rowOf('job', 'b'))
    return { tab, refused, row: tab.shown[0] as OutboxRow }
  }

  it('halts its job’s queue and says why', async () => {
    const { tab } = await halted()
    await tab.send()
    expect(tab.sent).toEqual(['a'])
    expect(await kept()).toEqual(['a', 'b'])
    expect(tab.shown[0]?.turnedDown).toMatchObject({ status: 409, code: 'stale-round' })
    expect(tab.reachable).toBe(true)
  })

  it('does not halt another job’s', async () => {
    const { tab } = await halted()
    await tab.put(rowOf('other', 'x'))
    await vi.waitFor(() => expect(tab.taken).toContainEqual({ job: 'other', id: 'x' }))
  })

  it('still halts after the page was opened anew', async () => {
    await halted()
    const tab = openTab(taken)
    await tab.send()
    expect(tab.sent).toEqual([])
    expect(tab.shown.map((r) => r.turnedDown?.code)).toEqual(['stale-round', undefined])
  })

  it.each([
    ['sent again as it was', 'again', {}],
    ['placed before the move', { before: 'move-1' }, { before: 'move-1' }],
    ['placed after what was seen last', 'after', { after: 'seen' }],
  ] as const)('is %s, and the queue goes on behind it', async (_, how, place) => {
    const { tab, refused, row } = await halted()
    refused.clear()
    const entries: unknown[] = []
    const again = openTab((r) => {
      entries.push(r.entry)
      return taken(r)
    })
    await again.settle(row, how, 'seen')
    await quiet(again)
    expect(again.sent).toEqual(['a', 'b'])
    expect(entries[0]).toMatchObject({ id: 'a', payload: { text: 'a' }, ...place })
    expect(tab.sent).toEqual(['a'])
  })

  it('is left out, and the queue goes on without it', async () => {
    const { tab, row } = await halted()
    await tab.settle(row, 'leave-out', null)
    await quiet(tab)
    expect(tab.sent).toEqual(['a', 'b'])
    expect(tab.taken).toEqual([{ job: 'job', id: 'b' }])
  })

  it('turned down once more it halts once more', async () => {
    const { tab, row } = await halted()
    await tab.settle(row, 'again', null)
    await vi.waitFor(() => expect(tab.sent).toEqual(['a', 'a']))
    await vi.waitFor(() => expect(tab.shown[0]?.turnedDown?.code).toBe('stale-round'))
    expect(await kept()).toEqual(['a', 'b'])
  })
})

describe('several tabs', () => {
  it('send an entry once, though both try', async () => {
    const { asked, server } = heldServer()
    const [one, two] = [openTab(server), openTab(server)]
    await one.put(rowOf('job', 'a'))
    await vi.waitFor(() => expect(asked).toHaveLength(1))
    await two.send()
    expect(asked).toHaveLength(1)
    asked[0]?.answer(taken(rowOf('job', 'a')))
    await quiet(one)
    await two.reread()
    expect(two.shown).toEqual([])
  })

  it('a tab that is not let in looks again soon: the other may have looked for the last time', async () => {
    const { asked, server } = heldServer()
    const [one, two] = [openTab(server), openTab(taken)]
    await one.put(rowOf('job', 'a'))
    await vi.waitFor(() => expect(asked).toHaveLength(1))
    await two.put(rowOf('job', 'b'))
    await vi.waitFor(() => expect(two.later.map((l) => l.ms)).toEqual([RETRY_MS[0]]))
    expect(two.sent).toEqual([])
    await (await deviceStore()).clear('outbox')
    await two.put(rowOf('other', 'c'))
    asked[0]?.answer(taken(rowOf('job', 'a')))
    two.later[0]?.then()
    await quiet(two)
    expect(two.taken).toEqual([{ job: 'other', id: 'c' }])
  })

  it('write into one queue, in the order of writing', async () => {
    const away = openTab(() => AWAY)
    const other = openTab(() => AWAY)
    await away.put(rowOf('job', 'a'))
    await other.put(rowOf('job', 'b'))
    await away.put(rowOf('job', 'c'))
    expect(await kept()).toEqual(['a', 'b', 'c'])
    expect((await headOf('job'))?.id).toBe('a')
    const sender = openTab(taken)
    await sender.send()
    expect(sender.sent).toEqual(['a', 'b', 'c'])
  })

  it('are told whenever the queue has changed', async () => {
    const tab = openTab(taken)
    await tab.put(rowOf('job', 'a'))
    await quiet(tab)
    await vi.waitFor(() => expect(tab.told).toBe(2))
  })

  it('a tab that finds the queue emptied by another is in reach again', async () => {
    const tab = openTab(() => AWAY)
    await tab.put(rowOf('job', 'a'))
    await vi.waitFor(() => expect(tab.reachable).toBe(false))
    await openTab(taken).send()
    await tab.reread()
    expect(tab).toMatchObject({ shown: [], reachable: true })
  })

  it('without locks may send twice, which the entry’s own id makes harmless', async () => {
    takeLocks()
    const tab = openTab(taken)
    await tab.put(rowOf('job', 'a'))
    await quiet(tab)
    expect(tab.taken).toEqual([{ job: 'job', id: 'a' }])
  })
})

describe('a device whose store is full', () => {
  const fillStore = async () => {
    const store = await deviceStore()
    return vi.spyOn(store, 'add').mockRejectedValue(new DOMException('full', 'QuotaExceededError'))
  }

  it('sends from memory, after what the store still holds', async () => {
    const tab = openTab(() => AWAY)
    await tab.put(rowOf('job', 'kept'))
    const full = await fillStore()
    let away = true
    const later = openTab((row) => (away ? AWAY : taken(row)))
    await later.put(rowOf('job', 'unkept'))
    expect(later.shown.map((r) => r.id)).toContain('unkept')
    away = false
    await later.send()
    await quiet(later)
    expect(later.taken.map((t) => t.id)).toEqual(['kept', 'unkept'])
    full.mockRestore()
  })

  it('makes room with copies first, and says how many stand in memory when there is none', async () => {
    const store = await deviceStore()
    const add = store.add.bind(store) as (...row: unknown[]) => Promise<never>
    let refuse = 1
    const full = vi
      .spyOn(store, 'add')
      .mockImplementation(async (...row: unknown[]) =>
        refuse-- > 0 ? Promise.reject(new DOMException('full', 'QuotaExceededError')) : add(...row),
      )
    const tab = openTab(() => AWAY)
    tab.spare = 1
    await tab.put(rowOf('job', 'a'))
    expect(tab.held).toBe(0)
    expect((await allRows()).map((r) => r.id)).toEqual(['a'])
    refuse = 1
    await tab.put(rowOf('job', 'b'))
    expect(tab.held).toBe(1)
    // Room again: what stood in memory is kept on the device before anything is sent.
    await tab.send()
    expect(tab.held).toBe(0)
    expect((await allRows()).map((r) => r.id)).toEqual(['a', 'b'])
    full.mockRestore()
  })

  it('still lets a person settle what was turned down', async () => {
    const full = await fillStore()
    let refuse = true
    const tab = openTab((row) => (refuse ? turnedDown() : taken(row)))
    await tab.put(rowOf('job', 'a'))
    await vi.waitFor(() => expect(tab.shown[0]?.turnedDown?.code).toBe('stale-round'))
    refuse = false
    await tab.settle(tab.shown[0] as OutboxRow, { before: 'move-1' }, null)
    await quiet(tab)
    expect(tab.taken).toEqual([{ job: 'job', id: 'a' }])
    full.mockRestore()
  })
})

describe('entries that an older program left waiting', () => {
  it('are taken over once, as entries of the first version', async () => {
    const store = new Map([
      ['hc.outbox', JSON.stringify([{ jobId: 'job', entry: { id: 'old', kind: 'remark', payload: {} } }])],
      ['hc.turned-down', JSON.stringify([{ jobId: 'job', entry: { id: 'no' }, message: 'Job is closed.' }])],
    ])
    vi.stubGlobal('localStorage', {
      getItem: (key: string) => store.get(key) ?? null,
      removeItem: (key: string) => void store.delete(key),
    })
    await takeOverOldQueue()
    await takeOverOldQueue()
    expect(await allRows()).toMatchObject([
      { job: 'job', id: 'old', entry: { version: 1, after: null, before: null }, turnedDown: null },
      { job: 'job', id: 'no', turnedDown: { status: 409, message: 'Job is closed.' } },
    ])
    vi.unstubAllGlobals()
  })
})
