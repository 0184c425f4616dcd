import { said } from '../words'

/** What verdicts say of the cold target they are taken from. */
export const aims = {
  from: {
    none: 'nobody said any',
    growth: 'worked out from how the feet warm up',
    typedRises: 'from rises as typed',
    line: 'given as a line',
    straight: 'said to be set straight',
    hotCheck: (day: string) => `learned from the hot check of ${day}`,
    borneOut: (way: string, day: string) => `${way}, borne out by the hot check of ${day}`,
    register: (how: string) => `from the register: ${how}`,
    job: (how: string) => how,
    source: (how: string, source: string) => `${how}, ${source}`,
  },
  source: (from: string) => `Cold target ${from}.`,
  fromIt: (what: string) => `${what} of the cold target`,
  fromItAngle: (what: string) => `${what}, from the cold target`,
  column: { found: 'found', off: 'off target' },
}

export const aimsWords = said(aims)
