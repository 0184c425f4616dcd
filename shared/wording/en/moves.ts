import { turning } from '../otherEnd'
import { named, type Named } from '../words'
import type { Upstream } from '../../../core/stages/measure/chase'
import type { AchievedCause } from '../../../core/coupling/achieved'

export const moves = (n: Named) => ({
  causes: {
    'as-planned': 'It moved as it was made.',
    'came-along': 'Nothing was asked for in this plane; it came along with the other.',
    'nothing-happened': 'Nothing moved. Check that the shims went in and that the bolts let the feet go.',
    'sign-swapped': 'It moved the other way. A sign or a direction was swapped.',
    'sides-swapped': 'It moved to the other side. 3 and 9 were swapped.',
    'shift-on-tightening': 'It shifted while the bolts were tightened.',
    'soft-foot': 'A soft foot took part of the move.',
    'coupling-strain': 'The coupling held the shafts back: strain.',
    'feet-swapped': 'The moves of the two ends were swapped.',
    'part-only': 'Only part of the move arrived. Look for feet that spring back or bolts not slackened.',
    differs: 'It moved otherwise than it was made. Look for a soft foot, a shift on tightening, or strain.',
  } satisfies Record<AchievedCause, string>,
  rounds: {
    title: 'Round by round',
    asFound: 'found',
    after: (n: number) => `after ${n}`,
    ofLimit: (percent: number) => `${percent} %`,
    share: 'worst, of its limit',
  },
  chase: {
    headline: (n: number) => `You are chasing: the last ${n} moves did not make it better.`,
    stop: 'Stop moving it and look upstream:',
    nothing:
      'Nothing upstream stands out in this job. Read the set-up again with fresh eyes: bracket, distances, signs.',
    upstream: {
      'feet-unread':
        'The feet were not checked, or not since they were filled: a rocking foot moves the shaft at every tightening.',
      'feet-out': 'The feet are not at rest: cure them before another shim.',
      'pipe-unread':
        'Nobody looked whether a pipe or duct pulls: a dial at the coupling while its bolts are loosened.',
      'pipe-pulls': 'The pipe pulls at the machine. What you move, it pulls back.',
      'missed-zero': 'The dials did not come back to zero: something in the bracket slips.',
      'not-repeated':
        'The last readings were not repeated: you may be following the reading, not the machine.',
      'runout-unread': 'One shaft stands still and its run-out was not measured: it is in every reading.',
      'runout-out': 'A hub runs out of true more than it may.',
      'rough-in-out':
        'The hubs were still outside the rough-in: a strained coupling bends the shafts under the dials.',
      'moves-differ': 'Moves did not come out as they were made: shims, bolts and jacking screws first.',
    } satisfies Record<Upstream, string>,
  },
  carriedAlong: 'Nothing was done in this plane; what it moved came along with the other.',
  strayed: 'What was made is not what was planned.',
  headlines: {
    setUpFirst: 'Set up and measure first.',
    rocks: 'Left and right of a pair differ: the machine would rock.',
    both: 'Shims and side moves together. Re-measure after it.',
    shims: 'Shims first. Tighten, re-measure, then go sideways.',
    side: 'Side move. Small bites, both ends in turn.',
    logged: 'The move is logged. Measure again.',
    shimsPlanned: 'Put the shims in, then enter what went in.',
    sidePlanned: 'Push it sideways, watching a dial at both ends.',
    free: 'Enter what was put in and taken out.',
    correcting: 'Correct what was really done; the packs follow.',
    planStale: 'The plan is out of date: the readings changed. Choose again, or enter what was done.',
  },
  uneven: (feet: string, by: string) => `${feet}: left and right differ by ${by}.`,
  unknownShim: (shim: string, foot: string) =>
    `No ${shim} shim is recorded under ${foot}. It is logged as you say.`,
  beyondRoom: (feet: string, typed: string, room: string) =>
    `${feet}: ${typed} is more than the ${room} left in the bolt holes. Check it; press once more if it is so.`,
  thickShim: (shim: string) => `A ${shim} shim? Check the digits; press once more if it is so.`,
  manyLeaves: (foot: string, n: number, limit: number) =>
    `${foot} would hold ${n} leaves, the works allows ${limit}. Press once more if it stays so.`,
  fewShims: 'A shim has a thickness above zero.',
  twoOrOne: '“20,20”: two shims, or one of 20.2? Type 20 + 20, or 20.2 with a point.',
  /** What stands on the stage itself. */
  view: {
    title: 'Move',
    titleCorrecting: 'Move, correcting the last one',
    planned: 'the plan in brass · enter what was really done',
    free: 'no plan waits · enter what was done',
    shimsAsPlanned: 'Shims as planned',
    sidesAsPlanned: 'Sides as planned',
    pushed: (pair: string) => `${pair} pushed, toward 3 is plus`,
    room: (three: string, nine: string) => `room ${three} toward 3, ${nine} toward 9`,
    againstDriven: `The ${n.stationaryMachine} was moved too: made and measured are of the ${n.movable}’s axis against it.`,
    drivenToo: (machine: string) => `The ${machine} was moved too`,
    correctLast: 'Correct the last move',
    order: [
      'Lift only as far as the shim needs; lifting rules apply. Keep hands out from under the feet.',
      'Thin shims between thick ones, clean, no burrs.',
      'Tighten criss-cross and watch a dial for shift.',
      'Push sideways after the shims are right: dials at both ends, jacking bolts backed off at the end.',
    ],
    log: 'Log this move',
    goMeasure: 'Go on to measuring',
    lastMove: 'The last move',
  },
})

export const movesWords = named(moves, (w) => ({
  ...w,
  view: { ...w.view, pushed: turning(w.view.pushed), room: turning(w.view.room) },
}))
