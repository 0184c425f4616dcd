import type { z } from 'zod'
import { judge } from '../../core/judge/judge'
import { settleTolerance, type SettledTolerance } from '../../core/judge/tolerance'
import { ALIGNED, type Misalignment } from '../../core/frame/planes'
import { done, refused, type Outcome } from '../../core/outcome'
import { toleranceSource } from '../wording/tolerances'
import type { tolerance } from './fields'

type GivenTolerance = z.infer<typeof tolerance>

/** The limits a tolerance comes to at this speed; a speed rule without a speed is refused. */
export const settled = (given: GivenTolerance, rpm: number | undefined): Outcome<SettledTolerance> =>
  given.form === 'speed-rule' && rpm === undefined
    ? refused('speed-needed', ['rpm'])
    : done(settleTolerance(given, rpm ?? 1))

/** A judgement with the source of its limit, ready for a result. */
export const judged = (
  line: Misalignment,
  given: GivenTolerance,
  rpm: number | undefined,
  target: Misalignment = ALIGNED,
  sd: Misalignment | null = null,
) => {
  const limits = settled(given, rpm)
  if (!limits.ok) return limits
  const judgement = judge(line, limits.value, target, sd)
  return done({ ...judgement, source: toleranceSource(given, rpm ?? null) })
}
