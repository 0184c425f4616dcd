import type { GearStageId, GearState } from '../../core/jobs/gear'
import { isWide } from '../../core/stages/backlash/read'
import type { Job } from '../../core/jobs/jobs'
import { closingFinding, findingsOfRows, safetyFinding, type Findings } from './commonFindings'
import { findingsWords, gearPrepareWords, runWords } from './en'
import { figure } from './figures'
import { endOf, percentFigure } from './gearContact'
import type { Telling } from './telling'

/** What each stage of a gearset's job found. */
const FOUND: { readonly [S in GearStageId]: (state: GearState, telling: Telling) => string } = {
  'make-safe': (s, t) => safetyFinding(s.safety, t),
  look: ({ looks }, { words }) => {
    const w = findingsWords(words).inspect
    const seen = looks.places.length - looks.unseen.length
    if (seen === 0) return ''
    const looked = looks.unseen.length === 0 ? w.all : w.some(seen, looks.places.length)
    return looks.counts['to-report'] > 0 ? `${looked}, ${w.report(looks.counts['to-report'])}` : looked
  },
  pattern: ({ pattern }, { words }) => {
    if (!pattern) return ''
    const { forward, back, photographs } = pattern.payload
    return gearPrepareWords(words).findings.pattern(forward && back ? 2 : 1, photographs.length)
  },
  refit: ({ refit }, { words }) => {
    if (!refit) return ''
    const w = gearPrepareWords(words)
    return w.findings.refit(w.findings.pinsIn[refit.payload.pins], w.refit.bearings[refit.payload.bearings])
  },
  contact: ({ contact, rounds, machine }, { words }) => {
    const w = gearPrepareWords(words).findings
    const { now } = contact
    if (!now) return rounds.length > 1 ? w.toPaint : ''
    if (!now.figures) return w.contact(rounds.length, w.unjudged)
    const { together, apart, verdicts, verdict } = now.figures
    const worse = Math.abs(together) >= Math.abs(apart) ? 'together' : 'apart'
    if (verdicts[worse] !== 'out') return w.contact(rounds.length, verdict === 'out' ? w.shape : w.even)
    return w.contact(
      rounds.length,
      worse === 'together'
        ? w.off(`${percentFigure(Math.abs(together))} %`, endOf(machine, together))
        : w.apart(`${percentFigure(2 * Math.abs(apart))} %`),
    )
  },
  backlash: ({ backlash, machine }, { words, units }) => {
    const w = gearPrepareWords(words).findings
    const { now, left } = backlash
    if (!now) return left ? w.stale : ''
    const how =
      now.verdict !== 'out' ? w.backlash.in : isWide(now, machine) ? w.backlash.wide : w.backlash.tight
    return w.backlashIs(figure(now.worst, 'displacement', units, { unit: true }), how)
  },
  tighten: ({ gearRecheck, pins }, { words }) => {
    const w = gearPrepareWords(words).findings.tightened
    if (!gearRecheck.entry) return ''
    if (gearRecheck.missing.length > 0) return w.read
    if (gearRecheck.verdict === 'out') return w.moved
    return pins === 'out' ? w.pins : w.held
  },
  run: ({ running }, { words }) => {
    const w = findingsWords(words).run
    if (running.bad.length > 0) return w.bad
    if (running.facts.length === 0) return ''
    return running.next ? w.next(runWords(words).points[running.next].name.toLowerCase()) : w.whole
  },
  close: ({ closing }, t) => closingFinding(closing, t),
}

/** What each stage of a gearset's job found, for its run sheet. */
export const gearFindings = (job: Job, telling: Telling): Findings =>
  job.kind === 'gear'
    ? findingsOfRows(job, (id) => FOUND[id as GearStageId](job.state, telling), telling)
    : {}
