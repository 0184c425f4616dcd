import { z } from 'zod'
import { done, refused } from '../../core/outcome'
import { shimPack } from '../../core/shims/shimPack'
import { defineOperation } from './defineOperation'
import { notNegative, units, whole } from './fields'
import { out } from './results'
import { pack, stock } from './stock'

/** The best pack that can really be laid from what lies there and what is on the shelf. */
export const shimPackOperation = defineOperation({
  name: 'shim-pack',
  summary: 'The pack nearest to a wanted thickness from real shims: smallest error, then fewest handled.',
  input: z.object({
    units,
    thickness: notNegative('wanted-thickness', 'displacement'),
    existing: pack,
    stock,
    limit: whole('most-shims-a-pack-may-hold', 1, 8),
  }),
  result: z.object({
    pack: z.array(
      z.object({
        thickness: out('displacement'),
        source: z.enum(['kept', 'stock', 'peeled']),
        peeledFrom: out('displacement').optional(),
      }),
    ),
    total: out('displacement'),
    error: out('displacement'),
    changes: out(),
    count: out(),
    searched: z.string().describe('all, or within N um where totals had to be rounded.'),
  }),
  compute: (given) => {
    const nothing = given.existing.length === 0 && given.stock.every((s) => s.count === 0)
    if (nothing && given.thickness > 0) return refused('nothing-in-stock', ['stock'])
    return done(
      shimPack({ wanted: given.thickness, existing: given.existing, stock: given.stock, limit: given.limit }),
    )
  },
})
