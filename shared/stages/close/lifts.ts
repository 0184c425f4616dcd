import type { Lift } from '../../logbook/lift'

/** The verdict was not kept with the signature then. */
const withoutVerdict: Lift = (old) => ({ ...(old as object), signed: null })

export const closingLifts = { 'job-closed': [withoutVerdict] }
