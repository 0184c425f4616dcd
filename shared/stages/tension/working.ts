import { beltSpeed } from '../../../core/belt/geometry'
import { factorsOf } from '../../../core/belt/beltLimits'
import { designTension, type BeltAge } from '../../../core/belt/tension'
import type { BeltMachine } from '../../../core/register/beltMachine'
import { loadOf, massOf, pushedTogether, stiffnessOf } from '../../../core/stages/tension/band'
import type { TensionRead } from '../../../core/stages/tension/tension'
import type { TurnsToGive } from '../../../core/stages/tension/turns'
import { toCore } from '../../../core/units/unitSystem'
import { tensionWords } from '../../wording/en'
import { gapFigure } from '../../wording/figures'
import { forceFigure, percent } from '../../wording/forces'
import { beltName, readingFigure } from '../../wording/tension'
import type { Telling } from '../../wording/telling'
import type { WorkingStep } from '../../working/step'

/** How span, tension, spread, band and turns follow, with this drive's numbers put in. */
export const tensionWorking = (
  read: TensionRead,
  machine: BeltMachine,
  give: TurnsToGive | null,
  telling: Telling,
): readonly WorkingStep[] => {
  const w = tensionWords(telling.words).working
  const { units } = telling
  const f = (x: number) => forceFigure(x, units, true)
  const mm = (x: number) => gapFigure(x, telling, true)
  const { drive, belts, entry } = read
  const { read: by, units: was, sheaves, age } = entry.payload
  const span: WorkingStep = {
    name: w.span,
    formula: w.spanFormula,
    substituted: `${mm(drive.centre)} × cos(asin((${mm(drive.large)} − ${mm(drive.small)}) / 2 × ${mm(drive.centre)}))`,
    result: mm(drive.span),
  }
  const ea = stiffnessOf(machine)
  const together = pushedTogether(machine)
  const of = belts.flatMap((b, i): readonly WorkingStep[] => {
    if (b.tension === null) return []
    const name = w.tension(beltName(i, belts.length, telling))
    const value = readingFigure(read, b.value, telling, true)
    const length = mm(sheaves === 'free' ? drive.pitchLength : drive.span)
    switch (by.by) {
      case 'force':
      case 'deflection': {
        const pushed = by.by === 'force' ? value : f(toCore(by.force, 'force', was))
        const force = together > 1 ? `(${pushed} / ${String(together)})` : pushed
        const q = by.by === 'force' ? mm(toCore(by.deflection, 'distance', was)) : value
        const stretch = ea === 0 ? '' : ` − ${f(ea)} × 2 × (${q})² / (${mm(drive.span)} × ${length})`
        return [
          {
            name,
            formula: w.forceFormula,
            substituted: `${force} × ${mm(drive.span)} / (4 × ${q})${stretch}`,
            result: f(b.tension),
          },
        ]
      }
      case 'frequency':
        return [
          {
            name,
            formula: w.frequencyFormula,
            substituted: `4 × ${String(massOf(machine)?.toPrecision(3))} kg/m × (${(drive.span / 1000).toFixed(4)} m)² × (${value})²`,
            result: f(b.tension),
          },
        ]
      case 'marks':
        return [
          {
            name,
            formula: w.marksFormula,
            substituted: `${f(ea)} × (${value} / ${mm(toCore(by.slack, 'distance', was))} − 1)`,
            result: f(b.tension),
          },
        ]
      default:
        return []
    }
  })
  const mean: readonly WorkingStep[] =
    read.mean === null || belts.length < 2
      ? []
      : [
          {
            name: w.mean,
            formula: w.meanFormula,
            substituted: `(${belts.map((b) => forceFigure(b.tension ?? 0, units)).join(' + ')}) / ${String(belts.length)}`,
            result: f(read.mean),
          },
          {
            name: w.spread,
            formula: w.spreadFormula,
            substituted: `(${f(Math.max(...belts.map((b) => b.tension ?? 0)))} − ${f(Math.min(...belts.map((b) => b.tension ?? 0)))}) / ${f(read.mean)}`,
            result: percent(read.spread),
          },
        ]
  return [span, ...of, ...mean, ...bandSteps(read, machine, age, telling), ...turnSteps(read, give, telling)]
}

const bandSteps = (
  read: TensionRead,
  machine: BeltMachine,
  age: BeltAge,
  telling: Telling,
): readonly WorkingStep[] => {
  const w = tensionWords(telling.words).working
  const f = (x: number) => forceFigure(x, telling.units, true)
  const { band, drive } = read
  if (!band) return []
  const [low, high] = band.tension
  const result = `${f(low)} – ${f(high)}`
  if (band.source === 'sticker') {
    const { stickerLow = 0, stickerHigh = 0, stickerDeflection = 0 } = machine.tension ?? {}
    const own = (x: number) => f(toCore(x, 'force', machine.units))
    const at = gapFigure(toCore(stickerDeflection, 'distance', machine.units), telling, true)
    return [
      {
        name: w.band,
        formula: w.stickerFormula,
        substituted: `${own(stickerLow)} – ${own(stickerHigh)}, ${at}`,
        result,
      },
    ]
  }
  const load = loadOf(machine, drive)
  if (!load) return []
  const design = designTension(drive, load)
  const v = beltSpeed(drive.small, load.rpm)
  const [from, to] = factorsOf(machine, age).value
  const kg = load.mass.toPrecision(3)
  return [
    {
      name: w.effective,
      formula: w.effectiveFormula,
      substituted: `${String(load.power)} W × ${String(load.serviceFactor)} / ${v.toFixed(2)} m/s`,
      result: f(design.effective),
    },
    {
      name: w.ratio,
      formula: w.ratioFormula,
      substituted: `${String(load.ratioAt180)} ^ (${((drive.wrapSmall * 180) / Math.PI).toFixed(1)}° / 180°)`,
      result: design.ratio.toFixed(3),
    },
    {
      name: w.design,
      formula: w.designFormula,
      substituted: `(${f(design.effective)} / ${String(load.belts)}) × (${design.ratio.toFixed(3)} + 1) / (2 × (${design.ratio.toFixed(3)} − 1)) + ${kg} kg/m × (${v.toFixed(2)} m/s)²`,
      result: f(design.staticTension),
    },
    {
      name: w.band,
      formula: w.bandFormula,
      substituted: `${f(design.staticTension)} × ${String(from)} – ${String(to)}`,
      result,
    },
  ]
}

const turnSteps = (read: TensionRead, give: TurnsToGive | null, telling: Telling): readonly WorkingStep[] => {
  const w = tensionWords(telling.words).working
  if (!give || give.perTurn === null || read.mean === null) return []
  const f = (x: number) => forceFigure(x, telling.units, true)
  return [
    {
      name: w.turns,
      formula: w.turnsFormula,
      substituted: `(${f(give.target)} − ${f(read.mean)}) / ${f(give.perTurn)}`,
      result: ((give.target - read.mean) / give.perTurn).toFixed(2).replace('-', '−'),
    },
  ]
}
