import type { BeltState } from '../../core/jobs/belt'
import type { Inspection, SettingFound } from '../../core/stages/inspect/inspection'
import type { Running } from '../../core/stages/run/running'
import type { SquareRead } from '../../core/stages/square/square'
import type { Recheck } from '../../core/stages/tighten/stage'
import { weightWords } from './baseMoves'
import { beltsWords, fitWords, inspectWords, runWords, slackOffWords, squareWords, tightenWords } from './en'
import { degrees, gapFigure } from './figures'
import { eighths } from './lines'
import { plainMeaning, type Meaning } from './meaning'
import type { Telling } from './telling'

/** What slacking off means now. */
export const meaningOfSlack = ({ slack, machine }: BeltState, telling: Telling): Meaning => {
  const w = slackOffWords(telling.words)
  if (slack) return plainMeaning('done', w[slack.payload.belts], slack.payload.words)
  return plainMeaning(
    'todo',
    w.asked,
    [w.detail, weightWords(machine.base, telling)].filter(Boolean).join(' '),
  )
}

/** A sheave that can be set, in a line: how far it stands open and how far the register says. */
export const settingWords = (s: SettingFound, telling: Pick<Telling, 'words'>): string => {
  const w = inspectWords(telling.words)
  const sheave = beltsWords(telling.words).sheaves[s.place]
  if (!s.entry) return w.settingUnread(sheave)
  return w.settingRow(sheave, w.turns(eighths(s.entry.payload.turns)), eighths(s.registered))
}

/** What the open drive looks like, in one sentence for every state. */
export const meaningOfInspection = (inspection: Inspection, telling: Telling): Meaning => {
  const w = inspectWords(telling.words)
  const h = w.headlines
  const { counts, places, unseen, settings } = inspection
  const changed = settings.find((s) => s.opened)
  if (changed?.opened) {
    const turns = w.turns(eighths(changed.opened))
    return plainMeaning('edge', (changed.opened > 0 ? h.opened : h.closedIn)(turns), w.settingDetail)
  }
  const reported = places
    .filter((p) => p.entry?.payload.found === 'to-report')
    .map((p) => w.row(w.places[p.place].name, p.entry?.payload.words ?? ''))
  if (counts['to-report'] > 0) return plainMeaning('edge', h.report(counts['to-report']), reported.join(' '))
  if (unseen.length === places.length) return plainMeaning('todo', h.todo)
  if (unseen.length > 0) return plainMeaning('todo', h.some(unseen.length))
  const unread = settings.find((s) => s.entry === null)
  return unread ? plainMeaning('todo', settingWords(unread, telling)) : plainMeaning('done', h.fine)
}

/** What the two distances mean; `typed` while only one of them stands there. */
export const meaningOfSquare = (square: SquareRead | null, half: boolean, telling: Telling): Meaning => {
  const w = squareWords(telling.words)
  if (half) return plainMeaning('todo', w.one)
  if (!square) return plainMeaning('todo', w.asked, w.askedDetail)
  const by = gapFigure(Math.abs(square.difference), telling, true)
  const limit = w.limit[square.by.by](
    gapFigure(square.limit, telling, true),
    degrees(square.limitAngle),
    square.by.source,
  )
  if (square.verdict === 'in') return plainMeaning('in', w.even(by), limit)
  if (square.verdict === 'edge') return plainMeaning('edge', w.edge(by), limit)
  return plainMeaning('out', w.out(by, square.difference > 0 ? w.far.far : w.far.near), limit)
}

/** What fitting means now. */
export const meaningOfFit = ({ fitted }: BeltState, { words }: Telling): Meaning => {
  const w = fitWords(words)
  if (!fitted.entry) return plainMeaning('todo', w.asked)
  const { belts } = fitted.entry.payload
  return plainMeaning('done', w.done[belts], belts === 'new' ? w.newDetail : w.sameDetail)
}

/** What the re-check says. */
export const meaningOfRecheck = (recheck: Recheck, anythingRead: boolean, { words }: Telling): Meaning => {
  const w = tightenWords(words)
  const { facts, missing, since, verdict, loosened } = recheck
  if (!facts.entry) {
    if (!anythingRead) return plainMeaning('todo', w.notYet)
    return loosened ? plainMeaning('todo', w.asked, w.askedDetail) : plainMeaning('todo', w.unneeded)
  }
  if (missing.length === 2) return plainMeaning('stale', w.readBoth)
  if (missing[0]) return plainMeaning('stale', missing[0] === 'line' ? w.readLine : w.readTension)
  if (verdict === 'out') {
    const what = (['line', 'tension'] as const)
      .filter((p) => since[p]?.verdict === 'out')
      .map((p) => w.parts[p])
    return plainMeaning('out', w.moved(what.join(', ')))
  }
  if (verdict === 'unknown') return plainMeaning('done', w.unknown)
  return plainMeaning(verdict, verdict === 'edge' ? w.edge : w.held)
}

/** Amperes as they are read off a clamp. */
export const amperes = (a: number): string => `${a.toFixed(a >= 100 ? 0 : 1)} A`

/** What the closed-up drive says. */
export const meaningOfRun = (
  { rows, next, bad, current }: Running,
  { words }: Telling,
  gears = false,
): Meaning => {
  const w = runWords(words)
  if (bad.length > 0) {
    const said = rows.find((r) => r.entry?.payload.found === 'bad')?.entry?.payload.words ?? ''
    return plainMeaning(
      'out',
      w.bad(bad.map((p) => w.points[p].name).join(', ')),
      [said, w.badDetail].filter(Boolean).join(' '),
    )
  }
  if (current?.verdict === 'out' && current.plate !== null)
    return plainMeaning('out', w.over(amperes(current.amperes), amperes(current.plate)), w.overDetail)
  if (next)
    return plainMeaning('todo', w.next(w.points[next].name), gears ? w.gears[next] : w.points[next].detail)
  return plainMeaning(
    'done',
    w.whole,
    current ? w.current(amperes(current.amperes), current.plate === null ? '' : amperes(current.plate)) : '',
  )
}
