/**
 * Brings a payload of one version to the next; throws when it is not of that version. Plain code, no
 * schema: what comes out goes through today's schema at the server, and the client needs lifts alone.
 */
export type Lift = (old: unknown) => unknown
