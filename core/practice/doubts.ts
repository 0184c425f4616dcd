import type { CoupledState } from '../jobs/coupled'
import type { TrustFlag } from '../trust/trustReport'
import type { Degrees, Millimetres } from '../units/unitSystem'
import type { AchievedCause } from '../coupling/achieved'
import { BENCH_FEET, footPlace, type Bench, type BenchFoot } from './bench'
import type { BenchState } from './benchState'
import type { BenchFault } from './faults'

/** What the readings or the hands already told, before anybody looked. */
export type DoubtCode =
  | 'unsound-set'
  | 'sets-differ'
  | 'read-made-up'
  | 'sag-untold'
  | 'sign-untold'
  | 'foot-rocks'
  | 'both-filled'
  | 'laid-differs'
  | 'move-missed'
  | 'pipe-pulls'
  | 'misread'
  | 'sides-swapped'
  | 'read-warm'
  | 'plate-differs'

/** Something that was there to be seen at a step. */
export interface Doubt {
  readonly code: DoubtCode
  /** The set, the feet or the plane it is about: two doubts of one code about one thing are the same. */
  readonly about: string
  /** Checks that failed, for a set. */
  readonly flags: readonly TrustFlag[]
  /** What a move looks like that missed. */
  readonly causes: readonly AchievedCause[]
  /** Where something else was typed than the needle showed. */
  readonly places?: readonly { readonly circle: string; readonly clock: Degrees }[]
}

const doubt = (code: DoubtCode, about: string, more: Partial<Doubt> = {}): Doubt => ({
  code,
  about,
  flags: [],
  causes: [],
  ...more,
})

/** How far a told sag may be off before it counts as not told. */
const SAG_OFF: Millimetres = 0.03

/** Share by which a told speed may be off the plate: nobody reads a slip of the motor out of it. */
const SPEED_OFF = 0.02

/** Each leaf that lies otherwise than the logbook has it, by foot. */
const laidOtherwise = (state: CoupledState, now: BenchState): readonly BenchFoot[] =>
  BENCH_FEET.filter((foot) => {
    const { pair, side } = footPlace(foot)
    const list = state.machine.feet.movable
    const id = (pair === 0 ? list[0] : list[list.length - 1])?.id
    const told = state.packs.find((p) => p.machine === 'movable' && p.id === id)?.packs[side] ?? []
    const sum = (leaves: readonly number[]) => leaves.reduce((s, t) => s + t, 0)
    return Math.abs(sum(told) - sum(now.packs[foot].map((l) => l.marked))) > 1e-6
  })

const toldMounts = (
  state: CoupledState,
): readonly (readonly [string, { readonly sag: number; readonly sign: 1 | -1 }])[] => {
  const how = state.setUp?.how
  if (how?.method === 'rim-face')
    return [
      ['rim', { sag: how.given.rim.sag, sign: how.given.rim.readingSign ?? 1 }],
      ...how.given.faces.map(
        (f, i) =>
          [
            how.given.faces.length > 1 ? `face${i + 1}` : 'face',
            { sag: f.sag ?? 0, sign: f.readingSign ?? 1 },
          ] as const,
      ),
    ]
  if (how?.method === 'reverse-rim')
    return (['onStationary', 'onMovable'] as const).map((c) => [
      c,
      { sag: how.given[c].sag, sign: how.given[c].readingSign ?? 1 },
    ])
  return []
}

/** What the logbook and the hands tell by now, of everything that is in force. */
export const doubtsOf = (bench: Bench, state: CoupledState, now: BenchState): readonly Doubt[] => {
  const found: Doubt[] = []
  const { latest, setUp, feetCheck, moves } = state
  if (Math.abs(state.rpm / bench.plate - 1) > SPEED_OFF) found.push(doubt('plate-differs', 'plate'))
  for (const { set, leftOut } of latest.sets)
    if (!set.sound && leftOut === null && latest.used.includes(set.entry.id))
      found.push(doubt('unsound-set', set.entry.id, { flags: set.flags }))
  if (latest.repeat && !latest.repeat.agrees && latest.used.includes(latest.repeat.second))
    found.push(doubt('sets-differ', latest.repeat.second))
  if (setUp) {
    for (const [circle, told] of toldMounts(state)) {
      const face = circle.startsWith('face')
      if (!face && Math.abs(told.sag - bench.hang.rim) > SAG_OFF) found.push(doubt('sag-untold', circle))
      if (told.sign !== bench.dial(circle).sign) found.push(doubt('sign-untold', circle))
    }
  }
  if (feetCheck.latest?.verdict === 'out') found.push(doubt('foot-rocks', 'feet'))
  const filled = feetCheck.rounds.flatMap((r) => (r.filled ? [r.filled.payload.change] : []))
  const lies = (side: string, end: 'near' | 'far') => {
    const list = state.machine.feet.movable
    const id = (end === 'near' ? list[0] : list[list.length - 1])?.id
    return filled
      .filter((c) => c.pair === id && c.side === side)
      .reduce((s, c) => s + total(c.putIn) - total(c.takenOut), 0)
  }
  const both = [
    ['left', 'right'],
    ['right', 'left'],
  ].some(([a = '', b = '']) => lies(a, 'near') > 1e-9 && lies(b, 'far') > 1e-9)
  if (both) found.push(doubt('both-filled', 'feet'))
  const laid = laidOtherwise(state, now)
  if (laid.length > 0) found.push(doubt('laid-differs', laid.join()))
  const last = moves[moves.length - 1]
  for (const plane of last?.achieved ?? [])
    if (plane.cause !== 'as-planned' && plane.cause !== 'came-along')
      found.push(doubt('move-missed', `${last?.entry.id ?? ''} ${plane.plane}`, { causes: plane.causes }))
  if (state.looks.pipe?.verdict === 'out') found.push(doubt('pipe-pulls', 'pipe'))
  return found
}

const total = (list: readonly number[]) => list.reduce((s, t) => s + t, 0)

/** Which hidden fault a doubt comes from, where one does. */
export const faultBehind = (bench: Bench, { code, flags }: Doubt): BenchFault | null => {
  const has = (...list: readonly BenchFault[]) => list.find((f) => bench.faults.has(f)) ?? null
  switch (code) {
    case 'unsound-set':
      return flags.includes('return-to-zero')
        ? has('slipping-bracket', 'sticking-needle', 'backlash')
        : has('slipping-bracket', 'sticking-needle', 'backlash', 'float', 'oval-hub')
    case 'sets-differ':
      return has('sticking-needle', 'slipping-bracket', 'float', 'backlash')
    case 'read-made-up':
      return has('strained-coupling')
    case 'sag-untold':
      return has('hanging-bar')
    case 'sign-untold':
      return has('counts-other-way')
    case 'foot-rocks':
    case 'both-filled':
      return has('soft-foot', 'bent-foot', 'pipe-strain')
    case 'move-missed':
      return has(
        'false-shim',
        'swapped-marks',
        'counts-other-way',
        'hanging-bar',
        'strained-coupling',
        'soft-foot',
      )
    case 'sides-swapped':
      return has('swapped-marks')
    case 'pipe-pulls':
      return has('pipe-strain')
    case 'read-warm':
      return has('still-warm')
    case 'plate-differs':
      return has('wrong-nameplate')
    default:
      return null
  }
}
