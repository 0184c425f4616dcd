import type { Meaning } from './meaning'
import { shortFoot, riseWords } from './footPlaces'
import { softFootWords } from './en'
import { DIAGONALS, FOOT_NAMES } from '../../core/feet/softFoot'
import type { FootedMachine } from '../../core/register/footedMachine'
import type { FootRef } from '../../core/stages/feet/entries'
import { CHASED } from '../../core/stages/feet/cure'
import type { FeetCheck } from '../../core/stages/feet/feetCheck'
import { toCore } from '../../core/units/unitSystem'
import { pack, UNIT_NAMES } from './figures'
import type { Telling } from './telling'

/** What the feet mean as last read: one sentence for every state they can be in. */
export const meaningOfFeet = (
  check: FeetCheck,
  machine: FootedMachine,
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
