import { conflict, defineStage, invalid, type Objection } from '../../logbook/stage'
import { handsMayGo, type Safety } from './safety'

/** Lockout first, for every kind of job; it is never passed over. */
export const makeSafe = defineStage({
  id: 'make-safe',
  writes: ['safety-confirmed', 'power-restored', 'lockout-waived'],
  skip: 'never',
  mark: ({ safety }: { readonly safety: Safety }) =>
    safety.missing.length === 0 ? 'done' : safety.lost ? 'stale' : 'todo',
  wants: ({ safety }) => !handsMayGo(safety),
  objection: ({ safety }, entry) =>
    entry.kind === 'safety-confirmed' && !safety.points.includes(entry.payload.point)
      ? invalid('no-such-point', 'payload', 'point')
      : null,
})

/** What every stage with hands at the machine says while the lockout is missing or broken. */
export const lockoutObjection = (safety: Safety): Objection | null =>
  handsMayGo(safety) ? null : conflict('not-safe')
