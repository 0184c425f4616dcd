/** A name somebody drew with a finger: strokes of points x, y, x, y … in whole parts of the glass. */
export type Strokes = readonly (readonly number[])[]

/** The glass a signature is drawn on, in parts: 10 to 3. */
export const GLASS = { width: 1000, height: 300 } as const

/** More than any hand draws; what is drawn beyond is not taken. */
export const MOST_STROKES = 80
export const MOST_POINTS = 2000

/** What the customer signed on glass at the close. */
export interface CustomerSigned {
  readonly name: string
  /** Empty where the pen is to sign on the printed report. */
  readonly strokes: Strokes
}
