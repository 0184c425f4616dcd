import fc from 'fast-check'

/**
 * Property tests draw the same cases every time, so that a run says something of the change it tests.
 * `PROPERTY_SEED=random` (or a number) looks at cases nobody has seen.
 */
const asked = process.env.PROPERTY_SEED
if (asked !== 'random') fc.configureGlobal({ seed: Number(asked ?? 20260101) })
