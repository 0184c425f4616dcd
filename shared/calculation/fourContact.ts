import { issue } from '../issue'
import { z } from 'zod'
import { fourContact } from '../../core/belt/fourContact'
import { done } from '../../core/outcome'
import { defineOperation } from './defineOperation'
import { units } from './fields'

const touches = z.boolean({ error: issue('say-whether-the-edge-touches-there') })

/** The quick check with a straight edge or a taut string. */
export const fourContactOperation = defineOperation({
  name: 'four-contact',
  summary: 'In line, offset, turned, or an edge not to be trusted: from which of four rims touch.',
  input: z.object({
    units,
    reference: z.object({ far: touches, near: touches }),
    other: z.object({ near: touches, far: touches }),
  }),
  result: z.object({
    diagnosis: z.enum(['in-line', 'offset', 'turned', 'reference-unsure']),
    needsNumbers: z.boolean(),
  }),
  compute: (given) => {
    const diagnosis = fourContact(given)
    return done({ diagnosis, needsNumbers: diagnosis !== 'in-line' })
  },
})
