import type { GearState } from '../../core/jobs/gear'
import { RUNS, type JudgedContact, type Percent, type TwoRuns } from '../../core/gear/contactFigures'
import { leverFor, type Lever, type NextShift } from '../../core/gear/levers'
import { isWide } from '../../core/stages/backlash/read'
import type { Contact, ShiftRead } from '../../core/stages/contact/contact'
import type { GearMachine } from '../../core/register/gearMachine'
import { fromCore, toCore, type Millimetres } from '../../core/units/unitSystem'
import { gearWords } from './en'
import { figure, UNIT_NAMES } from './figures'
import { plainMeaning, type Meaning } from './meaning'
import { capital } from './capital'
import type { Telling } from './telling'

/** `22`, `0.5`, `−3`: percent of the face width without needless zeros. */
export const percentFigure = (x: Percent, sign = false): string => {
  const rounded = Number(x.toFixed(1))
  const text = String(Math.abs(rounded))
  if (rounded < 0) return `−${text}`
  return sign && rounded > 0 ? `+${text}` : text
}

/** The end of the tooth that a signed figure lies toward. */
export const endOf = ({ gear }: Pick<GearMachine, 'gear'>, x: number): string =>
  x < 0 ? gear.ends.from : gear.ends.to

/** `22 % toward the table side`, or that it is on its middle. */
export const offWords = (x: Percent, machine: Pick<GearMachine, 'gear'>, { words }: Telling): string => {
  const w = gearWords(words)
  const size = percentFigure(Math.abs(x))
  return size === '0' ? w.even : w.toward(w.percent(size), endOf(machine, x))
}

/** The same in two parts, the figure to be drawn large. */
export const offParts = (
  x: Percent,
  machine: Pick<GearMachine, 'gear'>,
  { words }: Telling,
): { readonly figure: string; readonly words: string } => {
  const figure = percentFigure(Math.abs(x))
  return { figure, words: figure === '0' ? '%' : gearWords(words).toward('%', endOf(machine, x)) }
}

export const leverName = (lever: Lever, { gear }: Pick<GearMachine, 'gear'>, { words }: Telling): string =>
  gearWords(words).levers[gear.kind][lever]

export const shiftFigure = (mm: Millimetres, { units }: Telling): string =>
  figure(Math.abs(mm), 'displacement', units, { unit: true })

/** `2 % a mil`. */
export const rateWords = (perMm: number, { words, units }: Telling): string =>
  gearWords(words).why.rate(
    percentFigure(Math.abs(perMm * toCore(1, 'displacement', units))),
    UNIT_NAMES[units].displacement,
  )

/** What a judged quantity of the paint is called. */
export const contactQuantityName = (
  q: Pick<JudgedContact, 'quantity' | 'run'>,
  { words }: Telling,
): string => {
  const w = gearWords(words)
  return w.quantities[q.quantity](w.run[q.run])
}

/** `10`, `28–44`, `≥ 70`: what it is judged by. */
export const contactLimit = ({ quantity, low, high }: JudgedContact): string => {
  if (quantity === 'off') return percentFigure(high ?? 0)
  if (low !== null && high !== null) return `${percentFigure(low)}–${percentFigure(high)}`
  return low === null ? `≤ ${percentFigure(high ?? 0)}` : `≥ ${percentFigure(low)}`
}

/** Where the limits of the contact come from. */
export const contactLimitSource = ({ gear }: GearMachine, { words }: Telling): string => {
  const w = gearWords(words)
  const { off, shortest, longest, covered, source } = gear.limits
  const own = [off, shortest, longest, covered].some((x) => x !== null)
  return own && source ? w.limitsOf(source) : w.limitsStarting
}

/** What was shifted in a round, and what the paint did with it. */
export const shiftReadWords = (s: ShiftRead, machine: GearMachine, telling: Telling): string => {
  const w = gearWords(telling.words)
  const { lever, by } = s.seen
  return `${capital(
    w.headlines.shifted(leverName(lever, machine, telling), shiftFigure(by, telling), endOf(machine, by)),
  )}. ${w.told[s.told]}`
}

/** The last shift, where it told something against the rule. */
export const lastAgainstRule = ({ shifts }: Pick<Contact, 'shifts'>): ShiftRead | null => {
  const last = shifts[shifts.length - 1]
  return last && last.told !== 'as-the-rule' && last.told !== 'learned' ? last : null
}

/** What is to be shifted, in a sentence. */
export const shiftWords = (next: NextShift, machine: GearMachine, telling: Telling): string => {
  const w = gearWords(telling.words)
  const name = leverName(next.lever, machine, telling)
  return next.lever === 'blocks'
    ? w.shiftWhole(name, endOf(machine, next.by))
    : w.shiftGear(name, endOf(machine, next.by))
}

/** Why so far: the test, or what the last shift did and the sum that follows from it. */
export const whyShift = (
  next: NextShift,
  contact: Contact,
  machine: GearMachine,
  telling: Telling,
): readonly string[] => {
  const w = gearWords(telling.words).why
  const name = leverName(next.lever, machine, telling)
  const by = shiftFigure(next.wanted, telling)
  const lines: string[] = []
  if (next.rate === null) {
    lines.push(w.test(by))
    if (leverFor(machine.gear.school, 'apart') === next.lever) lines.push(w.learning)
  } else {
    const rate = rateWords(next.rate, telling)
    const last = contact.shifts.filter((s) => s.seen.lever === next.lever).pop()
    if (next.from === 'job' && last) {
      const went = last.seen.after[next.figure] - last.seen.before[next.figure]
      lines.push(
        w.job(
          last.round,
          shiftFigure(last.seen.by, telling),
          gearWords(telling.words).percent(percentFigure(Math.abs(went))),
          rate,
        ),
      )
    } else lines.push(w.register(rate))
    const off = contact.now?.figures?.[next.figure] ?? 0
    lines.push(`${w.sum(gearWords(telling.words).percent(percentFigure(Math.abs(off))), rate, by)}.`)
  }
  if (Math.abs(next.wanted) - Math.abs(next.by) > 1e-9) lines.push(w.roomShort(by))
  const each = machine.gear.room[next.lever]
  if (each === null) lines.push(w.roomUnknown(name))
  else {
    const own = toCore(each, 'displacement', machine.units)
    const left = Math.max(0, own - Math.sign(next.by) * contact.shifted[next.lever])
    lines.push(w.room(name, shiftFigure(left, telling)))
  }
  if (next.againstRule) lines.push(gearWords(telling.words).againstRule)
  return lines
}

/** Where the paint is expected to lie after it. */
export const predictedWords = ({ together, apart }: TwoRuns, { words }: Telling): string => {
  const w = gearWords(words)
  return w.why.predicted(w.percent(percentFigure(together, true)), w.percent(percentFigure(apart, true)))
}

/** Which end each run lies toward, in one sentence. */
const whereItLies = ({ contact, machine }: GearState, telling: Telling): string => {
  const { headlines: h, run } = gearWords(telling.words)
  const figures = contact.now?.figures
  if (!figures) return h.unknown
  const out = (name: string) => figures.quantities.find((q) => q.name === name)?.verdict === 'out'
  const off = { forward: out('off.forward'), back: out('off.back') }
  const at = (r: 'forward' | 'back') => figures.quantities.find((q) => q.name === `off.${r}`)?.value ?? 0
  if (off.forward && off.back)
    return Math.sign(at('forward')) === Math.sign(at('back'))
      ? h.both(endOf(machine, at('forward')))
      : h.apart(endOf(machine, at('forward')), endOf(machine, at('back')))
  const one = RUNS.find((r) => off[r])
  if (one) return h.one(run[one], endOf(machine, at(one)))
  const bad = figures.quantities.find((q) => q.verdict === 'out')
  if (bad?.quantity === 'edge') return h.shape.edge
  if (bad?.quantity === 'covered') return h.shape.covered
  if (bad?.quantity === 'length')
    return bad.high !== null && bad.value > bad.high ? h.shape.long : h.shape.short
  return figures.verdict === 'edge' ? h.edge : h.in
}

/** What the last change was, where nothing was painted since. */
const sinceChange = ({ rounds, machine }: GearState, telling: Telling): string => {
  const h = gearWords(telling.words).headlines
  const change = rounds[rounds.length - 2]?.change
  if (change?.kind === 'gear-shifted') {
    const { lever, by, units } = change.payload
    const mm = toCore(by, 'displacement', units)
    return h.shifted(leverName(lever, machine, telling), shiftFigure(mm, telling), endOf(machine, by))
  }
  return change?.kind === 'layers-changed' ? h.layered : h.refitted
}

/** What the paint means, and what to do with it. */
export const meaningOfContact = (s: GearState, telling: Telling): Meaning => {
  const w = gearWords(telling.words)
  const { contact, machine, backlash } = s
  const { now, next, notByShift } = contact
  if (!now)
    return s.rounds.length > 1
      ? plainMeaning('stale', w.headlines.again(capital(sinceChange(s, telling))))
      : plainMeaning('todo', w.headlines.todo)
  if (!now.figures) return plainMeaning('done', w.headlines.unknown, w.unjudged)
  const { verdict } = now.figures
  const source = capital(contactLimitSource(machine, telling))
  const also =
    backlash.now?.verdict === 'out'
      ? ` ${isWide(backlash.now, machine) ? w.backlashToo.wide : w.backlashToo.tight}`
      : ''
  const headline = whereItLies(s, telling)
  if (verdict !== 'out') return plainMeaning(verdict, `${headline}${also}`, `${source}. ${w.underLoad}`)
  const does =
    next === null
      ? notByShift
        ? w.shape
        : ''
      : typeof next === 'string'
        ? w.noShift[next]
        : shiftWords(next, machine, telling)
  return plainMeaning('out', `${headline}${also}`, [`${source}.`, does].filter(Boolean).join(' '))
}

/** A zone in the texts of a box. */
export const zoneTexts = (zone: readonly [number, number] | null): { from: string; to: string } =>
  zone
    ? { from: String(Number(zone[0].toFixed(1))), to: String(Number(zone[1].toFixed(1))) }
    : { from: '', to: '' }

/** A shift as it would be typed: to half a mil or a hundredth of a millimetre. */
export const shiftTyped = (mm: Millimetres, { units }: Pick<Telling, 'units'>): string => {
  const step = units === 'inch' ? 0.5 : 0.01
  const own = fromCore(Math.abs(mm), 'displacement', units)
  return String(Number((Math.round(own / step) * step).toFixed(2)))
}
