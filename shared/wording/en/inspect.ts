import { said } from '../words'
import type { Found } from '../../../core/stages/look/entries'
import type { DrivePlace } from '../../../core/stages/inspect/entries'

interface PlaceWords {
  readonly name: string
  readonly look: string
}

/** The drive looked over with its belts loose: where, and what for. */
export const inspect = {
  places: {
    belts: {
      name: 'Belts',
      look: 'Cracked across, glazed, oily, cords out at the edge, one turned over. One bad belt takes the whole set with it.',
    },
    'motor-grooves': {
      name: 'Grooves, motor sheave',
      look: 'Gauge in each groove and a light behind it. Walls dished or a shiny bottom: the belt sits on the bottom, the sheave is worn out. Chipped rims too.',
    },
    'driven-grooves': {
      name: 'Grooves, driven sheave',
      look: 'Gauge in each groove and a light behind it. Walls dished or a shiny bottom: the belt sits on the bottom, the sheave is worn out. Chipped rims too.',
    },
    'motor-bushing': {
      name: 'Bushing, motor sheave',
      look: 'Screws tight and evenly drawn, key in, no rust trail from a hub that creeps. Hub face to shaft end as registered.',
    },
    'driven-bushing': {
      name: 'Bushing, driven sheave',
      look: 'Screws tight and evenly drawn, key in, no rust trail from a hub that creeps.',
    },
    'run-out': {
      name: 'Run-out and wobble',
      look: 'Turn each sheave by hand past a fixed pointer, once at the rim and once at the face. It must neither hop nor wander.',
    },
    shafts: {
      name: 'Shafts and bearings',
      look: 'Shafts parallel to the eye from above and from the side; no play when a sheave is lifted and shaken by hand.',
    },
    base: {
      name: 'Base and slides',
      look: 'Slides clean and free, screws or nuts run by hand, feet bare, no crack, bolts sound.',
    },
  } satisfies Record<DrivePlace, PlaceWords> as Readonly<Record<DrivePlace, PlaceWords>>,
  found: { fine: 'fine', 'put-right': 'put right', 'to-report': 'to report' } satisfies Record<Found, string>,
  row: (place: string, words: string) => (words ? `${place}: ${words}` : `${place}.`),
  form: {
    chooseFound: 'Choose what it is: fine, put right, or to report.',
    reportWhat: 'Say what is to report, or take a photograph of it.',
  },
  headlines: {
    todo: 'Look the drive over while the belts are loose.',
    some: (left: number) =>
      left === 1 ? 'One place is left to look at.' : `${String(left)} places are left to look at.`,
    fine: 'The drive is looked over: nothing to report.',
    report: (n: number) =>
      n === 1 ? 'One place is to be reported.' : `${String(n)} places are to be reported.`,
    opened: (turns: string) => `Somebody opened the sheave ${turns} since it was registered.`,
    closedIn: (turns: string) => `Somebody closed the sheave ${turns} since it was registered.`,
  },
  settingDetail:
    'What was lined up and tensioned before no longer holds: line it up again by groove centres, then the tension.',
  turns: (n: string) => (n === '1' ? '1 turn' : `${n} turns`),
  settingRow: (sheave: string, turns: string, registered: string) =>
    `${sheave}: ${turns} open, registered at ${registered}.`,
  settingUnread: (sheave: string) => `${sheave}: how far it stands open is not read yet.`,
  view: {
    title: 'The drive, belts loose',
    note: 'power locked out, fingers out of the pinch',
    place: 'Place',
    tooFar: (most: string) => `It opens ${most} turns at most. Count again from closed.`,
    unseen: 'not looked at',
    foundHere: 'What is it',
    words: 'In words',
    photograph: (n: number, place: string) => `Photograph ${String(n)}, ${place.toLowerCase()}`,
    before: (was: string) => `Logged: ${was}`,
    logPlace: (place: string) => `Log ${place}`,
    allElseFine: (n: number) => (n === 1 ? 'The last one is fine' : `All ${String(n)} others are fine`),
    passOver: 'Pass over inspecting',
  },
}

export const inspectWords = said(inspect)
