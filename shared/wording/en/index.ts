import { belts } from './belts'
import { closing } from './closing'
import { directions } from './directions'
import { feet } from './feet'
import { kinds } from './kinds'
import { measuring } from './measuring'
import { moves } from './moves'
import { objections } from './objections'
import { opening } from './opening'
import { plans } from './plans'
import { limits, quantities } from './quantities'
import { refusals } from './refusals'
import { register } from './register'
import { safety } from './safety'
import { setUp } from './setUp'
import { sheet } from './stages'
import { typing } from './typing'
import { verdicts } from './verdicts'

/** The English words of the program, one file a subject. Another language is one folder more, of this type. */
export const en = {
  belts,
  closing,
  directions,
  feet,
  kinds,
  limits,
  measuring,
  moves,
  objections,
  opening,
  plans,
  quantities,
  refusals,
  register,
  safety,
  setUp,
  sheet,
  typing,
  verdicts,
}

export type Words = typeof en
