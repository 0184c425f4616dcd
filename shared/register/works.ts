import type { UnitSystem } from '../../core/units/unitSystem'

export type Role = 'apprentice' | 'millwright' | 'lead' | 'planner'

export interface Person {
  readonly id: string
  readonly name: string
  readonly role: Role
}

export interface ShimStock {
  readonly units: UnitSystem
  readonly thickness: number
  readonly count: number
}

export interface Works {
  readonly name: string
  /** Most shims under one foot. */
  readonly packLimit: number
  readonly stock: readonly ShimStock[]
}
