import { CircleSolver } from '../fit/circleSolver'
import { ALIGNED, type Misalignment } from '../frame/planes'
import { joinPlaneInto, type DialArrangement, type DialCircle } from './dialCircle'
import type { FootPlane } from './feet'

/** What a still hub puts into each reading as it is typed. */
const heightsOf = ({ stillHub }: DialCircle) =>
  stillHub === undefined || stillHub === 'unknown' ? undefined : stillHub.heights

/**
 * A set-up solved ahead of its readings: positions and distances stay while digits are typed.
 * Write readings as read into `first` and `second`, call `solve`, read `line` and `moves`. `solve`
 * allocates nothing. Millimetres, mm/mm.
 */
export class PreparedSolve {
  readonly first: CircleSolver
  readonly second: CircleSolver
  /** Offset V, offset H, slope V, slope H. */
  readonly line = new Float64Array(4)
  /** Vertical and side move of each foot pair in turn. */
  readonly moves: Float64Array
  private readonly footX: Float64Array
  private readonly goal: Float64Array

  constructor(
    private readonly arrangement: DialArrangement,
    feet: readonly FootPlane[],
    target: Misalignment = ALIGNED,
  ) {
    const [a, b] = arrangement.circles
    this.first = new CircleSolver(a.readings, heightsOf(a))
    this.second = new CircleSolver(b.readings, heightsOf(b))
    this.footX = Float64Array.from(feet, (f) => f.x)
    this.moves = new Float64Array(2 * feet.length)
    this.goal = Float64Array.of(
      target.offset.v ?? 0,
      target.offset.h ?? 0,
      target.slope.v ?? 0,
      target.slope.h ?? 0,
    )
  }

  solve(): void {
    const { first, second, line, moves, footX, goal } = this
    const [a, b] = this.arrangement.circles
    first.solve()
    second.solve()
    const v1 = (first.cos - a.sag) / a.lever
    const h1 = first.sin / a.lever
    const v2 = (second.cos - b.sag) / b.lever
    const h2 = second.sin / b.lever
    joinPlaneInto(this.arrangement.join, v1, v2, a.plane, b.plane, line, 0)
    joinPlaneInto(this.arrangement.join, h1, h2, a.plane, b.plane, line, 1)
    for (let f = 0; f < footX.length; f++) {
      const x = footX[f] as number
      for (let p = 0; p < 2; p++)
        moves[2 * f + p] =
          (goal[p] as number) - (line[p] as number) + ((goal[p + 2] as number) - (line[p + 2] as number)) * x
    }
  }
}
