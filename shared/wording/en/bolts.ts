import { said } from '../words'
import type { BoltClass, Lubrication } from '../../../core/bolts/tightening'

/** Hold-down bolts as they are called. */
export const bolts = {
  bolt: (size: string, bolt: string, lubrication: string) => `${size}, ${bolt}, ${lubrication}`,
  classes: {
    '4.6': 'class 4.6',
    '5.8': 'class 5.8',
    '8.8': 'class 8.8',
    '10.9': 'class 10.9',
    '12.9': 'class 12.9',
    'grade-2': 'grade 2',
    'grade-5': 'grade 5',
    'grade-8': 'grade 8',
  } satisfies Record<BoltClass, string>,
  threads: { dry: 'dry', oiled: 'oiled' } satisfies Record<Lubrication, string>,
}

export const boltsWords = said(bolts)
