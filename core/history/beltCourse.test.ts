import { describe, expect, it } from 'vitest'
import { TestBelt } from '../jobs/testBelt'
import { figuresOf } from '../jobs/summary'
import type { EntryBody } from '../logbook/entry'
import { jobHistory } from './jobHistory'
import { beltCourse as courseOf, forecastAt, repeatOfMean, type CourseJob } from './beltCourse'

const beltCourse = (jobs: readonly CourseJob[]) => courseOf(jobs, repeatOfMean(5))
const DAY = 86_400_000
const START = Date.parse('2026-03-01T10:00:00.000Z')
const on = (days: number) => new Date(START + days * DAY).toISOString()
const fitted: EntryBody = {
  kind: 'belts-fitted',
  payload: { belts: 'new', units: 'metric', length: null, matched: true, words: '' },
}

/** A closed job on a day, from what was logged in it. */
const visit = (day: number, write: (belt: TestBelt) => void): CourseJob => {
  const belt = new TestBelt().ready()
  write(belt)
  return {
    openedAt: on(day),
    closedAt: on(day + 0.05),
    figures: figuresOf(belt.fold()),
    belts: jobHistory(belt.entries).belts,
  }
}
const read = (day: number, force: number) =>
  visit(day, (belt) => belt.push([force, force, force, force, force], 'run-in'))
const newBelts = visit(0, (belt) => {
  belt.opened()
  belt.add(fitted)
  belt.push([20, 20, 20, 20, 20])
  belt.turn(1)
  belt.push([31, 31, 31, 31, 31])
})

describe('the course of a set of belts', () => {
  it('begins at its last tensioning, and is not yet known from one reading', () => {
    const course = beltCourse([newBelts])
    expect(course?.points).toHaveLength(1)
    expect(course).toMatchObject({ newThen: true, forecast: null })
    expect(beltCourse([])).toBeNull()
  })

  it('goes on over visits that only read, ever more slowly, and says when the band is left', () => {
    const after = [28, 26.4, 25.6, 25.1].map((force, i) => read([2, 6, 14, 30][i] ?? 0, force))
    const course = beltCourse([...after].reverse().concat(newBelts))
    expect(course?.since).toHaveLength(5)
    const forecast = course?.forecast
    expect(forecast?.found).toMatchObject({ model: { kind: 'decay' }, known: true })
    // Newest first is how the history comes; the course is told in the order of the days.
    expect(course?.points.map((p) => p.at)).toEqual([...(course?.points ?? [])].map((p) => p.at).sort())
    if (!forecast) throw new Error('no forecast')
    expect(forecastAt(forecast, START)).toBeGreaterThan(forecastAt(forecast, START + 30 * DAY))
    expect(forecast.lowest).toBe(course.since.at(-1)?.low)
  })

  it('begins anew where the belts were pulled, and keeps what was found before', () => {
    const pulled = visit(7, (belt) => {
      belt.push([20, 20, 20, 20, 20], 'run-in')
      belt.turn(1)
      belt.push([24, 24, 24, 24, 24], 'run-in')
    })
    const course = beltCourse([read(20, 23.8), pulled, newBelts])
    expect(course?.points).toHaveLength(4)
    expect(course?.since).toHaveLength(2)
    expect(course?.newThen).toBe(false)
    // Within what the gauge repeats to.
    expect(course?.forecast?.found.known).toBe(false)
  })

  it('does not take what was read after slackening for as found', () => {
    expect(newBelts.figures.map((f) => `${f.moment} ${f.name}`)).toEqual(['as-left belts.tension'])
    const foundFirst = visit(9, (belt) => {
      belt.push([18, 18, 18, 18, 18], 'run-in')
      belt.opened()
      belt.add(fitted)
      belt.push([31, 31, 31, 31, 31])
    })
    expect(foundFirst.figures.filter((f) => f.name === 'belts.tension').map((f) => f.moment)).toEqual([
      'as-found',
      'as-left',
    ])
  })
})
