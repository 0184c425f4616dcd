import { said } from '../words'
import type { TiltCause } from '../../../core/flange/achievedTilt'
import type { FlangeSchool } from '../../../core/flange/flangeShims'
import type { SpigotFit } from '../../../core/register/flangeMachine'

const counted = (n: number) =>
  ['no', 'one', 'two', 'three', 'four', 'five', 'six', 'seven', 'eight', 'nine', 'ten', 'eleven', 'twelve'][
    n
  ] ?? String(n)

const bolts = (n: number) => `${counted(n)} ${n === 1 ? 'bolt' : 'bolts'}`

/** A motor that stands on a flange: its clock, its shims, its spigot. */
export const flange = {
  bolt: (clock: string) => `the bolt at ${clock}`,
  marked: 'marked',
  lift: {
    before: 'Before lifting: fingers stay out from between the flanges. The site’s lifting rules govern.',
    onEnd:
      'A motor standing on end hangs by its own eyes, upright, over its middle; a second sling keeps it from tipping. Weight and sling by the site’s lifting rules.',
    bolts: 'No bolt comes out before the sling is taut: loosen, lift only as far as the shim needs.',
  },
  school: { coplanar: 'Coplanar', pairwise: 'Pairwise' } satisfies Record<FlangeSchool, string>,
  schoolSays: {
    coplanar: 'shim tops in one plane',
    pairwise: 'opposite bolts each to their own zero',
  } satisfies Record<FlangeSchool, string>,
  lacks: {
    pairs: 'These bolts don’t stand in opposite pairs.',
    leaves: 'The shelf does not hold the leaves for it.',
  },
  spigot: {
    fit: { tight: 'Tight', loose: 'Loose' } satisfies Record<SpigotFit, string>,
    title: 'Spigot',
    ask: 'How it sits',
    asked:
      'Bolts slack, a dial on the flange in each plane: push the motor by hand or bar from stop to stop. No movement is tight.',
    play: 'Play from stop to stop',
    noPlay: 'Give the play, or leave it empty where nobody measured it.',
    words: 'In words',
    log: 'Log the spigot',
    says: (fit: string, play: string, from: string) =>
      `Spigot ${fit}${play ? `, ${play} from stop to stop` : ''} ${from}`,
    from: { job: 'as felt in this job', register: 'by the register' },
    finding: { tight: 'spigot tight', loose: 'spigot loose' } satisfies Record<SpigotFit, string>,
  },
  found: {
    title: 'Shims under the bolts',
    note: 'bottom up, before they come out · 5 + 2; none where none lies',
    mark: 'Marked',
    registered: (pack: string) => `Register: ${pack}`,
    lies: (bolt: string, leaves: string) => `${bolt}: ${leaves}. Not what the register has.`,
    log: 'Log what lies there',
    none: 'none',
    asRegistered: 'All as registered',
  },
  panels: { places: 'Places', shims: 'Shims', spigot: 'Spigot' },
  headlines: {
    measure: 'Measure it first: two sets that agree.',
    shim: (where: string, n: number) => `The motor ${where}. Shim ${bolts(n)}.`,
    nothing: (where: string) => `The motor ${where}. No leaf on the shelf brings it nearer.`,
    push: (where: string, by: string) => `The motor ${where}. Push it ${by}.`,
    frame: (by: string) => `${by} stays, and the spigot is tight: frame or spigot, not shims.`,
    beyond: (by: string, play: string) =>
      `It would have to go ${by}, and the spigot lets it go ${play} from stop to stop.`,
    leave: 'In band. Nothing to shim or push.',
    stale: 'The plan is out of date: the readings changed. Choose again.',
    rocks: (by: string) => `Those shims rock the flange by ${by}.`,
  },
  details: {
    shim: 'The tilt first. What stays without it is judged below.',
    push: 'Square enough: only its place is out. A dial in each plane, bolts just slack.',
    frame:
      'A tight register holds the motor where it is. Look at the frame’s seat and the spigot; nothing under the flange cures it. Close it with the reason, or have the seat machined.',
    beyond: 'The register stops it before it is there. Look at the frame’s seat, or have the spigot turned.',
  },
  stays: {
    title: (by: string) => `No shims can cure the ${by}`,
    none: 'Nothing stays without the tilt',
    tight: (by: string, verdict: string) =>
      `Once the tilt is gone, ${by} stays: ${verdict}. The spigot is tight: if it is out, frame or spigot.`,
    loose: (by: string, verdict: string) =>
      `Once the tilt is gone, ${by} stays: ${verdict}. The spigot is loose: what is out is pushed, after the tilt.`,
    square: 'Once the tilt is gone, the shafts are in line.',
    name: 'Stays without the tilt',
    ring: (limit: string) => `ring: limit ${limit}`,
  },
  rock: {
    name: 'Rock of the shims',
    short: 'rock',
    flat: (sum: string) => `Each pair adds to ${sum}: the flange sits flat.`,
    bends: (least: string, most: string) => `Pairs add to ${least} and ${most}: the flange bends.`,
    odd: (by: string) => `No opposite pairs. The furthest top stands ${by} from the plane of all.`,
    limit: (limit: string) => `limit ${limit}`,
    source: 'Rock: as a foot may rise.',
  },
  counts: {
    opened: (n: number, leaves: number) =>
      `${String(n)} ${n === 1 ? 'bolt' : 'bolts'}, ${leaves === 1 ? 'one leaf' : `${String(leaves)} leaves`}.`,
    gap: (by: string) => `Coupling gap grows ${by}.`,
    lifted: (by: string) => `All lifted ${by} to meet the leaves.`,
  },
  pick: {
    title: 'From the shelf',
    at: (pack: string, clocks: string) => `${pack} at ${clocks}`,
    and: ' and ',
    nothing: 'Nothing.',
    keeps: (n: number) => `What lies under ${counted(n)} of them stays.`,
  },
  cut: {
    open: 'Cut from sheet',
    title: 'Shims cut from sheet',
    note: 'The way it slides in is its length. The print is to scale: check it with a rule.',
    thickness: 'Thickness',
    bolts: 'For the bolts at',
    log: 'Log and print the outline',
    done: (thickness: string, clocks: string) => `Cut: ${thickness} for ${clocks}`,
  },
  view: {
    plan: 'Shims',
    planPush: 'Push',
    move: 'Move',
    moveNote: 'what really went in and came out · the plan in brass',
    fromAbove: 'from above · 12 is the marked bolt',
    side: 'Along the tilt axis',
    sideNote: (times: string) => `${times}×`,
    lean: (unit: string) => `lean, ${unit}`,
    tiltAxis: 'tilt axis',
    high: 'high side',
    low: 'low side',
    now: 'now',
    predicted: 'predicted',
    tops: 'dotted: plane of the tops',
    topsShort: 'plane of the tops',
    schools: 'How it is shimmed',
    take: 'Use these shims',
    takePush: 'Take this push',
    goPairwise: 'Go pairwise and say why',
    whyRocks: 'Why are shims that rock the flange used?',
    clock: 'The flange seen from above',
    sideView: 'The motor seen along its tilt axis',
    none: 'Measure first: nothing is drawn yet.',
    overrule: 'Go on as it is and say why',
    whySkip: 'Why is nothing done?',
  },
  move: {
    putIn: (clock: string) => `Put in at ${clock}`,
    takenOut: (clock: string) => `Taken out at ${clock}`,
    asPlanned: 'As planned',
    lies: 'Lies there',
    log: 'Log this move',
    logPush: 'Log this push',
    pushed12: 'Pushed, toward 12 is plus',
    pushed3: 'Pushed, toward 3 is plus',
    steps: { shims: 'Shims', push: 'Push' },
    shimsPlanned: 'Lay the shims, tighten in a star, then enter what went in.',
    pushPlanned: 'Push it with a dial in each plane, tighten in a star, read what that shifted.',
    free: 'Enter what was put in and taken out.',
    logged: 'The move is logged. Measure again.',
    nothing: 'Nothing waits to be moved.',
    unknownShim: (shim: string, clock: string) =>
      `No ${shim} shim is recorded under the bolt at ${clock}. It is logged as you say.`,
    manyLeaves: (clock: string, n: number, limit: number) =>
      `The bolt at ${clock} would hold ${String(n)} leaves, the works allows ${String(limit)}. Press once more if it stays so.`,
    toGo: { v: 'To go, toward 12 is plus', h: 'To go, toward 3 is plus' },
    count: 'Log the dials',
    tightened: 'Log the dials after tightening',
    dials:
      'Dials stand against the flange at 12 and at 3, set to what it has to go: they are watched down to zero.',
    arrived: 'Both dials stand at zero. Tighten in a star, then read them again.',
    slip: {
      'other-way': (plane: string) => `It went the other way, ${plane}.`,
      'too-far': (plane: string) => `It went too far, ${plane}. Bring it back.`,
    },
    held: (by: string) => `Tightening shifted it ${by}: it held.`,
    shifted: (by: string) => `Tightening shifted it ${by}: more than it may. Slacken, and draw down evenly.`,
    pushTo: (by: string) => `Push it ${by}.`,
    left: (by: string) => `${by} to go.`,
    order: [
      'Loosen all bolts evenly; the marked bolt stays marked.',
      'Shims clean, flat, burrs off; thin ones between thick ones; the slot round the bolt.',
      'Tighten in a star: each bolt, then the one across, in three passes.',
    ],
    star: 'in a star',
    beforeTight: 'A shift on tightening is read on the same two dials.',
    correct: 'Correct the last move',
    correcting: 'Correct what was really done; the packs follow.',
  },
  achieved: {
    title: 'The last move',
    tilt: 'Tilt',
    offset: 'Offset',
    planned: 'planned',
    measured: 'measured',
    causes: {
      'as-planned': 'As planned, within what measuring leaves open.',
      'nothing-happened':
        'Nothing happened. Do the shims lie under the flange, and is it drawn down on them?',
      'sign-swapped': 'It went the other way: the shims went in across from where they belong.',
      'bolts-turned': 'The right size at the wrong hour.',
      'part-only': 'Only part of it happened. Is the flange drawn down on every shim?',
      differs: 'It did something else. Look for dirt or a burr under the flange, or a mark that moved.',
    } satisfies Record<TiltCause, string>,
    turned: (n: number) =>
      `The right size, ${counted(n)} ${n === 1 ? 'bolt' : 'bolts'} on, clockwise: were they counted from the marked bolt, seen from above?`,
  },
  finding: {
    shims: (n: number) => (n === 1 ? 'one bolt' : `${counted(n)} bolts`),
    school: (school: string, n: string) => `${school}, ${n}`,
    push: (by: string) => `Push ${by}`,
    frame: 'Frame or spigot',
    beyond: 'More than its play',
  },
  report: {
    result: 'The flange',
    bolts: 'Bolts',
    bolt: 'Bolt at',
    wasThere: 'As found',
    added: 'Put in',
    out: 'Taken out',
    now: 'As left',
    school: (school: string) => `Shimmed ${school}.`,
    push: (by: string) => `Pushed ${by}.`,
    rock: (by: string, limit: string) => `Rock ${by}, limit ${limit}.`,
    why: (why: string) => `Used all the same: ${why}`,
    name: (n: number, who: string) => `Move ${String(n)}, ${who}`,
    legend: 'Seen from above, 12 is the marked bolt. Numbers beside the bolts are what was put in, in all.',
    spigot: 'Spigot',
    predicted: (where: string) => `Predicted: ${where}.`,
  },
  facts: {
    title: 'Flange',
    bolts: (n: number, across: string) => `${String(n)} bolts on ${across}`,
    oval: (n: number, v: string, h: string) => `${String(n)} bolts on ${v} by ${h}`,
    plane: (up: string) => `flange ${up} above the coupling centre`,
    shims: (lists: string) => `Shims: ${lists}`,
    noShims: 'No shims under it.',
    school: (school: string) => `Shimmed ${school}`,
  },
}

export const flangeWords = said(flange)
