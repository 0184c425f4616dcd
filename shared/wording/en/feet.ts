import { sided } from '../words'

/** The words a works uses for its feet: the pair at the coupling, and the pair at the far end. */
export const footWords = {
  'inboard-outboard': { near: 'inboard', far: 'outboard' },
  'near-far': { near: 'near', far: 'far' },
  'front-back': { near: 'front', far: 'back' },
  'drive-end': { near: 'drive-end', far: 'far-end' },
} as const satisfies Record<string, { readonly near: string; readonly far: string }>

export const feet = {
  footWords,
  /** A pair between the two, counted from the coupling. */
  between: (nth: number, count: number) => (count === 3 ? 'middle' : `middle ${nth}`),
  /** A pair of the driven machine, beside those of the movable one. */
  driven: (pair: string) => `driven ${pair}`,
  /** A pair of a machine between two others, by what stands on that side of it. */
  toward: (machine: string) => `${machine.toLowerCase()} side`,
  freeEnd: 'free end',
  feet: (pair: string) => `${pair} feet`,
  place: (pair: string, side: string) => `${pair} ${side}`,
  sides: { left: 'left', right: 'right' },
}

export const feetWords = sided(feet, (f) => ({ ...f, sides: { left: f.sides.right, right: f.sides.left } }))
