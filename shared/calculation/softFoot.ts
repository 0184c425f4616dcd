import { z } from 'zod'
import { SOFT_FOOT_LIMIT, softFoot, type SoftFootResult } from '../../core/feet/softFoot'
import { done } from '../../core/outcome'
import { defineOperation } from './defineOperation'
import { figure, notNegative, positive, units } from './fields'
import { out } from './results'

const rise = figure('rise-of-the-foot', 'displacement')
const rises = z.object({ f1: rise, f2: rise, f3: rise, f4: rise })
const gap = notNegative('corner-gap', 'displacement')
/** Feeler gaps at a foot's four corners. */
export const cornerGaps = z.object({
  outboardOuter: gap,
  outboardInner: gap,
  inboardOuter: gap,
  inboardInner: gap,
})
export const footSize = z.object({
  along: positive('foots-length-along-the-shaft', 'distance'),
  across: positive('foots-width-across-the-shaft', 'distance'),
})

const footName = z.enum(['f1', 'f2', 'f3', 'f4'])

/** What the rises of released feet say, and which foot to fill. */
export const softFootOperation = defineOperation({
  name: 'soft-foot',
  summary: 'Names the kind of soft foot from four rises: sound, springy, rocking or local, and what to fill.',
  input: z.object({
    units,
    rises,
    limit: positive('soft-foot-limit', 'displacement').optional(),
    corners: z.partialRecord(footName, cornerGaps).optional(),
    footSize: footSize.optional(),
    pipeLoosened: rises.optional().describe('Rises read again with the pipe bolts slack.'),
  }),
  result: z.object({
    twist: out('displacement'),
    diagnosis: z.enum(['ok', 'springy', 'rocking', 'local']),
    diagonal: z.enum(['1-3', '2-4']).nullable(),
    fill: z.object({ foot: footName, thickness: out('displacement') }).nullable(),
    feet: z.array(footName),
    bent: z.array(z.object({ foot: footName, slopeAlong: out('slope'), slopeAcross: out('slope') })),
    pipeStrain: z.boolean(),
    advice: z.array(z.string()),
    limit: out('displacement'),
  }),
  compute: (given) => {
    const limit = given.limit ?? SOFT_FOOT_LIMIT[given.units]
    const found: SoftFootResult = softFoot({ ...given, limit })
    return done({ ...found, limit })
  },
})
