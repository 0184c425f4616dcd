import type { BeltConstruction, BeltSetKind, Load } from '../../../core/register/beltMachine'
import { said } from '../words'

/** What the register has of a belt drive, on its page. */
export const beltFacts = {
  belts: 'Belts and base',
  outsideDiameter: 'Outside diameter',
  groovePitch: 'Groove to groove',
  section: 'Section',
  constructions: {
    plain: 'plain',
    notched: 'notched',
    banded: 'joined in a band',
    other: 'made another way',
  } satisfies Record<BeltConstruction, string>,
  length: 'Pitch length',
  mass: 'Mass',
  startingMass: ' (starting value)',
  fittedOn: 'Fitted on',
  set: 'Set',
  sets: { matched: 'a matched set', 'not-matched': 'not a matched set' } satisfies Record<
    BeltSetKind,
    string
  >,
  spares: 'In the stores:',
  travelLeft: 'Travel left',
  plate: 'Motor plate',
  drives: 'Drives',
  loads: {
    'fan-or-pump': 'a fan or a pump',
    steady: 'the same torque at every speed',
    other: 'something else',
  } satisfies Record<Load, string>,
  sticker: 'Sticker',
  stickerAt: (low: string, high: string, at: string) => `${low} to ${high} at ${at}`,
  tooSmall: (smallest: string, least: string, section: string) =>
    `The small sheave, ${smallest}, is under the ${least} that section ${section} may run on: its belts wear out early.`,
}

export const beltFactsWords = said(beltFacts)
