import type { LineCovariance } from './linear'
import type { Spread } from './spread'

/** Draws worked out at once: few enough to stay close to the processor. */
export const BLOCK = 1024

/** Offset V, offset H, slope V, slope H, each a list over the draws of a block. */
export type LineColumns = readonly [Float64Array, Float64Array, Float64Array, Float64Array]

/** How a measurement's line is drawn again and again. */
export interface LineDrawing {
  /** Standard normal numbers that each draw takes. */
  readonly count: number
  /** Fills a block of lines from `count` columns of standard normal numbers, each a block long. */
  readonly into: (z: readonly Float64Array[], lines: LineColumns) => void
}

/** A measurement as the source of a line with errors, whatever it was measured with. Millimetres, mm/mm. */
export interface LineModel {
  /** Whether offset V, offset H, slope V, slope H are known at all. */
  readonly tells: readonly [boolean, boolean, boolean, boolean]
  /** A still hub's run-out is in it that nobody measured. */
  readonly hubUnknown: boolean
  /** The line as measured; 0 where it is not known. */
  readonly nominal: Float64Array
  /** By linear propagation. */
  readonly covariance: (sd: Spread) => LineCovariance
  readonly drawing: (sd: Spread) => LineDrawing
}

/** A list over the draws of a block. */
export const column = (): Float64Array => new Float64Array(BLOCK)
