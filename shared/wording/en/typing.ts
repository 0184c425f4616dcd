import { said } from '../words'
import type { TypedFault } from '../../../core/units/typedNumber'

export const typing = {
  faults: {
    empty: 'Type a number.',
    'not-a-number': 'That is not a number. Type it like 7, −2.5, 2 5/32 or 18+25.',
    'comma-unclear': 'A comma here could mean two things. Type a point, or leave the comma out.',
    'bad-fraction': 'Check the fraction: type it like 5/32, or 2 5/32.',
    'unit-here': 'Type the figure alone here, without a unit.',
    exponent: 'Type the number out, without an e.',
    'two-signs': 'There are two signs. Keep one.',
    'too-large': 'That is far too large. Check the digits.',
  } satisfies Record<TypedFault, string>,
  belowZero: 'This can’t be below zero. Type its size, without a sign.',
  tenfoldOthers: 'Tenfold off the others?',
}

export const typingWords = said(typing)
