/** Payloads as the first version of the program kept and posted them: a rim and face job in inches. */
const read = (values: readonly number[]) => values.map((value, i) => ({ clock: i * 90, value }))

export const FIRST_VERSION = {
  setUp: {
    units: 'inch',
    method: 'rim-face',
    turning: 'both',
    rim: { carriedBy: 'movable', plane: -1.5, sag: 3, sagForm: 'hang', graduation: 0.5, readingSign: 1 },
    face: { plunger: 'away', diameter: 8, diameterForm: 'radius', sag: 0, graduation: 0.5, readingSign: 1 },
    feet: [
      { id: 'inboard', x: 12 },
      { id: 'outboard', x: 34.5 },
    ],
    returned: { rim: 0, face: 0 },
  },
  readings: {
    units: 'inch',
    rim: read([0, -2.5, -23, -20.5]),
    face: read([0, 1, 3.5, 2.5]),
    returned: { rim: 0, face: 0 },
  },
  move: {
    units: 'inch',
    changes: [{ pair: 'inboard', side: 'left', takenOut: [10], putIn: [20] }],
    side: [{ pair: 'outboard', moved: -3 }],
    remark: 'x',
  },
  closed: { signedBy: 'Lead', remarks: '', exception: '' },
} as const
