import { softFootWords, workingWords } from '../wording/en'
import { quickWords } from '../wording/viewWords'
import { EXPANSION, type Material } from '../../core/growth/materials'
import type { LogEntry } from '../../core/logbook/entry'
import { runout } from '../../core/runout/runout'
import { measureRound } from '../../core/stages/measure/measurement'
import { readSet } from '../../core/stages/measure/readingSet'
import { settleSetUp } from '../../core/stages/setUp/setUp'
import { toCore, type Measured, type UnitSystem } from '../../core/units/unitSystem'
import { runoutWorking } from '../stages/level/working'
import { readingsWorking } from '../stages/measure/working'
import type { WorkingStep } from '../working/step'
import { quantityName } from '../wording/quantities'
import { tellingOf, type Telling } from '../wording/telling'
import type { QuickSumId } from '../wording/en/sums'
import { isMeasuring, measurementEntries, UNJUDGED } from './keepMeasurement'
import { shownFigure } from './resultRows'

type Told = Readonly<Record<string, unknown>>
interface Sum {
  readonly input: Told
  readonly result: Told
  readonly units: UnitSystem
  readonly telling: Telling
}
type Work = (sum: Sum) => readonly WorkingStep[]

const num = (r: unknown, key: string): number | null => {
  const v = (r as Told | null | undefined)?.[key]
  return typeof v === 'number' ? v : null
}
const list = (r: Told, key: string): readonly Told[] => (Array.isArray(r[key]) ? (r[key] as Told[]) : [])
const plain = (x: number): string => String(Number(x.toPrecision(6))).replace('-', '−')
/** Without its unit: it stands in a formula whose units are its own. */
const bare = (x: number | null): string => (x === null ? '?' : plain(x))
const shown = ({ units }: Sum, x: number, measured: Measured) => shownFigure(x, measured, units)

const COUPLED_PARTS = [
  ['offset', 'displacement'],
  ['slope', 'slope'],
] as const
/** One line less another, quantity by quantity. */
const less =
  (from: string, what: string, into: string): Work =>
  (sum) => {
    const w = quickWords.steps
    return COUPLED_PARTS.flatMap(([part, measured]) =>
      (['v', 'h'] as const).flatMap((plane): WorkingStep[] => {
        const at = (r: Told, key: string) => num(((r[key] as Told | undefined) ?? {})[part], plane)
        const [a, b, c] = [at(sum.input, from), at(sum.input, what), at(sum.result, into)]
        if (a === null || b === null || c === null) return []
        return [
          {
            name: quantityName(`${part}.${plane}`, sum.telling),
            formula: `${w.parts[from as keyof typeof w.parts] ?? from} − ${w.parts[what as keyof typeof w.parts] ?? what}`,
            substituted: `${bare(a)} − ${b < 0 ? `(${bare(b)})` : bare(b)}`,
            result: shown(sum, c, measured),
          },
        ]
      }),
    )
  }

const level: Work = (sum) => {
  const { input, result } = sum
  const w = quickWords.steps
  const [feeler, length, bolts] = [
    num(input, 'feeler'),
    num(input, 'supportedLength'),
    num(input, 'boltSpacing'),
  ]
  const shim = num(result, 'shim')
  if (bolts === null || shim === null) return []
  const last = (slope: number, per: number): WorkingStep => ({
    name: w.shim,
    formula: w.shimFormula,
    substituted: `${bare(slope)} × ${bare(bolts)}${per === 1 ? '' : ` / ${per}`}`,
    result: shown(sum, shim, 'displacement'),
  })
  const per = sum.units === 'metric' ? 100 : 1
  if (feeler !== null && length !== null && length !== 0) {
    const slope = (feeler / length) * per
    return [
      {
        name: w.slope,
        formula: w.slopeByFeeler,
        substituted: `${bare(feeler)} / ${bare(length)}${per === 1 ? '' : ` × ${per}`}`,
        result: shown(sum, slope, 'slope'),
      },
      last(slope, per),
    ]
  }
  const [divisions, reversed, sensitivity] = [
    num(input, 'divisions'),
    num(input, 'reversedDivisions'),
    num(input, 'sensitivity'),
  ]
  if (divisions === null || sensitivity === null) return []
  const half = reversed === null ? divisions : (divisions - reversed) / 2
  return [
    {
      name: w.slope,
      formula: reversed === null ? w.slopeByDivisions : w.slopeReversed,
      substituted:
        reversed === null
          ? `${bare(divisions)} × ${bare(sensitivity)}`
          : `(${bare(divisions)} − ${reversed < 0 ? `(${bare(reversed)})` : bare(reversed)}) / 2 × ${bare(sensitivity)}`,
      result: shown(sum, half * sensitivity, 'slope'),
    },
    last(half * sensitivity, per),
  ]
}

const softFoot: Work = (sum) => {
  const w = softFootWords(sum.telling.words).working
  const rises = sum.input.rises as Told
  const f = (foot: string) => num(rises, foot) ?? 0
  const mean = (a: string, b: string): WorkingStep => ({
    name: w.mean(a as 'f1', b as 'f2'),
    formula: `(${a} + ${b}) / 2`,
    substituted: `(${bare(f(a))} + ${bare(f(b))}) / 2`,
    result: shown(sum, (f(a) + f(b)) / 2, 'displacement'),
  })
  const steps: WorkingStep[] = [
    mean('f1', 'f3'),
    mean('f2', 'f4'),
    {
      name: w.twist,
      formula: w.twistFormula,
      substituted: `|${bare(f('f1'))} − ${bare(f('f2'))} + ${bare(f('f3'))} − ${bare(f('f4'))}| / 2`,
      result: shown(sum, Math.abs(f('f1') - f('f2') + f('f3') - f('f4')) / 2, 'displacement'),
    },
  ]
  const fill = sum.result.fill as { foot: 'f1' | 'f2' | 'f3' | 'f4'; thickness: number } | null
  if (!fill) return steps
  const diagonals = [
    ['f1', 'f3'],
    ['f2', 'f4'],
  ] as const
  const own = diagonals.find((d) => (d as readonly string[]).includes(fill.foot)) ?? diagonals[0]
  const other = diagonals.find((d) => d !== own) ?? diagonals[1]
  const apart = Math.max(...own.map(f)) - Math.min(...other.map(f))
  const share = apart === 0 ? 1 : fill.thickness / apart
  return [
    ...steps,
    {
      name: w.fill(fill.foot),
      formula: w.fillFormula,
      substituted: `${bare(Math.max(...own.map(f)))} − ${bare(Math.min(...other.map(f)))}${Math.abs(share - 1) < 1e-6 ? '' : ` × ${plain(share)}`}`,
      result: shown(sum, fill.thickness, 'displacement'),
      note: w.fillNote,
    },
  ]
}

const turnedHub: Work = ({ input, units, telling }) => {
  const rpm = num(input, 'rpm')
  const limit = num(input, 'limit')
  const readings = list(input, 'readings').map((r) => ({
    clock: num(r, 'clock') ?? 0,
    value: num(r, 'value') ?? 0,
  }))
  const surface = input.surface === 'face' ? 'face' : 'rim'
  const found = runout({
    readings: readings.map((r) => ({ ...r, value: toCore(r.value, 'displacement', units) })),
    surface,
    limit: limit === null ? 1 : toCore(limit, 'displacement', units),
  })
  if (!found.ok) return []
  const steps = runoutWorking(
    {
      entry: { payload: { units, readings } } as unknown as LogEntry<'runout-read'>,
      machine: 'movable',
      surface,
      result: found.value,
      source: 'own',
      oval: false,
    },
    rpm ?? 0,
    telling,
  )
  return limit === null ? steps.slice(0, -1) : steps
}

/** What a machine's foot rises by, from its material or as it was given. */
const growth: Work = (sum) =>
  list(sum.result, 'machines').flatMap((machine) =>
    list(machine, 'feet').flatMap((foot): WorkingStep[] => {
      const w = quickWords.steps
      const given = list(sum.input, 'machines').find((m) => m.role === machine.role)?.feet as
        readonly Told[] | undefined
      const own = given?.find((g) => g.id === foot.id)
      const [height, cold, run] = [num(own, 'height'), num(own, 'coldTemp'), num(own, 'runTemp')]
      const rise = num(foot.rise, 'v')
      if (!own || height === null || cold === null || run === null || rise === null) return []
      const alpha = num(own, 'alpha') ?? EXPANSION[own.material as Material]
      return [
        {
          name: w.rise(w.roles[machine.role as 'movable' | 'stationary'], String(foot.id)),
          formula: w.riseFormula,
          substituted: `${alpha} × ${bare(height)} × (${bare(run)} − ${bare(cold)})${sum.units === 'inch' ? ' / 1.8 × 1000' : ''}`,
          result: shown(sum, rise, 'displacement'),
        },
      ]
    }),
  )

const axialGap: Work = (sum) => {
  const w = quickWords.steps
  const { input, result } = sum
  const cold = num(result, 'coldGap')
  const grows = num(result, 'growth')
  if (cold === null || grows === null) return []
  const terms = list(input, 'shafts').map((s) => {
    const alpha = num(s, 'alpha') ?? EXPANSION[s.material as Material]
    const sign = s.closesGap === false ? '−' : ''
    return `${sign}${alpha} × ${bare(num(s, 'length'))} × (${bare(num(s, 'runTemp'))} − ${bare(num(s, 'coldTemp'))})`
  })
  return [
    {
      name: w.shaftsGrow,
      formula: w.shaftsGrowFormula,
      substituted: `${terms.length > 1 ? `(${terms.join(' + ')})` : terms.join('')}${sum.units === 'inch' ? ' / 1.8' : ''}`,
      result: shown(sum, grows, 'distance'),
    },
    {
      name: w.coldGap,
      formula: w.coldGapFormula,
      substituted: `${bare(num(input, 'runningGap'))} + ${bare(grows)}`,
      result: shown(sum, cold, 'distance'),
    },
  ]
}

const tightening: Work = (sum) => {
  const w = quickWords.steps
  const { input, result } = sum
  const [d, pitch, area, load, torque] = [
    num(input, 'diameter'),
    num(input, 'pitch'),
    num(result, 'tensileArea'),
    num(result, 'preload'),
    num(result, 'torque'),
  ]
  if (d === null || pitch === null || area === null || load === null || torque === null) return []
  const passes = list(result, 'passes').map((p): WorkingStep => {
    const share = Math.round((num(p, 'share') ?? 0) * 100)
    return {
      name: w.pass(String(share)),
      formula: w.passFormula,
      substituted: `${bare(torque)} × ${share} %`,
      result: shown(sum, num(p, 'torque') ?? 0, 'torque'),
    }
  })
  if (num(input, 'makerTorque') !== null) return passes
  const k = num(input, 'nutFactor') ?? (input.lubrication === 'oiled' ? 0.15 : 0.2)
  return [
    {
      name: w.preload,
      formula: w.preloadFormula,
      substituted: `0.75 × ${bare(load / 0.75 / area)} × ${bare(area)}`,
      result: shown(sum, load, 'force'),
    },
    {
      name: w.torque,
      formula: w.torqueFormula,
      substituted: `${plain(k)} × ${bare(d)} × ${bare(load)}${sum.units === 'inch' ? ' / 12' : ' / 1000'}`,
      result: shown(sum, torque, 'torque'),
    },
    ...passes,
  ]
}

const judge: Work = ({ result, units, telling }) => {
  const w = workingWords(telling.words).judged
  return list(result, 'quantities').flatMap((q): WorkingStep[] => {
    const [value, low, high, margin] = [num(q, 'value'), num(q, 'low'), num(q, 'high'), num(q, 'margin')]
    if (value === null || margin === null) return []
    const kind = q.kind === 'slope' ? ('slope' as const) : ('displacement' as const)
    const f = (x: number | null) => (x === null ? '' : shownFigure(x, kind, units))
    return [
      {
        name: w.margin(quantityName(String(q.name), telling).toLowerCase()),
        formula: low === null || high === null ? w.oneSided : w.twoSided,
        substituted: w.within(f(value), f(low), f(high)),
        result: margin.toFixed(2).replace('-', '−'),
      },
    ]
  })
}

const shimPack: Work = (sum) => {
  const w = quickWords.steps
  const leaves = list(sum.result, 'pack').map((l) => num(l, 'thickness') ?? 0)
  const [total, error, wanted] = [
    num(sum.result, 'total'),
    num(sum.result, 'error'),
    num(sum.input, 'thickness'),
  ]
  if (total === null || error === null) return []
  return [
    {
      name: w.pack,
      formula: '',
      substituted: leaves.map(bare).join(' + '),
      result: shown(sum, total, 'displacement'),
    },
    {
      name: w.packError,
      formula: w.packErrorFormula,
      substituted: `${bare(total)} − ${bare(wanted)}`,
      result: shown(sum, error, 'displacement'),
    },
  ]
}

const NO_TARGET = { offset: { v: 0, h: 0 }, slope: { v: 0, h: 0 } }

/** A measuring sum unfolds as its stage does: sums, fit, sag and lever, the coupling, the feet. */
const measuring: Work = ({ input, units, telling }) => {
  const id = String(input.operation)
  if (!isMeasuring(id)) return []
  const found = measurementEntries(id, input, null)
  if (!found) return []
  const [setUpBody, readingsBody] = found
  const entry = (body: object, at: string) =>
    ({ ...body, id: at, author: '', madeAt: '2000-01-01T00:00:00.000Z', receivedAt: null }) as unknown
  const setUp = settleSetUp(entry(setUpBody, 'set-up') as LogEntry<'set-up'>)
  const set = readSet(entry(readingsBody, 'set') as LogEntry<'readings-taken'>, setUp, UNJUDGED)
  const measured = measureRound(UNJUDGED, NO_TARGET, { set, usedAnyway: null, leftOut: null })
  return readingsWorking(
    { ...measured, judgement: null },
    { rpm: 0, source: '' },
    { ...tellingOf(units, null), words: telling.words },
  )
}

const WORKS: Partial<Record<QuickSumId, Work>> = {
  'rim-face': measuring,
  'reverse-rim': measuring,
  'spacer-faces': measuring,
  heads: measuring,
  'coupling-values': measuring,
  'foot-values': measuring,
  level,
  'soft-foot': softFoot,
  runout: turnedHub,
  growth,
  'hot-check': less('cold', 'hot', 'target'),
  strain: less('coupled', 'uncoupled', 'difference'),
  'axial-gap': axialGap,
  tightening,
  judge,
  'shim-pack': shimPack,
}

/**
 * The answer of a sum unfolded: each number's formula with this sum's figures in it. Empty for a sum whose numbers come out
 * of a search or a draw; the formula of its page stands there instead. `input` has passed the operation's own schema.
 */
export const workingOf = (
  id: string,
  input: unknown,
  result: unknown,
  telling: Telling,
): readonly WorkingStep[] => {
  const work = Object.hasOwn(WORKS, id) ? WORKS[id as QuickSumId] : undefined
  if (!work || typeof input !== 'object' || typeof result !== 'object') return []
  const { units } = telling
  return work({ input: { ...(input as Told), operation: id }, result: result as Told, units, telling })
}
