import { describe, expect, it } from 'vitest'
import { workOut } from './workOut'

const LEVEL = { units: 'inch', feeler: 5, supportedLength: 1.5, boltSpacing: 3.25 } as const
const METRIC = { units: 'metric', feeler: 0.1, supportedLength: 40, boltSpacing: 80 } as const

describe('a quick sum worked out', () => {
  it('comes with the way to its figure, in the units of its input', async () => {
    const { answer, steps } = await workOut('level', LEVEL, 'movable')
    expect(answer.ok).toBe(true)
    expect(steps.at(-1)?.result).toMatch(/mil$/)
    const metric = await workOut('level', METRIC, 'movable')
    expect(metric.steps.at(-1)?.result).toMatch(/mm$/)
  })

  it('has no working where there is no answer, and says what is missing', async () => {
    const { answer, steps } = await workOut('level', { units: 'inch' }, 'movable')
    expect(answer.ok).toBe(false)
    expect(steps).toEqual([])
    expect((await workOut('nonsense', LEVEL, 'movable')).answer).toMatchObject({
      ok: false,
      error: { code: 'unknown-operation' },
    })
  })
})
