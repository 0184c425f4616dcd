import { otherSheave, type SheavePlace } from '../../core/register/beltMachine'
import type { UnitSystem } from '../../core/units/unitSystem'
import { typedMillimetres } from '../forms/typed'
import { CONTACTS, type Contact, type LineBox, type LineTexts, type Touch } from '../stages/lineUp/form'

/** The gap that is read at each rim. */
export const GAP_AT: Readonly<Record<Contact, LineBox>> = {
  referenceFar: 'r1',
  referenceNear: 'r2',
  otherNear: 'p1',
  otherFar: 'p2',
}

/** What a figure says of its rim; null where none stands there. */
export const touchOf = (typed: string, units: UnitSystem): Touch => {
  const gap = typedMillimetres(typed, 'distance', units)
  return gap === null ? null : gap === 0 ? 'touch' : 'gap'
}

const onReference = (contact: Contact): boolean => contact === 'referenceFar' || contact === 'referenceNear'

/** What the four rims do: as their figures say, else a gap where one was tapped. Where the edge lies it touches until more is said. */
export const touchesOf = (
  boxes: LineTexts['boxes'],
  tapped: Readonly<Partial<Record<Contact, Touch>>>,
  units: UnitSystem,
): LineTexts['contacts'] =>
  Object.fromEntries(
    CONTACTS.map((c) => {
      const untold = tapped[c] === 'gap' ? 'gap' : onReference(c) ? 'touch' : null
      return [c, touchOf(boxes[GAP_AT[c]], units) ?? untold]
    }),
  ) as LineTexts['contacts']

/** The rims whose gap is asked for: the other sheave's until they are tapped as touching, where the edge lies once one shows. */
export const askedRims = (
  boxes: LineTexts['boxes'],
  tapped: Readonly<Partial<Record<Contact, Touch>>>,
  units: UnitSystem,
): LineTexts['contacts'] =>
  Object.fromEntries(
    CONTACTS.map((c) => {
      const typed = boxes[GAP_AT[c]]
      const asked = !onReference(c) || tapped[c] === 'gap' || typed.trim() !== ''
      // A nought on its way to 0.5 keeps its box: only a tap puts it away.
      const touches = tapped[c] === 'touch' && touchOf(typed, units) === 'touch'
      return [c, asked && !touches ? 'gap' : 'touch']
    }),
  ) as LineTexts['contacts']

/** Where the edge lies, told by where the other sheave is. */
export const edgeLiesOn = (otherOn: string): SheavePlace =>
  otherSheave(otherOn === 'driven' ? 'driven' : 'motor')
