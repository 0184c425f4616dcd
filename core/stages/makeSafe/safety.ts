import type { LogEntry } from '../../logbook/entry'
import { LOADED_SAFETY_POINTS, SAFETY_POINTS, type SafetyPoint } from './entries'

/** What brings the power back: somebody needed it, the motor is bumped, or the machine is run warm. */
export type PowerBack = LogEntry<'power-restored' | 'bump-begun' | 'hot-run-begun'>
type SafetyEntry = PowerBack | LogEntry<'safety-confirmed' | 'lockout-waived'>

/** How the lockout stands, and all that happened to it. */
export interface Safety {
  /** All that is asked for on this kind of machine, in the order it is done. */
  readonly points: readonly SafetyPoint[]
  /** What is confirmed now, latest last. */
  readonly confirmed: readonly LogEntry<'safety-confirmed'>[]
  readonly missing: readonly SafetyPoint[]
  readonly permit: string
  /** Power came back and the lockout was not made whole again since. */
  readonly lost: PowerBack | null
  /** Why no lockout is needed, while that holds. */
  readonly waived: LogEntry<'lockout-waived'> | null
  /** Every confirmation, return of power and waiver, oldest first. */
  readonly history: readonly SafetyEntry[]
}

const unsafe = (points: readonly SafetyPoint[]): Safety => ({
  points,
  confirmed: [],
  missing: points,
  permit: '',
  lost: null,
  waived: null,
  history: [],
})
export const UNSAFE = unsafe(SAFETY_POINTS)
/** Nothing is safe yet of a machine with a load on its shaft. */
export const UNSAFE_LOADED = unsafe(LOADED_SAFETY_POINTS)

export const keepSafety = (now: Safety, e: LogEntry): Safety => {
  switch (e.kind) {
    case 'power-restored':
    case 'bump-begun':
    case 'hot-run-begun':
      return {
        ...now,
        confirmed: [],
        missing: now.points,
        lost: e,
        waived: null,
        history: [...now.history, e],
      }
    case 'lockout-waived':
      return { ...now, waived: e, history: [...now.history, e] }
    case 'safety-confirmed': {
      const { point, permit } = e.payload
      const confirmed = [...now.confirmed.filter((c) => c.payload.point !== point), e]
      const missing = now.points.filter((p) => !confirmed.some((c) => c.payload.point === p))
      const whole = missing.length === 0
      return {
        points: now.points,
        confirmed,
        missing,
        permit: permit === '' ? now.permit : permit,
        lost: whole ? null : now.lost,
        waived: whole ? null : now.waived,
        history: [...now.history, e],
      }
    }
    default:
      return now
  }
}

/** Whether hands may go to the shafts: the lockout is whole, or somebody said why none is needed. */
export const handsMayGo = (safety: Safety): boolean => safety.missing.length === 0 || safety.waived !== null
