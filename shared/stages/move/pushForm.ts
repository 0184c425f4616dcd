import { pushingWords, typingWords } from '../../wording/en'
import { keyOfPair, type MachineRole } from '../../../core/plan/pairNames'
import type { MoveEntries } from '../../../core/stages/move/entries'
import { ARRIVED, type PushEnd, type PushWatch } from '../../../core/stages/move/push'
import { readTypedNumber } from '../../../core/units/typedNumber'
import { fromCore, toCore, type UnitSystem } from '../../../core/units/unitSystem'
import { namedParts, unitOf } from '../../forms/typed'
import { figure } from '../../wording/figures'
import { capital } from '../../wording/capital'
import { pairName, type Telling } from '../../wording/telling'

/** What stands in the boxes of a push: what each end's dial says is still to go, by `keyOfPair`. */
export interface PushTexts {
  units: UnitSystem
  toGo: Record<string, string>
}

export const blankPush = (units: UnitSystem): PushTexts => ({ units, toGo: {} })

/** The same texts meaning the same in other units. */
export const namePushUnits = (texts: PushTexts, was: UnitSystem): void => {
  const unit = unitOf('displacement', was)
  for (const key of Object.keys(texts.toGo)) texts.toGo[key] = namedParts(texts.toGo[key] ?? '', unit)
}

/** The way an end is to go: 1 toward 3, -1 toward 9. A dial counts down in it, whichever it is. */
export const wayOf = ({ wanted, toGo }: Pick<PushEnd, 'wanted' | 'toGo'>): 1 | -1 => {
  const by = Math.abs(wanted) > ARRIVED ? wanted : toGo
  return by < 0 ? -1 : 1
}

export interface PushRead {
  readonly faults: Readonly<Record<string, string>>
  readonly questions: readonly string[]
  readonly payload: MoveEntries['counts-read'] | null
}

/** A count further off than this many times what was planned is a slipped digit. */
const FAR = 3

/**
 * Reads the boxes of a push. Typed is what is still to go in the way the end is to go, so a dial that
 * falls to zero is typed as it stands; with a minus it went past.
 */
export const readPush = (
  texts: PushTexts,
  watched: PushWatch,
  when: MoveEntries['counts-read']['when'],
  telling: Telling,
): PushRead => {
  const { words, units } = telling
  const faults: Record<string, string> = {}
  const questions: string[] = []
  const counts: { machine: MachineRole; pair: string; toGo: number }[] = []
  const d = (x: number) => figure(Math.abs(x), 'displacement', units, { unit: true })
  for (const end of watched.ends) {
    const read = readTypedNumber(texts.toGo[keyOfPair(end)] ?? '', 'displacement', units)
    if (!read.ok) {
      if (read.fault !== 'empty') faults[keyOfPair(end)] = typingWords(words).faults[read.fault]
      continue
    }
    // With nothing to push the dial was zeroed: it says the shift itself, toward 3 is plus.
    const toGo = (watched.wanted ? wayOf(end) : -1) * read.value
    const mm = toCore(toGo, 'displacement', units)
    const planned = Math.max(Math.abs(end.wanted), toCore(units === 'inch' ? 5 : 0.1, 'displacement', units))
    if (Math.abs(mm) > FAR * planned)
      questions.push(pushingWords(words).questions.far(capital(pairName(telling, end)), d(mm), d(end.wanted)))
    counts.push({ machine: end.machine, pair: end.id, toGo })
  }
  const whole = Object.keys(faults).length === 0 && counts.length > 0
  return { faults, questions, payload: whole ? { units, when, counts } : null }
}

/** What each pair was pushed as its dial says, in the boxes of a move. */
export const sidesFromCounts = (watched: PushWatch, units: UnitSystem): Readonly<Record<string, string>> =>
  Object.fromEntries(
    watched.ends.map((e) => [
      keyOfPair(e),
      String(Number(fromCore(e.wanted - e.toGo, 'displacement', units).toFixed(units === 'inch' ? 2 : 4))),
    ]),
  )
