import { z } from 'zod'

/** `works.json`, the first file of an archive: what it is, of which version, and how much of everything follows. */
export const archiveManifest = z.object({
  format: z.literal('hushed-caliper-works'),
  version: z.literal(1),
  works: z.string(),
  /** The last migration of the database it was taken from: its tables are of that shape. */
  migration: z.string(),
  tables: z.array(
    z.object({
      name: z.string().regex(/^[a-z_]+$/),
      columns: z.array(z.string().regex(/^[a-z0-9_]+$/)).min(1),
      rows: z.int().nonnegative(),
    }),
  ),
  photographs: z.int().nonnegative(),
})
export type ArchiveManifest = z.output<typeof archiveManifest>
