import type { MachineNames } from '../../wording/machineNames'
import { levelWords } from '../../wording/en'
import type { LevelCure, Levels } from '../../../core/stages/level/levels'
import type { SurfaceRunout } from '../../../core/stages/level/runouts'
import { toCore } from '../../../core/units/unitSystem'
import { clockFace } from '../../wording/clockFace'
import { figure } from '../../wording/figures'
import type { Telling } from '../../wording/telling'
import { levelReadingStep } from './readingStep'
import type { WorkingStep } from '../../working/step'

/** The slope of each shaft, and the shim that levels the machine that is moved. */
export const levelWorking = (
  levels: Levels,
  cure: LevelCure | null,
  names: MachineNames,
  telling: Telling,
): readonly WorkingStep[] => {
  const w = levelWords(telling.words).working
  const { units } = telling
  const slope = (x: number) => figure(x, 'slope', units, { extra: 1 })
  const steps = ([levels.stationary, levels.movable] as const).flatMap((shaft): WorkingStep[] => {
    if (!shaft) return []
    const { machine, reading, units: was } = shaft.entry.payload
    return [levelReadingStep(w.slope(names[machine]), reading, was, shaft.rise, telling)]
  })
  const shim = cure?.shares.find((s) => s.pair === cure.pair)
  if (!cure || !shim || !levels.movable) return steps
  return [
    ...steps,
    {
      name: w.shim,
      formula: w.shimFormula,
      substituted: `${slope(Math.abs(levels.movable.rise))} × ${figure(cure.spacing, 'distance', units)}`,
      result: figure(shim.wanted, 'displacement', units, { extra: 1 }),
    },
  ]
}

/** What a turn comes to, harmonic by harmonic. */
export const runoutWorking = (
  surface: SurfaceRunout,
  rpm: number,
  telling: Telling,
): readonly WorkingStep[] => {
  const w = levelWords(telling.words).working
  const { result, entry } = surface
  const shown = (x: number) => figure(x, 'displacement', telling.units, { extra: 1 })
  const values = entry.payload.readings.map((r) => toCore(r.value, 'displacement', entry.payload.units))
  return [
    {
      name: w.tir,
      formula: w.tirFormula,
      substituted: `${shown(Math.max(...values))} − ${shown(Math.min(...values))}`,
      result: shown(result.tir),
    },
    {
      name: w.first,
      formula: w.firstFormula,
      substituted: clockFace(result.first.highAt),
      result: shown(result.first.amplitude),
    },
    ...(result.second
      ? [
          {
            name: w.second,
            formula: w.secondFormula,
            substituted: `${clockFace(result.second.highAt)}, ${clockFace(result.second.highAt + 180)}`,
            result: shown(result.second.amplitude),
          },
        ]
      : []),
    { name: w.rest, formula: '', substituted: '', result: shown(result.residualRms) },
    ...(surface.source === 'speed'
      ? [
          {
            name: w.limit,
            formula: w.limitFormula,
            substituted: `7200 / ${rpm}`,
            result: shown(result.limit),
          },
        ]
      : []),
  ]
}
