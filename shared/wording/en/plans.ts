import { turning } from '../otherEnd'
import { sided } from '../words'
import type { BlockedFoot, PlanKind } from '../../../core/plan/movePlan'

export const plans = {
  names: {
    closest: 'Closest',
    'fewest-feet': 'Fewest feet',
    'fewest-shims': 'Fewest shims',
    'least-lift': 'Least lift',
    own: 'Your own',
    nothing: 'Leave it as it is',
  } satisfies Record<PlanKind | 'own' | 'nothing', string>,
  blocked: {
    'no-shim': 'nothing left to take out',
    'pack-height': 'the pack would be too high',
    'bolt-bound': 'no room left in the bolt holes',
    locked: 'the feet are locked',
  } satisfies Record<BlockedFoot['reason'], string>,
  blockedFoot: (feet: string, need: string, way: string, room: string, reason: string) =>
    `${feet} should go ${need} ${way}, can go ${room}: ${reason}.`,
  up: 'up',
  down: 'down',
  nothingYet: 'There is nothing to plan from yet.',
  nothingYetDetail: 'Read as found until two sets agree.',
  inBandAlready: 'It is in band as it stands. Nothing needs to move.',
  nothingIsAPlan: 'Leaving it is a plan too: go on to the close.',
  noneChosen: 'No plan is chosen yet.',
  movesNothing: 'This plan moves nothing.',
  movesNothingDetail: 'Take one of the plans below, or drag a foot.',
  bringsIn: 'This move brings it in band.',
  bringsToEdge: 'This move brings it inside the limit, near its edge.',
  bringsToEdgeDetail: 'Ordinary scatter in the move may leave it out. Look for a closer plan.',
  leavesOut: (what: string) => `This move leaves it out of band: ${what}.`,
  stale: 'The readings have changed since this plan was taken.',
  staleDetail: 'The sets in use are not those it was made from. Choose again.',
  suggested: 'Suggested: it leaves room in hand and handles the fewest shims.',
  noShims: 'no shims',
  allPairs: (n: number) => (n === 2 ? 'both pairs' : `all ${n} pairs`),
  onlyPair: (pair: string) => `${pair} only`,
  somePairs: (n: number) => `${n} pairs`,
  shims: (n: number) => `${n} ${n === 1 ? 'shim' : 'shims'}`,
  chance: (percent: number) => `${percent} % in band`,
  takes: (minutes: number) => `about ${minutes} min`,
  times: (foot: number, shim: number, push: number, measuring: number) =>
    `${foot} min a foot opened, ${shim} a shim, ${push} a pair pushed, ${measuring} to measure`,
  timesStarting: (starting: string) =>
    `Times are starting values until this works has made a few moves: ${starting}.`,
  timesLearned: (moves: number, percent: number, starting: string) =>
    percent === 0
      ? `Times go by the last ${moves} moves of this works, which took what the starting values say: ${starting}.`
      : `Times go by the last ${moves} moves of this works, which took ${Math.abs(percent)} % ${percent > 0 ? 'longer' : 'less'} than the starting values: ${starting}.`,
  chances: (sets: string) =>
    `Chances count what the readings leave open (${sets}), and shims, pushes and tightening in ordinary hands.`,
  setsTogether: (n: number) => (n === 1 ? 'one set' : `${n} sets together`),
  measureAgain: 'Measure again before moving.',
  wide: (what: string, known: string, band: string) =>
    `${what} is known to ${known} only, and its band is ${band}.`,
  measuring: (best: number, exact: number) =>
    `The best plan ends in band ${best} times in 100 as it was read; with exact readings it would ${exact} times.`,
  leave: 'Another move isn’t worth it.',
  leaveBecause: (now: number, best: number | null) =>
    best === null
      ? `As it stands it is in band with ${now} %, and no plan betters it.`
      : `As it stands it is in band with ${now} %; the best plan makes it ${best} %.`,
  inBandWith: (now: number) => `In band with ${now} %.`,
  price: {
    raise: (machine: string, by: string, feet: string) =>
      `Or raise the ${machine} by ${by} under all its feet: then the ${feet} of this one needn’t go lower.`,
    lower: (machine: string, by: string, feet: string) =>
      `Or lower the ${machine} by ${by} under all its feet: then the ${feet} of this one needn’t go higher.`,
    push: (machine: string, by: string, way: string, feet: string) =>
      `Or push the ${machine} ${by} ${way}: then the bolts of the ${feet} here have the room.`,
  },
  which: {
    ask: 'Which machine is moved',
    both: 'both',
    withBoth: (machine: string) => `Plan with the ${machine} too`,
  },
  packs: {
    shown: 'Drawn',
    shafts: 'shafts',
    packs: 'packs',
    in: 'goes in',
    out: (leaves: string) => `Comes out: ${leaves}`,
    stays: 'Stays as it lies.',
    bare: 'nothing under it',
    order: 'Bottom up; thin leaves lie between thick ones. All leaves clean and flat, burrs off.',
    pick: 'From the shelf',
    take: (n: number, thick: string) => `${n} × ${thick}`,
    peeled: 'peeled off laminated stock',
    back: 'Goes back',
    cannot: 'This can’t be made from the leaves there are.',
  },
  graph: {
    open: 'Graph paper',
    title: (tag: string, name: string) => `${tag} ${name}`,
    scale: (along: string, across: string) => `One division: ${along} along the shafts, ${across} across`,
    found: 'as it stands',
    target: 'where it is to lie',
    planned: 'after this plan',
    coupling: 'coupling',
  },
  room: {
    title: 'Room in the bolt holes',
    left: (toward3: string, toward9: string) => `${toward3} left toward 3, ${toward9} toward 9`,
    locked: 'locked',
  },
  /** What stands on the stage itself. */
  view: {
    title: 'Plan',
    drag: 'Drag a foot or step it with ↑ ↓: real shims upward, graduations sideways. White is now, brass after.',
    waits: 'The plan is drawn here once the readings can be trusted.',
    notRepeated: 'The readings were not repeated. A plan is only as good as they are.',
    searching: 'Working out the plans.',
    looked: (settings: number) => `${settings.toLocaleString('en')} settings looked at so far.`,
    stopSearch: 'Stop; I plan by hand',
    stopped: 'Stopped. Drag the feet, or have the plans worked out.',
    searchFailed: 'The plans could not be worked out here. Drag the feet, or try again.',
    searchAgain: 'Work out the plans',
    ways: 'Ways to move it',
    dragged: 'You dragged a foot: this is your own plan.',
    withoutPlan: 'Move without a plan',
    passOver: 'Pass over the plan',
    withoutThisPlan: 'Move without this plan',
    nothingToMove: 'Nothing to move; go on',
    takeShims: 'Take these shims to the machine',
    takeSides: 'Take these side moves to the machine',
  },
}

export const plansWords = sided(plans, (w) => ({ ...w, room: { ...w.room, left: turning(w.room.left) } }))
