import { describe, expect, it, vi } from 'vitest'
import { Batches, type Settled } from './batches'

const BOUNDS = { most: 3, mostWaiting: 5, patience: 1000 }
const gate = () => {
  let open = () => {}
  const shut = new Promise<void>((resolve) => (open = resolve))
  return { open, shut }
}

describe('work in batches', () => {
  it('takes what came meanwhile together, in order, one batch after the other', async () => {
    const { open, shut } = gate()
    const seen: string[][] = []
    const batches = new Batches<string, string>(async (_, items) => {
      seen.push([...items])
      if (seen.length === 1) await shut
      return items.map((item): Settled<string> => ({ done: item.toUpperCase() }))
    }, BOUNDS)
    const all = ['a', 'b', 'c', 'd', 'e'].map((item) => batches.add('job', item))
    open()
    expect(await Promise.all(all)).toEqual(['A', 'B', 'C', 'D', 'E'])
    expect(seen).toEqual([['a'], ['b', 'c', 'd'], ['e']])
  })

  it('keeps keys apart: one that hangs holds up no other', async () => {
    const { open, shut } = gate()
    const batches = new Batches<string, string>(async (key, items) => {
      if (key === 'stuck') await shut
      return items.map((item): Settled<string> => ({ done: item }))
    }, BOUNDS)
    const stuck = batches.add('stuck', 'x')
    expect(await batches.add('free', 'y')).toBe('y')
    open()
    expect(await stuck).toBe('x')
  })

  it('fails each by itself, and all together when the whole batch fails', async () => {
    const batches = new Batches<string, string>((_, items) => {
      if (items.includes('broken')) return Promise.reject(new Error('all'))
      return Promise.resolve(
        items.map((item): Settled<string> =>
          item === 'bad' ? { failed: new Error('one') } : { done: item },
        ),
      )
    }, BOUNDS)
    const results = await Promise.allSettled([batches.add('k', 'good'), batches.add('k', 'bad')])
    expect(results.map((r) => r.status)).toEqual(['fulfilled', 'rejected'])
    await expect(batches.add('k', 'broken')).rejects.toThrow('all')
    // A failure leaves the queue open.
    expect(await batches.add('k', 'after')).toBe('after')
  })

  it('tells those to come again who are too many or waited too long', async () => {
    const { open, shut } = gate()
    const batches = new Batches<string, string>(
      async (_, items) => {
        await shut
        return items.map((item): Settled<string> => ({ done: item }))
      },
      { ...BOUNDS, patience: 10 },
    )
    const first = batches.add('k', '0')
    const waiting = [1, 2, 3, 4, 5].map((n) => batches.add('k', String(n)))
    const settled = Promise.allSettled(waiting)
    await expect(batches.add('k', 'one too many')).rejects.toMatchObject({ status: 503, code: 'busy' })
    await vi.waitFor(() => new Promise((resolve) => setTimeout(resolve, 30)))
    open()
    expect(await first).toBe('0')
    expect((await settled).every((r) => r.status === 'rejected')).toBe(true)
  })
})
