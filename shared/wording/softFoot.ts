import { feetWords, softFootWords } from './en'
import { DIAGONALS, FOOT_NAMES } from '../../core/feet/softFoot'
import type { CoupledMachine } from '../../core/register/coupledMachine'
import type { FootRef } from '../../core/stages/feet/entries'
import { CHASED } from '../../core/stages/feet/cure'
import { nameOfFoot, type FeetCheck } from '../../core/stages/feet/feetCheck'
import { toCore, type Millimetres } from '../../core/units/unitSystem'
import { figure, pack, UNIT_NAMES } from './figures'
import type { Meaning } from './readings'
import type { Telling } from './telling'

/** A foot's short name, f1 to f4 where it has one, else its place. */
export const shortFoot = (machine: CoupledMachine, foot: FootRef, telling: Telling): string => {
  return nameOfFoot(machine, foot) ?? placeOf(foot, telling)
}

/** `inboard left`. */
export const placeOf = (foot: FootRef, { words, footNames }: Telling): string =>
  softFootWords(words).place(footNames(foot.pair, foot.machine), feetWords(words).sides[foot.side])

export const riseWords = (rise: Millimetres, telling: Telling): string =>
  figure(rise, 'displacement', telling.units, { unit: true })

/** What the feet mean as last read: one sentence for every state they can be in. */
export const meaningOfFeet = (
  check: FeetCheck,
  machine: CoupledMachine,
  movable: string,
  telling: Telling,
): Meaning => {
  const w = softFootWords(telling.words)
  const h = w.headlines
  const say = (mark: Meaning['mark'], headline: string, detail = ''): Meaning => ({ mark, headline, detail })
  const name = (f: FootRef) => shortFoot(machine, f, telling)
  const last = check.rounds[check.rounds.length - 1]
  const reading = check.readings[check.readings.length - 1] ?? null
  if (!reading) {
    const before = check.rounds[check.rounds.length - 2]?.filled
    if (last?.gaps) {
      const felt = last.gaps.payload.gaps.map(name)
      return say('todo', felt.length === 0 ? h.noGap : h.gaps(w.and(felt)), h.nowTight)
    }
    if (before) {
      const { change, units } = before.payload
      const mm = (list: readonly number[]) => list.map((t) => toCore(t, 'displacement', units))
      const unit = UNIT_NAMES[telling.units].displacement
      return change.putIn.length > 0
        ? say('stale', h.filled(name(change), `${pack(mm(change.putIn), telling.units)} ${unit}`))
        : say('stale', h.emptied(name(change), `${pack(mm(change.takenOut), telling.units)} ${unit}`))
    }
    return say('todo', h.begin, h.beginDetail)
  }
  const { result, rises, inner } = reading
  const worst = FOOT_NAMES.reduce((a, b) => (rises[b] > rises[a] ? b : a))
  const worstWords = riseWords(rises[worst], telling)
  if (result.pipeStrain) return say('out', h.pipe)
  switch (result.diagnosis) {
    case 'rocking': {
      const [a, b] = DIAGONALS[result.diagonal ?? '1-3']
      const rocks = h.rocks(movable, a, b)
      return check.chase >= CHASED ? say('out', h.chased(h.times(check.chase)), rocks) : say('out', rocks)
    }
    case 'springy':
      return say('out', h.springy)
    case 'local':
      return result.feet.length === 1
        ? say('out', h.local(result.feet[0] ?? ''))
        : say('out', h.localMany(w.and(result.feet)))
    case 'ok':
      if (inner.length > 0) return say('out', h.inner(w.and(inner.map(name))))
      return reading.verdict === 'edge'
        ? say('edge', h.near(worst, worstWords))
        : say('in', h.sits(worstWords))
  }
}

/** One line of what was found at the feet, for the run sheet. */
export const findingOfFeet = (check: FeetCheck, machine: CoupledMachine, telling: Telling): string => {
  const w = softFootWords(telling.words).finding
  const at = check.readings.length - 1
  const reading = check.readings[at] ?? null
  if (!reading) {
    const filled = check.rounds[at - 1]?.filled
    if (filled) return w.filled(shortFoot(machine, filled.payload.change, telling))
    return check.rounds[at]?.gaps ? w.gaps : ''
  }
  const count = reading.byFoot.size
  const worst = riseWords(Math.max(...reading.byFoot.values()), telling)
  if (reading.result.diagnosis === 'rocking' && !reading.result.pipeStrain) {
    const [a, b] = DIAGONALS[reading.result.diagonal ?? '1-3']
    return w.rocks(at + 1, a, b)
  }
  return reading.verdict === 'out' ? w.other(at + 1, worst) : w.sits(count, worst)
}
