import { said } from '../words'

/** The base drawn down, and both line and tension read once more. */
export const tighten = {
  notYet: 'Set the tension first.',
  unneeded: 'Nothing was loosened: the base need not be drawn down.',
  asked: 'Draw the base bolts down, crosswise, in three passes.',
  askedDetail: 'Tightening pulls the motor round. Both line and tension are read again after it.',
  readBoth: 'Tightened. Read the line and the tension again.',
  readLine: 'Tightened. Now the line once more.',
  readTension: 'Tightened. Now the tension once more.',
  held: 'It held: line and tension stand as they should.',
  edge: 'It held, near an edge.',
  moved: (what: string) => `Tightening moved it: ${what}. Correct, and tighten again.`,
  unknown: 'Both were read again; not all of it is judged.',
  parts: { line: 'the line is out', tension: 'the tension is out' },
  log: 'Log: drawn down',
  toLine: 'Read the line',
  toTension: 'Read the tension',
  caution: 'Hands out of the pinch; the wrench pulled, not pushed.',
  columns: { before: 'before', after: 'after', change: 'change' },
  rows: { offset: 'Offset', turn: 'Turn', tension: 'Tension, mean' },
  view: {
    title: 'Tighten and re-check',
    note: 'what tightening did',
    steps: [
      'Snug all four, then two thirds, then full torque, corner to corner.',
      'Lock the adjusting screws or nuts: they keep the place, they don’t hold the motor.',
      'Lay the edge on again, and read every belt again.',
    ],
    words: 'Remark, torque used',
    passOver: 'Pass over the re-check',
    nothing: 'Nothing was read after tightening yet.',
  },
}

export const tightenWords = said(tighten)
