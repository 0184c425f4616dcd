import { z } from 'zod'
import { levelShimFromDivisions, levelShimFromFeeler } from '../../core/level/levelShim'
import { done } from '../../core/outcome'
import { fromCore, toCore } from '../../core/units/unitSystem'
import { defineOperation } from './defineOperation'
import { figure, notNegative, positive, units } from './fields'

const input = z
  .object({
    units,
    boltSpacing: positive('the bolt spacing'),
    feeler: notNegative('the feeler').optional(),
    supportedLength: positive('the supported length').optional(),
    divisions: figure('the divisions off centre').optional(),
    sensitivity: positive('the level’s sensitivity').optional(),
  })
  .superRefine((value, context) => {
    const byFeeler = value.feeler !== undefined || value.supportedLength !== undefined
    const byDivisions = value.divisions !== undefined || value.sensitivity !== undefined
    const need = (path: string, message: string) =>
      context.addIssue({ code: 'custom', path: [path], message })
    if (byFeeler && byDivisions)
      need('divisions', 'Give either feeler and supported length, or divisions and sensitivity, not both.')
    else if (byDivisions) {
      if (value.divisions === undefined)
        need('divisions', 'Give how many divisions the bubble stands off centre.')
      if (value.sensitivity === undefined)
        need('sensitivity', 'Give the level’s sensitivity, slope per division.')
    } else {
      if (value.feeler === undefined) need('feeler', 'Give the feeler under the level’s low end.')
      if (value.supportedLength === undefined)
        need('supportedLength', 'Give the length from the feeler to the level’s other end.')
    }
  })

/** The shim under both feet of the low end that levels the machine. */
export const level = defineOperation({
  name: 'level',
  summary: 'The shim that levels a machine, from a feeler under a precision level or from its divisions.',
  input,
  compute: ({ units: u, boltSpacing, feeler, supportedLength, divisions, sensitivity }) => {
    const spacing = toCore(boltSpacing, 'distance', u)
    const shim =
      divisions !== undefined && sensitivity !== undefined
        ? levelShimFromDivisions(divisions, toCore(sensitivity, 'slope', u), spacing)
        : levelShimFromFeeler(
            toCore(feeler ?? 0, 'displacement', u),
            spacing,
            toCore(supportedLength ?? 1, 'distance', u),
          )
    return done({ shim: fromCore(shim, 'displacement', u) })
  },
})
