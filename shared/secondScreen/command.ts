import type { Job, StageId } from '../../core/jobs/jobs'
import type { Lever } from '../../core/gear/levers'
import type { GearState } from '../../core/jobs/gear'
import type { FlangePush } from '../../core/flange/flangeMove'
import { keyOfPair, pairKey } from '../../core/plan/pairNames'
import { handsMayGo } from '../../core/stages/makeSafe/safety'
import type { MoveEntries } from '../../core/stages/move/entries'
import type { Bite, PushEnd, PushWatch } from '../../core/stages/move/push'
import { readTypedNumber } from '../../core/units/typedNumber'
import { fromCore, type Millimetres, type UnitSystem } from '../../core/units/unitSystem'
import { wayOf } from '../stages/move/pushForm'
import { BELT_BOX } from '../stages/tension/boxes'
import { typingWords } from '../wording/en'
import type { Words } from '../wording/words'
import type { MateSide, Press, Wanted } from './call'

/** What the mate is told to do now. */
export type Command =
  | { readonly does: 'hands-off' | 'closed' | 'tighten' }
  | { readonly does: 'wait'; readonly stage: StageId }
  | { readonly does: 'turn'; readonly wanted: Wanted }
  | { readonly does: 'press'; readonly press: Press }
  /** A flange: both dials watched down to zero. */
  | { readonly does: 'push-flange'; readonly toGo: FlangePush }
  /** Gears under light load: turned slowly, both ways. */
  | { readonly does: 'turn-gears' }
  /** Blocks or gear, toward the `to` end positive. */
  | { readonly does: 'shift-gears'; readonly lever: Lever; readonly by: Millimetres }
  | {
      readonly does: 'push' | 'slacken'
      readonly end: PushEnd
      readonly bite: Bite
      /** Toward whoever stands on this side, or away from them. */
      readonly toward: boolean
      /** What is left to go in the way it goes, now and once this bite is taken. */
      readonly left: Millimetres
      /** The same as a share of the way, 0 where it arrives. */
      readonly share: number
      readonly stopAt: Millimetres
    }

const endOf = ({ ends }: PushWatch, bite: Bite): PushEnd | undefined =>
  ends.find((e) => keyOfPair(e) === pairKey(bite.pair, bite.machine))

/** What a helper at the gears is told: turn while the paint is unread, shift while it asks for that. */
const gearCommand = ({ contact, cleared, gearRecheck, pins }: GearState): Command | null => {
  const unread = contact.now === null || gearRecheck.missing.includes('contact')
  if (unread) return cleared ? { does: 'turn-gears' } : null
  const { next } = contact
  if (!next || typeof next === 'string' || pins === 'in' || pins === 'reamed') return null
  return { does: 'shift-gears', lever: next.lever, by: next.by }
}

/** The side move under way; of a line, that of the machine whose turn it is. */
export const pushOf = (job: Job): PushWatch | null => {
  if (job.kind === 'coupled' || job.kind === 'drum') return job.state.push
  if (job.kind !== 'train') return null
  const { plan, machines } = job.state
  const moving = plan && !plan.stale ? plan.left[0] : undefined
  return machines.find((m) => m.part.id === moving)?.state.push ?? null
}

/**
 * What somebody on this side of the machine is told: hands off while the lockout isn't whole, then what the
 * board wants read, a place of the dials or a belt, then the bite of a push, its counts as instruments show them where they
 * do; else to wait.
 */
export const commandFor = (
  job: Job,
  wanted: Wanted | null,
  side: MateSide,
  press: Press | null = null,
  live: PushWatch | null = null,
): Command => {
  const { state, sheet } = job
  if (state.closing) return { does: 'closed' }
  if (!handsMayGo(state.safety)) return { does: 'hands-off' }
  if (wanted) return { does: 'turn', wanted }
  if (press) return { does: 'press', press }
  if (job.kind === 'flange' && job.state.push)
    return job.state.push.arrived ? { does: 'tighten' } : { does: 'push-flange', toGo: job.state.push.toGo }
  if (job.kind === 'gear') return gearCommand(job.state) ?? { does: 'wait', stage: sheet.current }
  const logged = pushOf(job)
  const push = logged?.wanted ? (live ?? logged) : null
  if (!push) return { does: 'wait', stage: sheet.current }
  const end = push.next && endOf(push, push.next)
  if (!push.next || !end) return { does: 'tighten' }
  // Toward 3 is plus: it is pushed from the side of 9.
  const from: MateSide = push.next.by > 0 ? '9' : '3'
  const way = wayOf(end)
  const left = way * end.toGo
  return {
    does: from === side ? 'push' : 'slacken',
    end,
    bite: push.next,
    toward: from !== side,
    left,
    share: Math.min(1, Math.max(0, left / Math.max(Math.abs(end.wanted), Math.abs(left)))),
    // A live count goes on falling: where to stop is told from the last one that was logged.
    stopAt: way * (((logged && endOf(logged, push.next)?.toGo) ?? end.toGo) - push.next.by),
  }
}

const counted = ({ machine, id }: PushEnd, toGo: number, units: UnitSystem): MoveEntries['counts-read'] => ({
  units,
  when: 'pushing',
  counts: [{ machine, pair: id, toGo }],
})

/** The bite was taken to where it was to stop; or to where an instrument says that it came. */
export const thereAt = (
  { end, stopAt }: Extract<Command, { does: 'push' | 'slacken' }>,
  units: UnitSystem,
  live = false,
): MoveEntries['counts-read'] => {
  const toGo = live ? end.toGo : wayOf(end) * stopAt
  return counted(end, Number(fromCore(toGo, 'displacement', units).toFixed(units === 'inch' ? 2 : 4)), units)
}

/** What the dial shows, typed as it stands: what is left in the way that this end goes; or a sentence. */
export const dialSays = (
  { end }: Extract<Command, { does: 'push' | 'slacken' }>,
  typed: string,
  units: UnitSystem,
  words: Words,
): { readonly fault: string; readonly payload: MoveEntries['counts-read'] | null } => {
  const read = readTypedNumber(typed, 'displacement', units)
  if (read.ok) return { fault: '', payload: counted(end, wayOf(end) * read.value, units) }
  return { fault: read.fault === 'empty' ? '' : typingWords(words).faults[read.fault], payload: null }
}

/** What was read at a belt, to be sent to its box; or a sentence. Nothing there is below zero. */
export const beltSays = (
  typed: string,
  by: Press['by'],
  units: UnitSystem,
  words: Words,
): { readonly fault: string; readonly value: string | null } => {
  const read = readTypedNumber(typed, BELT_BOX[by], units)
  if (!read.ok)
    return { fault: read.fault === 'empty' ? '' : typingWords(words).faults[read.fault], value: null }
  return read.value < 0
    ? { fault: typingWords(words).belowZero, value: null }
    : { fault: '', value: typed.trim() }
}

/** What a dial shows as it was typed, to be sent to its box; or a sentence. */
export const readingSays = (
  typed: string,
  units: UnitSystem,
  words: Words,
): { readonly fault: string; readonly value: string | null } => {
  const read = readTypedNumber(typed, 'displacement', units)
  if (read.ok) return { fault: '', value: typed.trim() }
  return { fault: read.fault === 'empty' ? '' : typingWords(words).faults[read.fault], value: null }
}
