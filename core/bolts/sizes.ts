import { threadOf, type BoltClass, type Thread } from './tightening'
import type { Millimetres } from '../units/unitSystem'

const INCH = 25.4

interface BoltSize {
  readonly thread: Thread
  readonly diameter: Millimetres
  readonly pitch: Millimetres
}
const metric = (diameter: number, pitch: number): BoltSize => ({ thread: 'metric', diameter, pitch })
const inch = (diameter: number, perInch: number): BoltSize => ({
  thread: 'inch',
  diameter: diameter * INCH,
  pitch: INCH / perInch,
})

/** Sizes that hold machines down, with their coarse threads; as they are called. */
export const BOLT_SIZES = {
  M10: metric(10, 1.5),
  M12: metric(12, 1.75),
  M16: metric(16, 2),
  M20: metric(20, 2.5),
  M24: metric(24, 3),
  M30: metric(30, 3.5),
  M36: metric(36, 4),
  '3/8': inch(0.375, 16),
  '1/2': inch(0.5, 13),
  '5/8': inch(0.625, 11),
  '3/4': inch(0.75, 10),
  '7/8': inch(0.875, 9),
  '1': inch(1, 8),
  '1 1/4': inch(1.25, 7),
} as const satisfies Record<string, BoltSize>
export type BoltSizeName = keyof typeof BOLT_SIZES
export const BOLT_SIZE_NAMES = Object.keys(BOLT_SIZES) as [BoltSizeName, ...BoltSizeName[]]

/** Whether bolts of a class come in a size: metric classes on metric threads, grades on inch ones. */
export const comesIn = (bolt: BoltClass, size: BoltSizeName): boolean =>
  BOLT_SIZES[size].thread === threadOf(bolt)
