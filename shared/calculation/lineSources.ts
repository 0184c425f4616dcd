import type { z } from 'zod'
import { gapStraightedge } from '../../core/coupling/gapStraightedge'
import type { FootPlane } from '../../core/coupling/feet'
import type { Misalignment } from '../../core/frame/planes'
import { done, refused, type Outcome } from '../../core/outcome'
import type { UnitSystem } from '../../core/units/unitSystem'
import { arrangementModel } from '../../core/uncertainty/arrangementModel'
import { dialLine } from '../../core/uncertainty/dialLine'
import { feelerLine } from '../../core/uncertainty/feelerLine'
import type { LineModel } from '../../core/uncertainty/lineModel'
import { footValuesLine, typedLine } from '../../core/uncertainty/typedLine'
import { DIAL_METHODS, parseMethod } from '../methods/contracts'
import { trustLimits } from './couplingMethod'
import { couplingValuesInput } from './couplingValues'
import { footValuesInput } from './footValues'
import { feelersOf, gapStraightedgeInput } from './gapStraightedge'
import { issuesOf } from './issues'
import type { Issue } from './operation'
import { inputToCore } from './unitConversion'

/** A method's input as the source of a line with errors, in core units. */
export interface LineSource {
  readonly feet: readonly FootPlane[]
  readonly target?: Misalignment
  /** `slopeSd`: of slopes that were typed as they are. */
  readonly line: (slopeSd: number) => Outcome<LineModel>
}

type Parsed =
  | { readonly ok: true; readonly source: LineSource }
  | { readonly ok: false; readonly issues: readonly Issue[] }

const by =
  <T extends { readonly units: UnitSystem }>(input: z.ZodType<T>, source: (given: T) => LineSource) =>
  (raw: unknown): Parsed => {
    const parsed = input.safeParse(raw)
    return parsed.success
      ? { ok: true, source: source(inputToCore(input, parsed.data, parsed.data.units)) }
      : { ok: false, issues: issuesOf(parsed.error) }
  }

/** Methods without a dial. One row a method. */
const OTHERS = {
  'gap-straightedge': by(gapStraightedgeInput, (given) => ({
    ...given,
    line: () => {
      const measured = gapStraightedge(feelersOf(given), trustLimits(given))
      return measured.ok ? feelerLine(feelersOf(given)) : measured
    },
  })),
  'coupling-values': by(couplingValuesInput, (given) => ({
    ...given,
    line: (slopeSd) => done(typedLine(given.coupling, slopeSd)),
  })),
  'foot-values': by(footValuesInput, (given) => ({
    ...given,
    feet: given.feet ?? given.values,
    line: () => done(footValuesLine(given.values, given.kind)),
  })),
} as const

type Other = keyof typeof OTHERS
const isOther = (name: string): name is Other => Object.hasOwn(OTHERS, name)

/** Every method whose line can be spread. */
export const LINE_METHODS = [...DIAL_METHODS, ...(Object.keys(OTHERS) as Other[])] as [string, ...string[]]

/** Parses the input of any method as the source of a line. */
export const parseLineSource = (name: string, raw: unknown): Parsed => {
  if (isOther(name)) return OTHERS[name](raw)
  const parsed = parseMethod(name, raw)
  if (!parsed.ok) return parsed
  const { given, arrange, measure } = parsed.method
  return {
    ok: true,
    source: {
      ...given,
      line: () => {
        const measured = measure()
        if (!measured.ok) return measured
        const arranged = arrange()
        if (!arranged.ok) return arranged
        const model = arrangementModel(arranged.value.arrangement)
        return model ? done(dialLine(model)) : refused('not-a-dial-method', ['operation'])
      },
    },
  }
}
