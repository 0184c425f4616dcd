import type { Refusal } from '../../core/outcome'

const round = (x: number | undefined, digits = 0): string =>
  x === undefined ? '?' : String(Number(x.toFixed(digits)))

const SENTENCES: Readonly<Record<Refusal['code'], (n: Readonly<Record<string, number>>) => string>> = {
  'too-few-positions': () =>
    'These readings stand at one clock position. Read at three or more, at least 3 degrees apart.',
  'pair-off-plane': () =>
    'Two positions alone tell a plane only when they are 12 and 6, or 3 and 9. Add a third position.',
  'arc-too-short': (n) =>
    `The readings cover only ${round(n.arc)} degrees. Spread them over ${round(n.limit)} degrees or more.`,
  'amplified-too-much': (n) =>
    `Positions so close together would show every reading error ${round(n.times)} times as large as four clock positions do. Spread them further.`,
  'faces-not-opposite': (n) =>
    `The second face dial has no reading opposite ${round(n.clock)} degrees. Two face dials need readings half a turn apart.`,
  'plungers-differ': () =>
    'The two face dials point different ways. Set both plungers the same way, or enter one dial.',
  'feet-at-one-place': () => 'The foot pairs stand at the same place. Check the distances.',
  'speed-needed': () => 'This limit depends on speed. Give the speed in rpm.',
  'beyond-double-range': () => 'These figures are too large to calculate with. Check the digits.',
}

/** The plain sentence for a refusal: what is wrong and what to do. */
export const refusalSentence = (refusal: Refusal): string => SENTENCES[refusal.code](refusal.numbers ?? {})
