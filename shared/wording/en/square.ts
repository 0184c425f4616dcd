import { said } from '../words'

/** The motor square on its base, by two distances. */
export const square = {
  asked: 'Measure from one straight edge to both ends of the motor.',
  askedDetail:
    'A skewed motor can’t be cured at the sheave. The frame’s machined edge or the feet, never the paint.',
  one: 'Now the other end.',
  even: (by: string) => `The motor stands square: both ends within ${by}.`,
  edge: (by: string) => `The ends differ by ${by}: inside the limit, near its edge.`,
  out: (by: string, far: string) => `The far end stands ${by} too ${far}.`,
  far: { far: 'far from the driven shaft', near: 'near the driven shaft' },
  limit: {
    machine: (limit: string, angle: string) => `${limit} at its feet, this machine’s own limit of ${angle}.`,
    works: (limit: string, angle: string, source: string) =>
      `${limit} at its feet: ${angle}, as for the belts’ run by the works’ limits for belt drives: ${source}.`,
    starting: (limit: string, angle: string) =>
      `${limit} at its feet: ${angle}, as for the belts’ run. Starting value; the maker’s or the site’s overrides it.`,
  },
  nothing: 'Nothing to turn.',
  step: 'To square it',
  heldEnd: 'Hold the sheave end. Measure both again after it.',
  log: 'Log both distances',
  view: {
    title: 'Motor from above',
    edge: 'The edge lies on',
    edges: { 'driven-side': 'The driven side', 'far-side': 'The far side' },
    sheaveEnd: 'Sheave end',
    farEnd: 'Far end',
    difference: 'Difference',
    turn: 'Turn',
    words: 'Remark',
    passOver: 'Pass over squaring',
  },
  working: {
    difference: 'Difference of the ends',
    differenceFormula: 'far end − sheave end, away from the driven shaft positive',
    turn: 'Turn of the motor',
    turnFormula: 'atan(difference / feet apart)',
    limit: 'Limit at its feet',
    limitFormula: 'feet apart × tan(limit angle)',
    screw: 'Turns at the far end',
    screwFormula: '−difference / travel a turn',
  },
}

export const squareWords = said(square)
