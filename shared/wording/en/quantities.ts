import { named, said, type Named } from '../words'
import { capital } from '../capital'
import type { Plane } from '../../../core/frame/planes'

const plane = { v: 'vertical', h: 'horizontal' } satisfies Record<Plane, string>

/** Judged quantities by name. */
export const quantities = (n: Named): Readonly<Record<string, string>> => ({
  'offset.v': `Offset, ${plane.v}`,
  'offset.h': `Offset, ${plane.h}`,
  'slope.v': `Angle, ${plane.v}`,
  'slope.h': `Angle, ${plane.h}`,
  offset: 'Offset',
  slope: 'Angle',
  'flex.stationary.v': `${capital(n.stationary)} flex, ${plane.v}`,
  'flex.stationary.h': `${capital(n.stationary)} flex, ${plane.h}`,
  'flex.movable.v': `${capital(n.movable)} flex, ${plane.v}`,
  'flex.movable.h': `${capital(n.movable)} flex, ${plane.h}`,
  'flex.stationary': `${capital(n.stationary)} flex`,
  'flex.movable': `${capital(n.movable)} flex`,
  'drum.rim': 'Drum rim, TIR',
  'drum.face': 'Drum face, TIR',
  'contact.together': 'Contact, off together',
  'contact.apart': 'Contact, off apart',
  'gear.backlash': 'Backlash',
  'sheaves.offset': 'Sheave offset',
  'sheaves.turn': 'Sheave turn',
  'sheaves.tilt': 'Sheave tilt',
  'sheaves.fleet.motor': 'Fleet angle, motor',
  'sheaves.fleet.driven': 'Fleet angle, driven',
  'belts.tension': 'Belt tension',
})

export const limits = {
  bySpeed: (grade: string, rpm: string) =>
    `Starting point by speed, ${grade} grade at ${rpm} rpm. The maker’s or the site’s value overrides it.`,
  bySet: (set: string, row: string, grade: string, rpm: string) =>
    `${set}: ${row}, ${grade} grade at ${rpm} rpm.`,
  revision: (name: string, revision: string) => (revision ? `${name}, revision ${revision}` : name),
  upTo: (rpm: string) => `row up to ${rpm} rpm`,
  everySpeed: 'row for every speed',
  of: { offset: 'Offset', slope: 'Angle', flexSlope: 'Angle at each flex plane' },
  each: (quantity: string, source: string) => `${quantity} by ${source}`,
  window: 'Window given with the job',
  given: 'Limit given with the job',
}

export const limitsWords = said(limits)

export const quantitiesWords = named(
  quantities,
  (q) => q,
  (q) => ({
    ...q,
    'offset.v': 'Offset, 12 to 6',
    'offset.h': 'Offset, 3 to 9',
    'slope.v': 'Tilt, 12 to 6',
    'slope.h': 'Tilt, 3 to 9',
    offset: 'Offset at the coupling',
    slope: 'Tilt',
  }),
)
