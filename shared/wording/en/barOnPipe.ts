import type { PipeFault } from '../../../core/setup/barOnPipe'
import { said } from '../words'

/** A bar measured on a pipe, as its dialog asks and answers. */
export const barOnPipe = {
  title: (bar: string) => `${bar}, measured on a pipe`,
  how: 'Clamp the bracket on a stiff pipe at the same span and height. Zero the dial at 12, turn the pipe once round.',
  at6: 'At 6',
  at3: 'At 3',
  at9: 'At 9',
  back: 'Back at 12',
  optional: '3 and 9 prove the pipe true; they may be left out.',
  waits: 'Read it at 6, then back at 12.',
  hangs: (hang: string) => `The bar hangs ${hang}: half of what it lost at 6.`,
  faults: {
    'gains-at-6':
      'The dial gained at 6. A hanging bar loses there: look which way this dial counts, or turn the pipe again from 12.',
    'not-back': 'It does not come back to zero: the bracket slipped. Tighten it and turn again.',
    'sides-apart':
      '3 and 9 don’t stand half way to 6: the pipe is out of true or the bracket shifts. Turn it half round in the bracket and read again.',
  } satisfies Record<PipeFault, string>,
  take: (hang: string) => `Take ${hang}`,
}

export const barOnPipeWords = said(barOnPipe)
