import type { Misalignment } from '../../../core/frame/planes'
import type { HotCheck } from '../../../core/stages/hotCheck/hotCheck'
import type { LeftCold } from '../../../core/stages/hotCheck/entries'
import type { TargetPayload } from '../../../core/stages/target/entries'
import type { ColdTarget } from '../../../core/stages/target/target'
import { fromCore, type UnitSystem } from '../../../core/units/unitSystem'

/** A line as a payload says it; a plane nobody measured stays as `otherwise` has it. */
const asSaid = (line: Misalignment, otherwise: Misalignment, units: UnitSystem): LeftCold['line'] => {
  const of = (q: 'offset' | 'slope', p: 'v' | 'h') =>
    Number(
      fromCore(
        line[q][p] ?? otherwise[q][p] ?? 0,
        q === 'offset' ? 'displacement' : 'slope',
        units,
      ).toPrecision(9),
    )
  return {
    offset: { v: of('offset', 'v'), h: of('offset', 'h') },
    slope: { v: of('slope', 'v'), h: of('slope', 'h') },
  }
}

/** The target that a hot check asks for, learned from it; null while it says none. */
export const newTarget = (
  hot: HotCheck,
  before: ColdTarget,
  learned: NonNullable<TargetPayload['learned']>,
  units: UnitSystem,
): TargetPayload | null =>
  hot.target && {
    units,
    given: { way: 'line', line: asSaid(hot.target, before.line, units) },
    source: '',
    learned,
  }

/** The target as it was, borne out by a hot check. */
export const keptTarget = (
  before: ColdTarget,
  learned: NonNullable<TargetPayload['learned']>,
  units: UnitSystem,
): TargetPayload => ({
  ...(before.payload ?? { units, given: { way: 'none' }, source: '' }),
  learned,
})

/** Where the job before left it, as a hot run of this one starts from. */
export const leftBefore = (
  left: { readonly job: string; readonly closedAt: string; readonly coupling: Misalignment },
  units: UnitSystem,
): LeftCold | null => {
  const { offset, slope } = left.coupling
  if ([offset.v, offset.h, slope.v, slope.h].some((x) => x === null)) return null
  return { units, line: asSaid(left.coupling, left.coupling, units), job: left.job, on: left.closedAt }
}
