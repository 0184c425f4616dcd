import { plainMeaning, type Meaning } from './meaning'
import { lineLimitsOf, type LimitBy } from '../../core/belt/beltLimits'
import { driveOf } from '../../core/stages/lineUp/line'
import { type belts, beltsWords, drivesWords } from './en'
import { endWords, turnsWords, whereWords } from './baseMoves'
import type { BeltMachine } from '../../core/register/beltMachine'
import { toCore } from '../../core/units/unitSystem'
import { type JudgedLine, type LineReading, diagnosisOf } from '../../core/stages/lineUp/line'
import type { BeltState } from '../../core/jobs/belt'
import { degrees, gapFigure } from './figures'
import { capital } from './capital'
import type { Telling } from './telling'

/** What a box of the line is called: up and down where the pull is level, right and left where the motor stands above or below. */
export const lineBoxWords = (
  box: keyof typeof belts.boxes,
  { pull }: Pick<BeltMachine['base'], 'pull'>,
  { words }: Pick<Telling, 'words'>,
): string => {
  const w = beltsWords(words)
  if (pull === 'level') return w.boxes[box]
  return box === 'g12' || box === 'g6' || box === 'h' ? w.boxesUpright[box] : w.boxes[box]
}

/** A judged quantity of a line in its own unit, without its sign. */
export const lineFigure = (q: JudgedLine, telling: Telling): string =>
  q.kind === 'angle' ? degrees(Math.abs(q.value)) : gapFigure(Math.abs(q.value), telling)

/** Its limit; a dash where none is known. */
export const lineLimit = (q: JudgedLine, telling: Telling): string =>
  q.limit === null ? '–' : q.kind === 'angle' ? degrees(q.limit) : gapFigure(q.limit, telling)

/** Whose limit it is: the machine's own, the works', or a starting value. */
export const limitByWords = (
  { by, source }: { readonly by: LimitBy; readonly source: string },
  { belts: { kind } }: Pick<BeltMachine, 'belts'>,
  { words }: Pick<Telling, 'words'>,
): string => {
  const w = beltsWords(words).limits
  switch (by) {
    case 'machine':
      return w.own(source)
    case 'works':
      return w.works(source)
    case 'starting':
      return w.starter(drivesWords(words).beltKinds[kind])
  }
}

/** Whose limits a line is judged by: one sentence where all come from one place, else each by its quantity. */
export const lineLimitSources = (machine: BeltMachine, telling: Pick<Telling, 'words'>): string => {
  const w = beltsWords(telling.words)
  const { offset, angle, tilt } = lineLimitsOf(machine, driveOf(machine)?.span ?? 0)
  const each = [
    ...(offset.value === null ? [] : [{ name: w.quantities.offset, from: offset }]),
    { name: w.limits.angle, from: angle },
    { name: w.quantities.tilt, from: tilt },
  ].map(({ name, from }) => ({ name, says: limitByWords(from, machine, telling) }))
  const all = [...new Set(each.map((e) => e.says))]
  return all.length === 1
    ? (all[0] as string)
    : all
        .map((says) =>
          w.limits.of(
            each
              .filter((e) => e.says === says)
              .map((e, i) => (i === 0 ? e.name : e.name.toLowerCase()))
              .join(', '),
            says.replace(/\.?$/, '.'),
          ),
        )
        .join(' ')
}

const listed = (names: readonly string[], { words }: Telling): string =>
  names.length < 2
    ? (names[0] ?? '')
    : beltsWords(words).and(names.slice(0, -1).join(', '), names[names.length - 1] as string)

const namesOf = (line: LineReading, verdict: 'out' | 'edge', telling: Telling): readonly string[] =>
  line.quantities
    .filter((q) => q.verdict === verdict)
    .map((q, i) => {
      const name = beltsWords(telling.words).quantities[q.name]
      return i === 0 ? name : name.charAt(0).toLowerCase() + name.slice(1)
    })

/** What the sheaves' line means. `touching`: it comes from four contacts that touch. */
export const meaningOfLine = (line: LineReading, touching: boolean, telling: Telling): Meaning => {
  const w = beltsWords(telling.words)
  const apart = line.depths.other - line.depths.reference
  const detail =
    touching && Math.abs(apart) > 0.05 ? w.depthsDiffer(gapFigure(Math.abs(apart), telling, true)) : ''
  if (line.verdict === 'in') return { mark: 'in', headline: w.inLine, detail }
  if (line.verdict === 'edge')
    return { mark: 'edge', headline: w.edge(listed(namesOf(line, 'edge', telling), telling)), detail }
  const names = namesOf(line, 'out', telling)
  const what = capital(names.length > 1 ? w.areOut(listed(names, telling)) : w.isOut(names[0] ?? ''))
  const turned = Math.abs(line.errors.turn) > 0.1 * line.limits.angle
  return { mark: 'out', headline: turned ? w.out(what) : w.outPlain(what), detail }
}

/** Turns of a screw in eighths: `3/8`, `1 1/4`. */
export const eighths = (turns: number): string => {
  const n = Math.round(Math.abs(turns) * 8)
  const whole = Math.floor(n / 8)
  const rest = n % 8
  if (rest === 0) return String(whole)
  const [top, bottom] = rest % 4 === 0 ? [rest / 4, 2] : rest % 2 === 0 ? [rest / 2, 4] : [rest, 8]
  return whole > 0 ? `${whole} ${top}/${bottom}` : `${top}/${bottom}`
}

/** One step of a cure, in working order. */
export interface CureStep {
  /** Its place in the order of work, from 1. */
  readonly number: number
  readonly step: 'tilt' | 'turn' | 'offset'
  readonly what: string
  /** The figure to work by, large; empty when there is nothing to do. */
  readonly figure: string
  readonly detail: string
  /** How it is done, point by point; missing where the detail says it all. */
  readonly how?: readonly string[]
}

type Unnumbered = Omit<CureStep, 'number'>

/** Below these a step is not worth a wrench: a twentieth of a millimetre, a fifth of an eighth of a turn. */
const IDLE_SLIDE = 0.05

/** What to shim, turn and slide, in this order, in the words of this base. */
export const cureSteps = (
  line: LineReading,
  { base, units }: Pick<BeltMachine, 'base' | 'units'>,
  edgeSide: 'outer' | 'inner',
  telling: Telling,
): readonly CureStep[] => {
  const w = beltsWords(telling.words)
  const { tilt, turn, offset } = line.corrections
  const g = (x: number) => gapFigure(Math.abs(x), telling, true)
  const tiltStep: Unnumbered =
    line.errors.tilt === null
      ? { step: 'tilt', what: w.tiltNotRead, figure: '', detail: '' }
      : Math.abs(tilt.farFeetShim) < IDLE_SLIDE
        ? {
            step: 'tilt',
            what: w.tiltNothing,
            figure: '',
            detail: w.well(degrees(Math.abs(line.errors.tilt)), degrees(line.limits.tilt)),
          }
        : base.pull === 'level'
          ? {
              step: 'tilt',
              what: w.tiltStep(w.farFeet, tilt.farFeetShim > 0 ? 'up' : 'down'),
              figure: g(tilt.farFeetShim),
              detail: w.tiltShimHow,
            }
          : {
              step: 'tilt',
              what: w.tiltSlide(g(tilt.farFeetShim), tilt.farFeetShim > 0 ? w.right : w.left),
              figure: g(tilt.farFeetShim),
              detail: w.tiltSlideHow,
            }
  const away = turn.farEndSlide > 0
  const turnStep: Unnumbered =
    Math.abs(turn.farEndSlide) < IDLE_SLIDE
      ? { step: 'turn', what: w.turnNothing, figure: '', detail: '' }
      : {
          step: 'turn',
          what: w.turnStep(whereWords(base, away ? 'away' : 'toward', telling)),
          figure: turn.screwTurns === null ? g(turn.farEndSlide) : w.turns(eighths(turn.screwTurns)),
          detail: [
            endWords(
              base,
              away ? 'away' : 'toward',
              // One bolt moves both ends of a hinged base alike: its far end is brought by a distance.
              turn.screwTurns === null || base.kind === 'hinged'
                ? g(turn.farEndSlide)
                : turnsWords(turn.screwTurns, telling),
              telling,
            ),
            w.turnHeld(g(turn.farEndSlide)),
          ].join(' '),
        }
  // The slide is positive away from the edge; on the motor's outer face that is toward the motor.
  const towardMotor = offset.sheaveSlide > 0 === (edgeSide === 'outer')
  const now = offset.hubToShaftEnd
  const offsetStep: Unnumbered =
    Math.abs(offset.sheaveSlide) < IDLE_SLIDE
      ? { step: 'offset', what: w.offsetNothing, figure: '', detail: '' }
      : {
          step: 'offset',
          what: w.offsetStep(g(offset.sheaveSlide), towardMotor ? w.towardMotor : w.awayMotor),
          figure: now === null ? g(offset.sheaveSlide) : `→ ${gapFigure(now, telling)}`,
          detail: now === null ? '' : w.hubToEnd,
          how: w.bushing.steps(
            base.hubToShaftEnd === null
              ? ''
              : gapFigure(toCore(base.hubToShaftEnd, 'distance', units), telling, true),
            now === null ? '' : gapFigure(now, telling, true),
            g(offset.sheaveSlide),
            towardMotor ? w.towardMotor : w.awayMotor,
          ),
        }
  return [tiltStep, turnStep, offsetStep].map((s, i) => ({ number: i + 1, ...s }))
}

/** What lining up means now. */
export const meaningOfAlignment = (state: BeltState, telling: Telling): Meaning => {
  const w = beltsWords(telling.words)
  const round = state.alignment[state.alignment.length - 1]
  const line = state.lines[state.lines.length - 1] ?? null
  if (line) return meaningOfLine(line, round?.reading === null, telling)
  if (round?.contacts) return plainMeaning('out', w.diagnoses[diagnosisOf(round.contacts)], w.askNumbers)
  return state.lines.length > 1
    ? plainMeaning('stale', w.again)
    : plainMeaning('todo', w.begin, w.beginDetail)
}
