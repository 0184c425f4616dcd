/** Drawn size of two hubs and the gap between them. */
export const HUB_GAP = { width: 640, height: 126, face: 250, hub: 96 } as const
/** The widest gap takes this much of the sheet; the others beside it to the same scale. */
const WIDEST = 130

export interface DrawnGap {
  /** Where the movable hub's face stands, and where it stands when it runs; drawing units. */
  readonly face: number
  readonly warm: number | null
}

/** Lays out the gap as it stands and as it is when it runs, to one scale. Millimetres; null where nothing is known yet. */
export const drawGap = (stands: number | null, running: number | null): DrawnGap => {
  const widest = Math.max(running ?? 0, stands ?? 0)
  const at = (gap: number | null) =>
    HUB_GAP.face + (gap === null || widest <= 0 ? WIDEST : (WIDEST * Math.max(0, gap)) / widest)
  return { face: at(stands), warm: running === null ? null : at(running) }
}
