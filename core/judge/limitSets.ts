import { toCore, type Measured, type UnitSystem } from '../units/unitSystem'
import { STARTER_RULES, starterLimit } from './starterRules'
import type { Grade } from './tolerance'

/** What a row of a set may limit: the offset and angle at a short coupling, the angle at each flex plane of a spacer. */
export const LIMITED = ['offset', 'slope', 'flexSlope'] as const
export type Limited = (typeof LIMITED)[number]
export const GRADES: readonly Grade[] = ['fine', 'standard']

/** Limits of one row in the set's own units (mil and mil/in, or mm and mm/100 mm); null where it says nothing. */
export type RowLimits = Readonly<Record<Limited, number | null>>

export interface LimitRow {
  /** Nameplate speed up to which it holds, rpm; null for every speed above the rows before it. */
  readonly upTo: number | null
  readonly fine: RowLimits
  readonly standard: RowLimits
}

/** A table of limits by speed, of the works or of one model of coupling. */
export interface LimitSet {
  readonly id: string
  readonly level: 'coupling' | 'works'
  /** The kind of coupling as the register calls it; empty for the works. */
  readonly coupling: string
  readonly name: string
  readonly source: string
  readonly revision: string
  readonly units: UnitSystem
  /** By rising speed. */
  readonly rows: readonly LimitRow[]
}

/** A limit with the row it comes from. Core units. */
export interface FoundLimit {
  readonly value: number
  /** Null: the starting values by speed. */
  readonly from: { readonly set: LimitSet; readonly row: LimitRow } | null
}

const MEASURED: Readonly<Record<Limited, Measured>> = {
  offset: 'displacement',
  slope: 'slope',
  flexSlope: 'slope',
}

/** The row that a speed selects; null where every row ends below it. */
export const rowAt = ({ rows }: LimitSet, rpm: number): LimitRow | null =>
  rows.find((r) => r.upTo === null || rpm <= r.upTo) ?? null

/**
 * The limit of one quantity by the nearest set that has a value for it at this speed, else the starting
 * values. `sets` nearest first. Source: docs/limits.md.
 */
export const nearestLimit = (
  sets: readonly LimitSet[],
  quantity: Limited,
  grade: Grade,
  rpm: number,
): FoundLimit => {
  for (const set of sets) {
    const row = rowAt(set, rpm)
    const own = row?.[grade][quantity]
    if (row && own != null) return { value: toCore(own, MEASURED[quantity], set.units), from: { set, row } }
  }
  return { value: starterLimit(STARTER_RULES[grade][quantity], quantity, rpm), from: null }
}

const sameKind = (a: string, b: string): boolean => a.trim().toLowerCase() === b.trim().toLowerCase()

/** The sets that a machine with this kind of coupling is judged by, nearest first. */
export const setsFor = (coupling: string, sets: readonly LimitSet[]): readonly LimitSet[] => [
  ...sets.filter((s) => s.level === 'coupling' && sameKind(s.coupling, coupling)),
  ...sets.filter((s) => s.level === 'works'),
]
