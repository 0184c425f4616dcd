/** A point or direction: along the shafts (x), up (v), toward 3 o'clock (h). Millimetres. */
export interface Vector {
  readonly x: number
  readonly v: number
  readonly h: number
}

export const vector = (x: number, v: number, h: number): Vector => ({ x, v, h })
export const add = (a: Vector, b: Vector): Vector => ({ x: a.x + b.x, v: a.v + b.v, h: a.h + b.h })
export const subtract = (a: Vector, b: Vector): Vector => ({ x: a.x - b.x, v: a.v - b.v, h: a.h - b.h })
export const scale = (a: Vector, by: number): Vector => ({ x: a.x * by, v: a.v * by, h: a.h * by })
export const dot = (a: Vector, b: Vector): number => a.x * b.x + a.v * b.v + a.h * b.h
export const length = (a: Vector): number => Math.sqrt(dot(a, a))
export const unit = (a: Vector): Vector => scale(a, 1 / length(a))
