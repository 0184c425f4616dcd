import type { Meaning } from './meaning'
import type { MachineNames } from './machineNames'
import { levelWords } from './en'
import type { CoupledMachine } from '../../core/register/coupledMachine'
import { LEVEL_LIMIT, type LevelCure, type Levels, type ShaftLevel } from '../../core/stages/level/levels'
import type { RunoutEffect, Runouts, SurfaceRunout } from '../../core/stages/level/runouts'
import { clockFace } from './clockFace'
import { figure } from './figures'
import { leavesWords } from './leaves'
import { capital } from './capital'
import type { Telling } from './telling'

export const slopeSize = (slope: number, { units }: Telling): string =>
  figure(Math.abs(slope), 'slope', units, { unit: true })

const small = (t: number, { units }: Telling, extra = 0) =>
  figure(Math.abs(t), 'displacement', units, { unit: true, extra })

/** `far end 0.57 mil/in high`, or `level`. */
export const shaftSlopeWords = (shaft: Pick<ShaftLevel, 'rise'>, telling: Telling): string => {
  const w = levelWords(telling.words)
  if (!/[1-9]/.test(figure(Math.abs(shaft.rise), 'slope', telling.units))) return w.levelShaft
  return w.rises(slopeSize(shaft.rise, telling), w.ends[shaft.rise > 0 ? 'far' : 'coupling'])
}

/** `motor hub rim`. */
export const surfaceName = (
  { machine, surface }: Pick<SurfaceRunout, 'machine' | 'surface'>,
  names: MachineNames,
  telling: Telling,
): string => levelWords(telling.words).surfaces[surface](names[machine])

/** What the levels mean: one sentence for every state they can be in. */
export const meaningOfLevels = (levels: Levels, names: MachineNames, telling: Telling): Meaning => {
  const w = levelWords(telling.words)
  const h = w.headlines
  const limit = w.limit(slopeSize(LEVEL_LIMIT, telling))
  const say = (mark: Meaning['mark'], headline: string, detail = limit): Meaning => ({
    mark,
    headline,
    detail,
  })
  const other = levels.stationary ? slopeSize(levels.stationary.rise, telling) : ''
  switch (levels.says) {
    case 'nothing':
      return say('todo', h.begin, h.beginDetail)
    case 'other-first':
      return say('todo', h.otherFirst(names.stationary))
    case 'this-first':
      return say('todo', h.thisFirst(names.stationary, names.movable))
    case 'leave':
      return say(
        'done',
        levels.movable?.verdict === 'out'
          ? h.leaveToo(names.stationary, other)
          : h.leave(names.stationary, other),
      )
    case 'shim': {
      const rise = levels.movable?.rise ?? 0
      return say(
        'out',
        h.shim(names.movable, w.ends[rise > 0 ? 'coupling' : 'far'], slopeSize(rise, telling)),
      )
    }
    case 'level':
      return say('in', h.level)
    case 'again':
      return say('stale', h.again, '')
  }
}

/** What was turned under a dial means. */
export const meaningOfRunouts = (runouts: Runouts, names: MachineNames, telling: Telling): Meaning => {
  const h = levelWords(telling.words).headlines
  if (runouts.verdict === null) return { mark: 'todo', headline: h.noTurn, detail: h.noTurnDetail }
  const worst = [...runouts.surfaces].sort(
    (a, b) => b.result.tir / b.result.limit - a.result.tir / a.result.limit,
  )[0]
  if (runouts.verdict === 'in' || !worst)
    return { mark: 'in', headline: h.runsTrue(runouts.surfaces.length), detail: '' }
  const what = surfaceName(worst, names, telling)
  const by = small(worst.result.tir, telling)
  return {
    mark: runouts.verdict,
    headline: runouts.verdict === 'out' ? h.runsOut(what, by) : h.runsNear(what, by),
    detail: '',
  }
}

/** The stage in one sentence: a hub that runs out first, then the levels, else what was turned. */
export const meaningOfLevelStage = (
  levels: Levels,
  runouts: Runouts,
  names: MachineNames,
  telling: Telling,
): Meaning =>
  runouts.verdict === 'out' || (levels.says === 'nothing' && runouts.verdict !== null)
    ? meaningOfRunouts(runouts, names, telling)
    : meaningOfLevels(levels, names, telling)

/** What levels the movable machine, in sentences: how much, under which end, from which leaves. */
export const levelCureWords = (
  cure: LevelCure,
  machine: CoupledMachine,
  telling: Telling,
): { readonly headline: string; readonly rest: readonly string[] } => {
  const { footNames } = telling
  const w = levelWords(telling.words).cure
  const wanted = (pair: string) => cure.shares.find((s) => s.pair === pair)?.wanted ?? 0
  const between = cure.shares.filter((s) => s.pair !== cure.pair && s.wanted > 1e-6)
  const stock = leavesWords(cure.leaves, machine.feet.movable, telling)
  return {
    headline: w.shim(small(wanted(cure.pair), telling), footNames(cure.pair)),
    rest: [...between.map((s) => w.middle(small(s.wanted, telling), footNames(s.pair))), ...stock, w.then],
  }
}

/** What one turn tells of a surface: eccentric, wobbling, oval; where to strike; what it can't tell yet. */
export const runoutWords = (
  surface: SurfaceRunout,
  all: Runouts,
  rpm: number,
  effect: RunoutEffect,
  telling: Telling,
): readonly string[] => {
  const w = levelWords(telling.words).runout
  const { first, second, slope, limit, verdict, strikeAt } = surface.result
  const { readings } = surface.entry.payload
  const at = clockFace(first.highAt)
  const by = small(first.amplitude, telling, 1)
  const swing = { rim: w.centre, face: w.wobble, shaft: w.bends }[surface.surface](by, at)
  const oval =
    second === null
      ? [w.fewForOval]
      : surface.oval
        ? [
            w.oval(
              small(second.amplitude, telling, 1),
              clockFace(second.highAt),
              clockFace(second.highAt + 180),
            ),
          ]
        : []
  const shaft = all.surfaces.find((s) => s.machine === surface.machine && s.surface === 'shaft')
  const cause =
    surface.surface === 'shaft' || verdict === 'in'
      ? []
      : shaft === undefined
        ? [w.readShaft]
        : [shaft.result.first.amplitude >= first.amplitude / 2 ? w.shaftToo : w.shaftTrue]
  return [
    capital(w.source[surface.source](small(limit, telling), rpm)) + '.',
    swing,
    ...(slope === null ? [] : [w.wobbleSlope(slopeSize(slope, telling))]),
    ...oval,
    ...(verdict === 'in'
      ? []
      : [surface.surface === 'face' ? w.strikeFace(clockFace(strikeAt)) : w.strike(clockFace(strikeAt))]),
    ...cause,
    ...(surface.surface === 'shaft' ? [] : [w.effect[effect]]),
    ...(new Set(readings.map((r) => r.clock)).size === 8 ? [w.eight] : []),
  ]
}
