type Span = readonly [from: number, to: number]

/** Maps one span onto another in a straight line, ends onto ends: millimetres of a machine onto a drawing's width. */
export const along =
  ([a, b]: Span, [p, q]: Span) =>
  (x: number): number =>
    p + ((x - a) / (b - a)) * (q - p)
