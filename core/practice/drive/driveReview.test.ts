import { describe, expect, it } from 'vitest'
import { lessonOf, onBelts, seedOfTry, type LessonId } from '../lessons'
import { DRIVE_STANDS } from '../stands'
import { drawDrive } from './driveBench'
import { DrivePlayer } from './drivePlayer'
import { driveReviewOf } from './driveReview'
import { lineNow } from './driveState'

const TRIES = [0, 1, 2, 3, 4, 5]

const at = (id: LessonId, nth = 0): DrivePlayer => {
  const lesson = lessonOf(id)
  if (!lesson || !onBelts(lesson)) throw new Error(`${id} is no lesson on belts`)
  const { stand, hands, faults, belts, from } = lesson
  const seed = seedOfTry(lesson, nth)
  return new DrivePlayer(drawDrive({ machine: DRIVE_STANDS[stand], seed, hands, faults, belts }), from)
}
const review = (p: DrivePlayer) => driveReviewOf(p.bench, p.steps, p.opened)
const passed = (p: DrivePlayer) =>
  review(p).moments.flatMap((m) => (m.passedAt === null ? [] : [[m.doubt.code, m.fault]]))
const fit = (p: DrivePlayer, belts: 'same' | 'new' = 'same') =>
  p.do({ act: 'belts', on: true }).write({
    kind: 'belts-fitted',
    payload: { belts, units: 'metric', length: null, matched: belts === 'new' ? true : null, words: '' },
  })
const contacts = (p: DrivePlayer, reference: object, other: object) =>
  p.write({
    kind: 'contacts-checked',
    payload: { edgeOn: 'driven', edgeSide: 'outer', reference, other } as never,
  })
const ALL = { far: true, near: true }
/** From slack belts to the end of a job, read again after the base is drawn down. */
const finish = (p: DrivePlayer, age: 'new' | 'run-in') => {
  p.ageTold = age
  p.tighten()
  p.readTension()
  p.drawDown()
  p.readLine(p.flat())
  p.readTension()
  return p
}
const day = (p: DrivePlayer) =>
  p
    .do({ act: 'guard', on: true }, { act: 'lock', on: false }, { act: 'run', minutes: 24 * 60 })
    .do({ act: 'lock', on: true }, { act: 'guard', on: false })

describe('lessons on belts', () => {
  it('three touch and one not: a hand that trusts the touch goes past it, one that reads is told', () => {
    for (const nth of TRIES) {
      const careless = at('three-touch-one-not', nth)
      const near = lineNow(careless.bench, careless.now).turn > 0
      contacts(careless, ALL, { near, far: !near })
      expect(review(careless).moments.map((m) => m.doubt.code)).toContain('numbers-unread')
      fit(careless)
      expect(passed(careless)).toContainEqual(['numbers-unread', 'unequal-rims'])
      expect(review(careless).faults.map((f) => f.cured)).toEqual([false, false])

      const careful = at('three-touch-one-not', nth)
      contacts(careful, ALL, { near, far: !near })
      careful.readLine(careful.flat())
      careful.correct(['turn', 'offset'])
      careful.readLine(careful.flat())
      fit(careful)
      finish(careful, 'run-in')
      const after = review(careful)
      expect(after.faults, `try ${String(nth)}`).toEqual([
        { fault: 'unequal-rims', cured: true },
        { fault: 'turned-motor', cured: true },
      ])
      expect(after.verdict).not.toBe('out')
      // Where the turn alone would do, the offset was one more.
      expect(after.moves - after.fewest).toBeLessThanOrEqual(1)
      expect(after.moves).toBeGreaterThanOrEqual(after.fewest)
      expect(passed(careful)).toEqual([])
    }
  })

  it('the top that leans out: gaps read level alone say nothing of it', () => {
    for (const nth of TRIES) {
      const careless = at('top-leans-out', nth)
      careless.readLine(careless.flat(), { tilt: false })
      fit(careless)
      expect(passed(careless)).toContainEqual(['tilt-unread', 'tilted-motor'])
      const careful = at('top-leans-out', nth)
      careful.readLine(careful.flat())
      careful.correct()
      careful.readLine(careful.flat())
      expect(review(careful).faults).toEqual([{ fault: 'tilted-motor', cured: true }])
      expect(passed(careful).map(([code]) => code)).not.toContain('tilt-unread')
    }
  })

  it('the base that sticks: the far end stays where it was until it is bumped', () => {
    for (const nth of TRIES) {
      const careless = at('base-that-sticks', nth)
      careless.readLine(careless.flat())
      careless.correct(undefined, { bump: false })
      careless.readLine(careless.flat())
      fit(careless)
      expect(passed(careless), `try ${String(nth)}`).toContainEqual(['base-stayed', 'sticking-base'])
      const careful = at('base-that-sticks', nth)
      careful.readLine(careful.flat())
      careful.correct()
      careful.readLine(careful.flat())
      expect(review(careful).faults.map((f) => f.cured)).toEqual([true, true])
    }
  })

  it('a sheave set otherwise: found by whoever counts its turns', () => {
    for (const nth of TRIES) {
      const careless = at('set-otherwise', nth)
      careless.readLine(careless.flat())
      careless.correct()
      expect(passed(careless)).toContainEqual(['setting-untold', 'changed-sheave'])
      const careful = at('set-otherwise', nth)
      careful.write({
        kind: 'setting-read',
        payload: { place: 'motor', turns: careful.now.settings.motor ?? NaN, words: '' },
      })
      careful.readLine(careful.flat())
      expect(review(careful).faults).toEqual([{ fault: 'changed-sheave', cured: true }])
      expect(passed(careful)).not.toContainEqual(['setting-untold', 'changed-sheave'])
    }
  })

  it('one of four: pulled up with the others it stays behind, another set does not', () => {
    for (const nth of TRIES) {
      const careless = at('one-of-four', nth)
      careless.tighten()
      careless.readTension('run-in')
      careless.tighten(0.9)
      expect(passed(careless)).toContainEqual(['set-unmatched', 'mismatched-belt'])
      const careful = at('one-of-four', nth)
      careful.write({ kind: 'slacked-off', payload: { belts: 'off', words: '' } })
      careful.do({ act: 'belts', on: false }, { act: 'new-set' })
      fit(careful, 'new')
      finish(careful, 'new')
      const after = review(careful)
      expect(after.faults).toEqual([{ fault: 'mismatched-belt', cured: true }])
      expect(after.verdict, `try ${String(nth)}`).not.toBe('out')
      expect(after.moves).toBe(after.fewest)
    }
  })

  it('slack after a day: left as it was it is out of band, read again and drawn up it is not', () => {
    for (const nth of TRIES) {
      const careless = finish(at('slack-after-a-day', nth), 'new')
      expect(review(careless).verdict, `try ${String(nth)}`).not.toBe('out')
      expect(review(careless).faults).toEqual([{ fault: 'bedding-belts', cured: false }])
      day(careless)
      careless.write({
        kind: 'job-closed',
        payload: { despite: [], reason: '', signedBy: 'Apprentice', note: '' } as never,
      })
      expect(passed(careless)).toContainEqual(['slackened-since', 'bedding-belts'])

      const careful = day(finish(at('slack-after-a-day', nth), 'new'))
      finish(careful, 'run-in')
      const after = review(careful)
      expect(after.faults).toEqual([{ fault: 'bedding-belts', cured: true }])
      expect(after.moves).toBe(after.fewest)
      expect(after.fewest).toBe(2)
      expect(after.verdict).not.toBe('out')
      // Told new still, they would be drawn up far too tight.
      const wrong = day(finish(at('slack-after-a-day', nth), 'new'))
      wrong.readTension('new')
      wrong.tighten()
      expect(passed(wrong)).toContainEqual(['age-mistold', 'bedding-belts'])
    }
  })

  it('tells what was typed otherwise than it showed', () => {
    const wrong = at('three-touch-one-not')
    const entry = wrong.readLine(wrong.flat())
    if (entry.kind !== 'sheaves-read') throw new Error('not read')
    wrong.write({ kind: 'sheaves-read', payload: { ...entry.payload, p1: entry.payload.p1 + 1 } })
    expect(review(wrong).moments.map((m) => m.doubt.code)).toContain('gap-misread')
    const flat = at('three-touch-one-not')
    contacts(flat, ALL, ALL)
    expect(review(flat).moments.map((m) => m.doubt.code)).toContain('gap-misread')
    const belts = at('one-of-four')
    belts.tighten()
    const read = belts.readTension('run-in')
    if (read.kind !== 'tension-read' || read.payload.read.by !== 'force') throw new Error('not read')
    const { forces } = read.payload.read
    belts.write({
      kind: 'tension-read',
      payload: { ...read.payload, read: { ...read.payload.read, forces: forces.map((f) => f * 1.3) } },
    })
    expect(review(belts).moments.map((m) => m.doubt.code)).toContain('force-misread')
    const tapped = at('one-of-four')
    tapped.tighten().tapTension()
    expect(review(tapped).moments.map((m) => m.doubt.code)).not.toContain('force-misread')
    tapped.tapTension((hertz) => hertz * 1.2)
    expect(review(tapped).moments.map((m) => m.doubt.code)).toContain('force-misread')
  })
})
