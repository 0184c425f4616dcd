import type { CouplingMeasurement, DialArrangement } from '../../core/coupling/dialCircle'
import type { Outcome } from '../../core/outcome'
import type { UnitSystem } from '../../core/units/unitSystem'
import type { DialMethod, MethodGiven } from './couplingMethod'
import { headsMethod } from './heads'
import type { Issue } from './operation'
import { issuesOf } from './issues'
import { reverseRimMethod } from './reverseRim'
import { rimFaceMethod } from './rimFace'
import { spacerFacesMethod } from './spacerFaces'
import { inputToCore } from './unitConversion'

/** A method's input, parsed and in core units, with what can be asked of it. */
export interface ParsedMethod {
  readonly given: MethodGiven
  readonly measure: () => Outcome<CouplingMeasurement>
  readonly arrange: () => Outcome<DialArrangement>
}

type Parsed =
  | { readonly ok: true; readonly method: ParsedMethod }
  | { readonly ok: false; readonly issues: readonly Issue[] }

const parser =
  <T extends MethodGiven>(method: DialMethod<T>) =>
  (raw: unknown): Parsed => {
    const parsed = method.input.safeParse(raw)
    if (!parsed.success) return { ok: false, issues: issuesOf(parsed.error) }
    const units: UnitSystem = parsed.data.units
    const given = inputToCore(method.input, parsed.data, units)
    return {
      ok: true,
      method: { given, measure: () => method.measure(given), arrange: () => method.arrange(given) },
    }
  }

const PARSERS: Readonly<Record<string, (raw: unknown) => Parsed>> = {
  'rim-face': parser(rimFaceMethod),
  'reverse-rim': parser(reverseRimMethod),
  'spacer-faces': parser(spacerFacesMethod),
  heads: parser(headsMethod),
}

/** Methods whose readings go round the clock: those that can be repeated and spread. */
export const DIAL_METHODS = Object.keys(PARSERS) as [string, ...string[]]

/** Parses the input of any method with dials or heads. */
export const parseMethod = (name: string, raw: unknown): Parsed =>
  PARSERS[name]?.(raw) ?? {
    ok: false,
    issues: [{ path: '', message: `${name} has no readings round the clock.` }],
  }

/** Which method an input is for, by the fields that only it has; null when none fits. */
export const methodOf = (raw: unknown): string | null => {
  if (typeof raw !== 'object' || raw === null) return null
  if ('rim' in raw) return 'rim-face'
  if ('onStationary' in raw || 'onMovable' in raw) return 'reverse-rim'
  if ('atStationary' in raw || 'atMovable' in raw) return 'spacer-faces'
  if ('samples' in raw) return 'heads'
  return null
}
