import type { Degrees, Millimetres } from '../units/unitSystem'
import type { ActRefusal, BenchAct } from './acts'
import { BENCH_FEET, type Bench, type Leaf } from './bench'
import { dialsOn, mountOn, needleOf, rested, turnShafts } from './benchDials'
import { footHeight, freshBench, roomAt, type BenchState } from './benchState'

/** Minutes in which two thirds of a warming are over; cooling takes three times as long. */
const WARMING = 45

/** Takes leaves off a pack and lays others: thin ones end between thick ones, which changes nothing. Null when one is not there. */
const relaid = (
  bench: Bench,
  pack: readonly Leaf[],
  out: readonly Millimetres[],
  putIn: readonly Millimetres[],
): readonly Leaf[] | null => {
  const left = [...pack]
  for (const t of out) {
    const at = left.findIndex((l) => Math.abs(l.marked - t) < 1e-6)
    if (at < 0) return null
    left.splice(at, 1)
  }
  return [...left, ...putIn.map(bench.leaf)]
}

const allLoose = (state: BenchState) => BENCH_FEET.every((f) => state.loose.has(f))
const withAt = <T>(pair: readonly [T, T], i: 0 | 1, value: T): readonly [T, T] =>
  i === 0 ? [value, pair[1]] : [pair[0], value]

/** Why hands can't do that on the bench as it stands; null when they can. */
export const actRefusal = (bench: Bench, state: BenchState, act: BenchAct): ActRefusal | null => {
  switch (act.act) {
    case 'lock':
    case 'wait':
      return null
    case 'guard':
      return state.locked ? null : 'power-on'
    case 'run':
      if (state.locked) return 'locked-out'
      if (!state.guarded) return 'guard-off'
      return state.made ? null : 'not-coupled'
    default:
  }
  if (!state.locked) return 'power-on'
  if (state.guarded) return 'guard-on'
  switch (act.act) {
    case 'zero':
    case 'press':
      return dialsOn(state).includes(act.circle) ? null : 'no-dial'
    case 'leaves':
      if (!allLoose(state) && !state.loose.has(act.foot)) return 'bolted-down'
      return relaid(bench, state.packs[act.foot], act.out, act.in) ? null : 'no-such-leaf'
    case 'driven-leaves': {
      const pack = state.drivenPacks[act.pair]?.[act.side]
      return pack && relaid(bench, pack, act.out, act.in) ? null : 'no-such-leaf'
    }
    case 'push': {
      if (act.machine === 'movable' && !allLoose(state)) return 'not-all-loose'
      const { plus, minus } = roomAt(bench, state, act.machine, act.pair)
      return act.by > plus + 1e-9 || -act.by > minus + 1e-9 ? 'no-room' : null
    }
    default:
      return null
  }
}

/** The bench after hands have done one thing; unchanged where they can't. */
export const afterAct = (bench: Bench, state: BenchState, act: BenchAct): BenchState => {
  if (actRefusal(bench, state, act)) return state
  switch (act.act) {
    case 'mount':
      return mountOn(bench, state, act.how)
    case 'turn':
      return turnShafts(bench, state, act.by, true)
    case 'zero':
      return { ...state, zeros: { ...state.zeros, [act.circle]: needleOf(bench, state, act.circle) } }
    case 'press':
      return state
    case 'clamp':
      return { ...state, clamped: true }
    case 'bolt': {
      const loose = new Set(state.loose)
      if (act.tight) loose.delete(act.foot)
      else loose.add(act.foot)
      // It settles anew only when it was lifted free and comes down again.
      const down = act.tight && loose.size === 0 && state.loose.size > 1
      return rested(bench, { ...state, loose, tightened: state.tightened + (down ? 1 : 0) })
    }
    case 'bolts': {
      const down = act.tight && state.loose.size > 0
      return rested(bench, {
        ...state,
        loose: new Set(act.tight ? [] : BENCH_FEET),
        tightened: state.tightened + (down ? 1 : 0),
      })
    }
    case 'leaves': {
      const pack = relaid(bench, state.packs[act.foot], act.out, act.in)
      return rested(bench, { ...state, packs: { ...state.packs, [act.foot]: pack ?? [] } })
    }
    case 'driven-leaves': {
      const pair = state.drivenPacks[act.pair]
      if (!pair) return state
      const pack = relaid(bench, pair[act.side], act.out, act.in) ?? []
      return rested(bench, {
        ...state,
        drivenPacks: { ...state.drivenPacks, [act.pair]: { ...pair, [act.side]: pack } },
      })
    }
    case 'push': {
      const list = state.pushed[act.machine]
      const pushed = withAt(list, act.pair, list[act.pair] + act.by)
      return rested(bench, { ...state, pushed: { ...state.pushed, [act.machine]: pushed } })
    }
    case 'foot-dial':
      return { ...state, footDial: { foot: act.foot, zero: footHeight(bench, state, act.foot) } }
    case 'side-dials':
      return { ...state, sideZeros: state.pushed.movable }
    case 'couple':
      return rested(bench, { ...state, made: act.made })
    case 'pipe':
      return rested(bench, { ...state, pipeSlack: act.slack })
    case 'guard':
      return { ...state, guarded: act.on }
    case 'lock':
      return { ...state, locked: act.on }
    case 'run':
      return rested(bench, { ...state, warm: 1 - (1 - state.warm) * Math.exp(-act.minutes / WARMING) })
    case 'wait':
      return rested(bench, {
        ...state,
        warm: state.warm * Math.exp(-act.minutes / (3 * WARMING)),
      })
  }
}

/** The bench after a list of acts. */
export const benchAfter = (bench: Bench, acts: readonly BenchAct[]): BenchState =>
  acts.reduce((state, act) => afterAct(bench, state, act), freshBench(bench))

/** The same while the shafts are still on their way: turned on by so much, not stopped. */
export const turnedOn = (bench: Bench, state: BenchState, by: Degrees): BenchState =>
  actRefusal(bench, state, { act: 'turn', by }) ? state : turnShafts(bench, state, by, false)
