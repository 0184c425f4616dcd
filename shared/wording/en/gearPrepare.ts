import type { PinsAtRefit } from '../../../core/stages/refit/entries'
import { said } from '../words'

/** A gearset opened and put back together: what is marked, what is kept, what goes back how. */
export const gearPrepare = {
  asFound: {
    todo: 'Keep the pattern as it was: photograph both flanks and drag the paint over what the teeth show.',
    todoDetail: 'It is what it ran in to. Once it is disturbed nobody can have it back.',
    late: 'Nobody kept the pattern before it was disturbed.',
    lateDetail:
      'It is judged by the zone in the register, or by how the last job left it, where there is one.',
    kept: 'The pattern is kept: what is painted later is held against it.',
    keptOne: 'One run was seen and is kept. Both are needed to judge by it.',
    noPhotograph: 'No photograph lies with it.',
  },
  refit: {
    todo: 'Put it back on its own marked layers, pins left out until the contact is right.',
    done: {
      'left-out': 'It is back together, pins left out.',
      fitted: 'It is back together with its pins in. They come out before anything is shifted.',
      none: 'It is back together; it has no pins.',
    } satisfies Record<PinsAtRefit, string>,
    unneeded: 'Nothing is taken apart on a planned visit.',
    pins: {
      'left-out': 'Left out for now',
      fitted: 'Fitted',
      none: 'It has none',
    } satisfies Record<PinsAtRefit, string>,
    bearings: { new: 'New bearings', same: 'The same bearings' },
    title: 'Refit and pin',
    note: 'as it was marked',
    steps: [
      'Bores and seats clean; bearings home against their shoulders.',
      'Each layer back under its own block, marks up, nothing between them.',
      'Blocks snug, not tight: they are shifted yet. Pins stay out.',
      'Turn it by hand a whole turn of the wheel: nothing rubs.',
    ],
    asked: { pins: 'Pins', bearings: 'Bearings', words: 'Remark' },
    log: 'Log: back together',
    again: 'Apart again and back',
    passOver: 'Pass over the refit',
    site: 'What the site says',
    covers: 'Covers',
    seals: 'Seals',
    waiting: 'Waiting',
  },
  layers: {
    title: 'Layers and pins',
    note: 'marked before anything comes out',
    of: 'Thickness of a layer',
    under: (n: number) => `Layers under block ${n}`,
    pins: 'Pins',
    pinsAre: { marked: 'Marked to their holes', none: 'It has none' },
    marks: 'How they are marked',
    log: 'Log the layers',
    differs: 'That is not what the register has.',
    registered: (under: string, thickness: string) => `Registered: ${under} layers of ${thickness}`,
    found: (under: string, thickness: string, marks: string) =>
      [`Under the blocks: ${under} layers of ${thickness}`, marks].filter(Boolean).join(', marked '),
  },
  look: { places: 'Places', layers: 'Layers and pins' },
  tighten: {
    notYet: 'Set the contact and the backlash first.',
    unneeded: 'Nothing was loosened: the blocks need not be drawn down.',
    asked: 'Draw blocks and covers down, crosswise, in three passes.',
    askedDetail: 'Tightening pulls the blocks. The paint and the backlash are both read again after it.',
    readBoth: 'Drawn down. Paint again, and read the backlash again.',
    readContact: 'Drawn down. Now the paint once more.',
    readBacklash: 'Drawn down. Now the backlash once more.',
    held: 'It held: contact and backlash stand as they should.',
    edge: 'It held, near an edge.',
    unknown: 'Both were read again; not all of it is judged.',
    moved: (what: string) => `Tightening moved it: ${what}. Correct, and tighten again.`,
    parts: { contact: 'the contact is out', backlash: 'the backlash is out' },
    pinsOut: 'The pins are still out.',
    ream: (by: string) =>
      `It stands ${by} from its old pin holes: ream them to the next size, then pin. Refitting would pull it back.`,
    refit: 'The old holes still meet: put the pins back.',
    log: 'Log: drawn down',
    toContact: 'Paint again',
    toBacklash: 'Read the backlash',
    reamed: 'Log: reamed and pinned',
    refitted: 'Log: pins back in',
    rows: { together: 'Off together', apart: 'Off apart', backlash: 'Backlash, worst' },
    columns: { before: 'before', after: 'after', change: 'change' },
    title: 'Tighten and re-check',
    note: 'what tightening did',
    steps: [
      'Snug all, then two thirds, then full torque, corner to corner.',
      'Blue again, turn both ways under light load, and read the paint.',
      'Read the backlash again, where it was tightest.',
      'Pins back in, or the holes reamed where the blocks stand otherwise than they were pinned.',
    ],
    words: 'Remark, torque used',
    passOver: 'Pass over the re-check',
    nothing: 'Nothing was read after tightening yet.',
    caution: 'Covers are heavy and pinch: two people, or lifting gear, as the site has it.',
  },
  findings: {
    pattern: (runs: number, photographs: number) =>
      [
        runs === 2 ? 'Both runs' : 'One run',
        photographs === 0
          ? 'no photograph'
          : `${photographs} ${photographs === 1 ? 'photograph' : 'photographs'}`,
      ].join(', '),
    refit: (pins: string, bearings: string) => `${bearings}, pins ${pins}`,
    pinsIn: { 'left-out': 'left out', fitted: 'fitted', none: 'none' } satisfies Record<PinsAtRefit, string>,
    contact: (round: number, what: string) => `Round ${round}: ${what}`,
    off: (by: string, end: string) => `${by} ${end}`,
    even: 'in place',
    apart: (by: string) => `runs ${by} apart`,
    toPaint: 'Paint again',
    unjudged: 'painted',
    shape: 'zone not as wanted',
    backlash: { wide: 'wide', tight: 'tight', in: 'in its window' },
    backlashIs: (read: string, how: string) => `${read}, ${how}`,
    stale: 'Read again',
    tightened: { read: 'Read both again', held: 'It held', moved: 'It moved', pins: 'Pins still out' },
  },
}

export const gearPrepareWords = said(gearPrepare)
