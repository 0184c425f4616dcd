import { runWords, findingsWords } from './en'
import type { BeltStageId, BeltState } from '../../core/jobs/belt'
import type { Job } from '../../core/jobs/jobs'
import { degrees, gapFigure } from './figures'
import { capital } from './capital'
import type { Telling } from './telling'
import { beltName, oddOne } from './tension'
import { closingFinding, findingsOfRows, safetyFinding, type Findings } from './commonFindings'

/** What each stage of a belt job found. */
const FOUND: {
  readonly [S in BeltStageId]: (state: BeltState, telling: Telling) => string
} = {
  'make-safe': (s, t) => safetyFinding(s.safety, t),
  'slack-off': ({ slack }, { words }) => (slack ? findingsWords(words).slack[slack.payload.belts] : ''),
  inspect: ({ inspection }, { words }) => {
    const w = findingsWords(words).inspect
    const { counts, places, unseen, settings } = inspection
    if (settings.some((s) => s.opened)) return capital(w.set)
    const seen = places.length - unseen.length
    if (seen === 0) return ''
    const looked = unseen.length === 0 ? w.all : w.some(seen, places.length)
    return counts['to-report'] > 0 ? `${looked}, ${w.report(counts['to-report'])}` : looked
  },
  square: ({ square }, telling) =>
    square ? findingsWords(telling.words).square(gapFigure(Math.abs(square.difference), telling, true)) : '',
  'line-up': ({ lines }, telling) => {
    const w = findingsWords(telling.words).line
    const now = lines[lines.length - 1]
    if (!now) return lines.length > 1 ? w.corrected : ''
    return w.found(gapFigure(Math.abs(now.errors.offset), telling, true), degrees(Math.abs(now.errors.turn)))
  },
  fit: ({ fitted }, { words }) => (fitted.entry ? findingsWords(words).fit[fitted.entry.payload.belts] : ''),
  tension: ({ tensions }, telling) => {
    const w = findingsWords(telling.words).tension
    const now = tensions[tensions.length - 1]
    if (!now) return tensions.length > 1 ? w.turned : ''
    if (now.unmatched) {
      const odd = oddOne(now)
      return w.unmatched(odd ? beltName(odd.at, now.belts.length, telling) : '')
    }
    return now.leans ? w[now.leans] : w.unjudged
  },
  tighten: ({ recheck }, { words }) => {
    const w = findingsWords(words).tighten
    if (!recheck.facts.entry) return ''
    if (recheck.missing.length > 0) return w.read
    return recheck.verdict === 'out' ? w.moved : w.held
  },
  run: ({ running }, { words }) => {
    const w = findingsWords(words).run
    if (running.bad.length > 0) return w.bad
    if (running.facts.length === 0) return ''
    return running.next ? w.next(runWords(words).points[running.next].name.toLowerCase()) : w.whole
  },
  close: ({ closing }, t) => closingFinding(closing, t),
}

/** What each stage of a belt job found, for its run sheet. */
export const beltFindings = (job: Job, telling: Telling): Findings =>
  job.kind === 'belt'
    ? findingsOfRows(job, (id) => FOUND[id as BeltStageId](job.state, telling), telling)
    : {}
