import type { Millimetres } from '../../core/units/unitSystem'

/** A leaf thinner than this could not be seen. */
const THINNEST_DRAWN = 4.5

/** A leaf of a pack in the drawing, heights from the top. */
export interface DrawnLeaf {
  readonly kind: 'stays' | 'in' | 'out'
  readonly y: number
  readonly height: number
}

/** A pack leaf by leaf from the base up: those that stay, those that come out, those that go in. */
export const drawLeaves = (
  pack: readonly Millimetres[],
  { putIn, takenOut }: { readonly putIn: readonly Millimetres[]; readonly takenOut: readonly Millimetres[] },
  scale: number,
  base: number,
): readonly DrawnLeaf[] => {
  const out = [...takenOut]
  let y = base
  return [
    ...pack.map((t) => {
      const i = out.findIndex((o) => Math.abs(o - t) < 1e-6)
      if (i >= 0) out.splice(i, 1)
      return { t, kind: i >= 0 ? ('out' as const) : ('stays' as const) }
    }),
    ...putIn.map((t) => ({ t, kind: 'in' as const })),
  ].map(({ t, kind }) => {
    const height = Math.max(THINNEST_DRAWN, t * scale)
    y -= height
    return { kind, y, height: height - 1.4 }
  })
}
