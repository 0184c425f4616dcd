import type { TensionSchool } from '../../../core/stages/tension/entries'
import type { TypedMeasure } from '../../../core/units/typedNumber'

/** What a belt's box measures by school. */
export const BELT_BOX: Readonly<Record<TensionSchool, TypedMeasure>> = {
  force: 'force',
  deflection: 'distance',
  frequency: 'plain',
  marks: 'distance',
  hand: 'distance',
}
