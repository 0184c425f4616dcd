import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { LineReader } from './lineReader'
import { Rate } from './rate'

describe('lines out of bytes', () => {
  const read = (parts: readonly Buffer[], longest = 50) => {
    const lines: string[] = []
    let over = 0
    const reader = new LineReader(
      longest,
      (text) => lines.push(text),
      () => (over += 1),
    )
    for (const part of parts) reader.take(part)
    return { lines, over }
  }
  it('are the same however the bytes were cut', () => {
    fc.assert(
      fc.property(
        fc.array(fc.stringMatching(/^[a-zé0-9{}":, ]{1,20}$/), { maxLength: 12 }),
        fc.array(fc.integer({ min: 1, max: 30 }), { minLength: 1, maxLength: 40 }),
        (texts, cuts) => {
          const bytes = Buffer.from(texts.map((t) => `${t}\n`).join(''))
          const parts: Buffer[] = []
          for (let at = 0, i = 0; at < bytes.length; i++) {
            const size = cuts[i % cuts.length] ?? 1
            parts.push(bytes.subarray(at, at + size))
            at += size
          }
          expect(read(parts).lines).toEqual(texts.map((t) => t.trim()).filter((t) => t !== ''))
        },
      ),
    )
  })
  it('longer than they may be are given up once, and the next is whole again', () => {
    const { lines, over } = read([
      Buffer.from('x'.repeat(30)),
      Buffer.from('x'.repeat(40)),
      Buffer.from('x\nok\n'),
    ])
    expect({ lines, over }).toEqual({ lines: ['ok'], over: 1 })
    // Just as long as they may be.
    expect(read([Buffer.from(`${'y'.repeat(50)}\n`)]).lines).toHaveLength(1)
    expect(read([Buffer.from(`${'y'.repeat(51)}\n`)])).toMatchObject({ lines: [], over: 1 })
  })
})

describe('a rate', () => {
  it('lets a burst of twice as many pass, and no more than so many a second after it', () => {
    const rate = new Rate(10, 0)
    const passed = (from: number, to: number) => {
      let n = 0
      for (let t = from; t < to; t += 5) if (rate.pass(t)) n += 1
      return n
    }
    expect(passed(0, 1000)).toBeLessThanOrEqual(30)
    expect(passed(1000, 3000)).toBeGreaterThanOrEqual(19)
    expect(passed(3000, 5000)).toBeLessThanOrEqual(21)
    // After a rest there is a burst again.
    expect(rate.pass(60_000)).toBe(true)
  })
})
