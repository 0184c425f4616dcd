import type { Meaning } from './meaning'
import { directionsWords, hotWords, measuringWords, provisionalWords } from './en'
import type { CoupledState } from '../../core/jobs/coupled'
import { lineDifference, type Misalignment } from '../../core/frame/planes'
import { worthTelling } from '../../core/stages/target/target'
import { goWords, lineWords } from './directions'
import { timeWords } from './days'
import { figure } from './figures'
import { meaningOfHotAnswer } from './hotAnswered'
import { meaningOfReadings } from './readings'
import { type Telling, farEnd } from './telling'

const MINUTE = 60_000

/** Whole minutes from the stop to a moment, in words. */
export const minutesSince = (stopped: string, now: number, { words }: Pick<Telling, 'words'>): string =>
  hotWords(words).minutes(Math.max(0, Math.round((now - Date.parse(stopped)) / MINUTE)))

type Seen = Pick<
  CoupledState,
  'hot' | 'coldTarget' | 'tolerance' | 'feet' | 'setUp' | 'expected' | 'closing' | 'safety'
>

/** What the hot check says now. */
export const meaningOfHot = (state: Seen, movable: string, telling: Telling, now = Date.now()): Meaning => {
  const { words } = telling
  const w = hotWords(words)
  const { hot, expected } = state
  const { run } = hot
  const far = farEnd(state.feet.movable, telling)
  const say = (mark: Meaning['mark'], headline: string, ...detail: readonly string[]): Meaning => ({
    mark,
    headline,
    detail: detail.filter((d) => d !== '').join(' '),
  })
  if (run.answered) return meaningOfHotAnswer(state, run.answered, telling)
  if (run.movedSince) return say('todo', w.movedSince)
  if (!run.begun)
    return expected
      ? say('todo', provisionalWords(words).provisional, w.howTo)
      : say('todo', w.straight, w.howTo)
  if (!run.ended)
    return hot.settledSince === null
      ? say('todo', w.running(timeWords(run.begun.payload.at)), w.warming)
      : say('done', w.settled(timeWords(hot.settledSince)))
  const stopped = run.ended.payload.at
  const early = hot.warming.length > 0 && hot.settledSince === null ? w.unsettled : ''
  const rate = hot.coolingRate === null ? w.coolsAway : w.cools(degreesApart(hot.coolingRate, telling))
  if (hot.measurement.sets.length === 0)
    return say('stale', w.stopped(minutesSince(stopped, now, telling)), rate, early)
  if (!hot.hot)
    return state.setUp
      ? meaningOfReadings(hot.measurement, movable, state.setUp, telling)
      : say('todo', measuringWords(telling.words).setUpFirst)
  const read = minutesSince(stopped, lastRead(state), telling)
  const cooled = hot.putBack
    ? w.putBack(
        figure(Math.abs(hot.putBack.offset.v ?? 0), 'displacement', telling.units, { unit: true }),
        read,
      )
    : w.notPutBack(read)
  const verdict = hot.judgement?.verdict ?? 'unknown'
  const told = (of: Misalignment) => worthTelling(of, state.tolerance)
  const off = hot.planned && told(lineDifference(hot.hot, hot.planned))
  const where = off ? goWords(off, far, telling) : ''
  const headline = !off
    ? w.unplanned(lineWords(told(hot.hot), far, telling))
    : where === directionsWords(words).go.nowhere
      ? w.asPlanned
      : w.offPlan(where)
  return say(
    verdict === 'unknown' ? 'done' : verdict,
    hot.target ? `${headline} ${w.newTarget(lineWords(told(hot.target), far, telling))}` : headline,
    verdict === 'out' ? w.hotOut : '',
    hot.judgement ? '' : w.notBearing,
    hot.cold ? '' : w.noCold,
    cooled,
    early,
  )
}

const lastRead = ({ hot }: Seen): number => {
  const last = hot.measurement.sets[hot.measurement.sets.length - 1]
  return last ? Date.parse(last.set.entry.madeAt) : Date.now()
}

/** A difference of temperatures as it is read: a degree C is 1.8 degrees F. */
export const degreesApart = (celsius: number, { units }: Pick<Telling, 'units'>): string => {
  const by = units === 'inch' ? celsius * 1.8 : celsius
  return `${by.toFixed(Math.abs(by) < 10 ? 1 : 0)} ${units === 'inch' ? '°F' : '°C'}`
}
