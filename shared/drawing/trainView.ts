import { positionAt, type Misalignment, type Plane } from '../../core/frame/planes'
import type { Millimetres } from '../../core/units/unitSystem'
import { roundTimes } from './roundTimes'

/** Drawn size of one view of a train. */
export const TRAIN_VIEW = { width: 690, height: { v: 300, h: 250 } } as const
/** Space left above and below for names and figures: those of the machines stand in the side view alone. */
const HEAD = { v: 96, h: 56 } as const
const FOOT = 62
/** Half the height of a machine's body. */
const BODY = 30
/** What a body reaches from its feet toward its couplings, as a share of the way. */
const TOWARD = 0.42

/** What is drawn of a train, in the frame of the train. */
export interface TrainDrawn {
  readonly machines: readonly {
    readonly id: string
    readonly feet: readonly { readonly id: string; readonly x: Millimetres }[]
    /** About the train's zero, as found and after the plan. */
    readonly now: Misalignment
    readonly after: Misalignment
  }[]
  readonly couplings: readonly {
    readonly id: string
    readonly x: Millimetres
    /** Half widths of its gate about its target, up and down in the train's frame; null where it has no single limit. */
    readonly gate: Readonly<Record<Plane, { readonly low: Millimetres; readonly high: Millimetres } | null>>
  }[]
}

interface Point {
  readonly x: number
  readonly y: number
}

export interface DrawnMachine {
  readonly id: string
  readonly now: readonly [Point, Point]
  readonly after: readonly [Point, Point]
  /** The body as found, sheared with its line. */
  readonly body: string
  readonly left: number
  readonly right: number
  readonly feet: readonly { readonly id: string; readonly now: Point; readonly after: Point }[]
}

export interface DrawnCoupling {
  readonly id: string
  readonly x: number
  /** Where the axis behind it begins: as found, and after. */
  readonly now: number
  readonly after: number
  /** Where the axis before it ends, after. */
  readonly ground: number
  readonly gate: { readonly top: number; readonly bottom: number } | null
}

/** One view of a train laid out in drawing units. */
export interface TrainView {
  readonly plane: Plane
  readonly width: number
  readonly height: number
  readonly exaggeration: number
  readonly zero: number
  readonly machines: readonly DrawnMachine[]
  readonly couplings: readonly DrawnCoupling[]
}

const extent = ({ machines }: TrainDrawn): readonly [number, number] => {
  const xs = machines.flatMap((m) => m.feet.map((f) => f.x))
  const [least, most] = [Math.min(...xs), Math.max(...xs)]
  const beyond = 0.06 * (most - least)
  return [least - beyond, most + beyond]
}

/** Where each machine's shaft ends: at its couplings, or at the end of the sheet. */
const shaftOf = (drawn: TrainDrawn, i: number): readonly [Millimetres, Millimetres] => {
  const [least, most] = extent(drawn)
  return [drawn.couplings[i - 1]?.x ?? least, drawn.couplings[i]?.x ?? most]
}

const at = (line: Misalignment, x: Millimetres, plane: Plane) => positionAt(line, x)[plane] ?? 0

/** Every height a plane shows, zero among them. */
const heights = (drawn: TrainDrawn, plane: Plane): readonly number[] => [
  0,
  ...drawn.machines.flatMap((m, i) => {
    const [x1, x2] = shaftOf(drawn, i)
    return [m.now, m.after].flatMap((line) => [at(line, x1, plane), at(line, x2, plane)])
  }),
]

/** The largest round exaggeration at which all of it stays on the sheet, in both views alike. */
export const trainExaggeration = (drawn: TrainDrawn): number => {
  const [least, most] = extent(drawn)
  const scale = TRAIN_VIEW.width / (most - least)
  const room = Math.min(...(['v', 'h'] as const).map((p) => TRAIN_VIEW.height[p] - HEAD[p] - FOOT - BODY))
  const span = Math.max(
    1e-3,
    ...(['v', 'h'] as const).map((plane) => {
      const list = heights(drawn, plane)
      return Math.max(...list) - Math.min(...list)
    }),
  )
  return roundTimes(room / (span * scale))
}

/** Both views of a train at one exaggeration. */
export const bothViews = (
  drawn: TrainDrawn,
): readonly { readonly plane: Plane; readonly view: TrainView; readonly times: string }[] => {
  const exaggeration = trainExaggeration(drawn)
  return (['v', 'h'] as const).map((plane) => ({
    plane,
    view: layOutTrain(drawn, plane, exaggeration),
    times: String(exaggeration),
  }))
}

/** Lays one plane of a train out: the axis that stays lies on zero, up and toward 3 are up. */
export const layOutTrain = (drawn: TrainDrawn, plane: Plane, exaggeration: number): TrainView => {
  const { width } = TRAIN_VIEW
  const height = TRAIN_VIEW.height[plane]
  const head = HEAD[plane]
  const [least, most] = extent(drawn)
  const scale = width / (most - least)
  const across = scale * exaggeration
  const list = heights(drawn, plane)
  const middle = (Math.max(...list) + Math.min(...list)) / 2
  const zero = head + (height - head - FOOT) / 2 + middle * across
  const point = (line: Misalignment, x: Millimetres): Point => ({
    x: (x - least) * scale,
    y: zero - at(line, x, plane) * across,
  })
  const machines = drawn.machines.map((m, i): DrawnMachine => {
    const [x1, x2] = shaftOf(drawn, i)
    const [first, last] = [m.feet[0]?.x ?? x1, m.feet[m.feet.length - 1]?.x ?? x2]
    const [b1, b2] = [point(m.now, first - TOWARD * (first - x1)), point(m.now, last + TOWARD * (x2 - last))]
    const corner = (p: Point, by: number) => `${p.x.toFixed(1)} ${(p.y + by).toFixed(1)}`
    return {
      id: m.id,
      now: [point(m.now, x1), point(m.now, x2)],
      after: [point(m.after, x1), point(m.after, x2)],
      body: `M${corner(b1, -BODY)}L${corner(b2, -BODY)}L${corner(b2, BODY)}L${corner(b1, BODY)}Z`,
      left: b1.x,
      right: b2.x,
      feet: m.feet.map((f) => ({ id: f.id, now: point(m.now, f.x), after: point(m.after, f.x) })),
    }
  })
  const couplings = drawn.couplings.map((c, i): DrawnCoupling => {
    const [before, behind] = [drawn.machines[i], drawn.machines[i + 1]]
    const ground = before ? point(before.after, c.x).y : zero
    const gate = c.gate[plane]
    return {
      id: c.id,
      x: (c.x - least) * scale,
      now: behind ? point(behind.now, c.x).y : zero,
      after: behind ? point(behind.after, c.x).y : zero,
      ground,
      gate: gate && { top: ground - gate.high * across, bottom: ground - gate.low * across },
    }
  })
  return { plane, width, height, exaggeration, zero, machines, couplings }
}
