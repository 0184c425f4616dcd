import { describe, expect, it } from 'vitest'
import { beltCourse } from '../../core/history/beltCourse'
import { courseWords } from '../wording/beltCourse'
import { tellingOf } from '../wording/telling'
import { drawCourse } from './beltCourse'

const DAY = 86_400_000
const START = Date.parse('2026-03-01T10:00:00.000Z')
const metric = tellingOf('metric', null)
/** A set tensioned on the first day and only read after it: newtons by day. */
const course = (readings: readonly (readonly [day: number, tension: number])[], low = 400) => {
  const jobs = readings.map(([day, value], i) => {
    const at = new Date(START + day * DAY).toISOString()
    const figure = { name: 'belts.tension', value, aim: 0, low, high: 600, verdict: 'in' as const }
    return {
      openedAt: at,
      closedAt: at,
      figures: [
        { ...figure, moment: 'as-found' as const },
        { ...figure, moment: 'as-left' as const },
      ],
      belts: { fitted: i === 0, pulled: i === 0 },
    }
  })
  const told = beltCourse([...jobs].reverse(), 0.013)
  if (!told) throw new Error('nothing read')
  // The first job's own finding is of the belts before.
  return { ...told, points: told.points.slice(1) }
}
const FALLING = [
  [0, 550],
  [2, 500],
  [6, 462],
  [14, 438],
  [30, 428],
] as const

describe('the course of a set as drawn and told', () => {
  it('draws band and fall to where the band is left, and says the day', () => {
    const set = course(FALLING, 430)
    const drawn = drawCourse(set, START + 31 * DAY)
    expect(drawn.curve).toHaveLength(41)
    expect(drawn.bands).toHaveLength(10)
    expect(drawn.greatest).toBe(600)
    expect(courseWords(set, metric)).toEqual(['Below its band as it was read last.'])
    const decays = [0, 2, 6, 14].map((day) => [day, 420 + 130 * Math.exp(-day / 5)] as const)
    const early = course(decays, 425)
    const leaves = drawCourse(early, START + 15 * DAY)
    // 5 ln(130 / 5) days.
    expect(((leaves.leaves ?? 0) - START) / DAY).toBeCloseTo(16.29, 1)
    expect(courseWords(early, metric)[0]).toContain('leaves its band about')
  })

  it('says that it stays, that it is not yet known, and draws no curve of what it does not know', () => {
    expect(courseWords(course(FALLING), metric)[0]).toContain('stays in band as far as these readings tell')
    const flat = course([
      [0, 500],
      [7, 497],
      [20, 502],
    ])
    expect(courseWords(flat, metric)[0]).toContain('within what a gauge repeats to')
    expect(drawCourse(flat, START + 21 * DAY)).toMatchObject({ curve: [], leaves: null })
    expect(courseWords(course([[0, 500]]), metric)[0]).toContain('Not yet known')
    const two = course([
      [0, 550],
      [7, 480],
    ])
    expect(courseWords(two, metric)[0]).toContain('At the pace of the last two readings')
  })
})
