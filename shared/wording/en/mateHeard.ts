import { said } from '../words'

/** What a board says of what came from the second screen. */
const mateHeard = {
  there: (place: string) => `Second screen: it stands at ${place}.`,
  belt: (n: number, of: number) => (of === 1 ? 'the belt' : `belt ${String(n)} of ${String(of)}`),
  /** Of a dial or a belt, by its name. */
  reads: (name: string, value: string) => `Second screen: ${name} reads ${value}.`,
  late: (name: string, value: string) =>
    `Second screen: ${name} reads ${value}, but that box is filled. Nothing was changed.`,
}

export const mateHeardWords = said(mateHeard)
