import type { Random } from '../../core/random/random'
import type { SimulatedJob } from '../../core/simulate/jobPopulation'
import type { RealSetUp, TakenSet } from '../../core/simulate/simulatedCouple'
import type { FourFeet } from '../../core/simulate/machineOnFeet'

const MIL = 0.0254

/** A fault: how it changes the job, one taken set, or the second of two. */
export interface Fault {
  readonly name: string
  readonly words: string
  readonly job?: (job: SimulatedJob, random: Random) => SimulatedJob
  readonly real?: (real: RealSetUp, random: Random) => RealSetUp
  /** Changes what is written down of a set; `nth` counts sets from 1. */
  readonly set?: (set: TakenSet, random: Random, nth: number) => TakenSet
  /** The fault is in one of two sets only. */
  readonly once?: boolean
}

const between = (random: Random, low: number, high: number) => low + (high - low) * random()
const either = (random: Random) => (random() < 0.5 ? 1 : -1)
const changeOne = (set: TakenSet, dial: 'rim' | 'face', at: number, by: number): TakenSet => ({
  ...set,
  [dial]: set[dial].map((r, i) => (i === at ? { ...r, value: r.value + by } : r)),
})

const sidesSwapped = (list: TakenSet['rim']): TakenSet['rim'] =>
  list.map((r) => ({
    ...r,
    value: list.find((o) => o.clock === (360 - r.clock) % 360)?.value ?? r.value,
  }))

/** Everything that a job of the trust study may have wrong with it; the first has nothing. */
export const FAULTS: readonly Fault[] = [
  { name: 'honest', words: 'nothing beyond ordinary errors' },
  {
    name: 'forgotten sag',
    words: 'the bar hangs 2 to 9 mil, the sheet says 0',
    job: (job, random) => ({
      ...job,
      real: { ...job.real, rimSag: between(random, 2, 9) * MIL },
      told: { ...job.told, rimSag: 0 },
    }),
  },
  {
    name: 'one misread dial',
    words: 'one reading of one set off by 5, 10, 20 or 50 mil',
    once: true,
    set: (set, random) => {
      const by = ([5, 10, 20, 50][Math.floor(random() * 4)] as number) * MIL * either(random)
      return changeOne(set, random() < 0.5 ? 'rim' : 'face', 1 + Math.floor(random() * 3), by)
    },
  },
  {
    name: 'axial float',
    words: 'the shafts creep 2 to 10 mil (sd) along the axis between positions',
    real: (real, random) => ({ ...real, float: between(random, 2, 10) * MIL }),
  },
  {
    name: 'slipped bracket',
    words: 'one dial gives way by 3 to 15 mil somewhere in one set',
    once: true,
    real: (real, random) => {
      const slip = { at: between(random, 10, 350), by: between(random, 3, 15) * MIL * either(random) }
      return random() < 0.5
        ? { ...real, rimDial: { ...real.rimDial, slip } }
        : { ...real, faceDial: { ...real.faceDial, slip } }
    },
  },
  {
    name: 'backlash',
    words: 'both dials lag by 2 to 8 mil when the plunger turns back',
    real: (real, random) => {
      const backlash = between(random, 2, 8) * MIL
      return {
        ...real,
        rimDial: { ...real.rimDial, backlash },
        faceDial: { ...real.faceDial, backlash },
      }
    },
  },
  {
    name: 'swapped 3 and 9',
    words: 'the two sides are written down the wrong way round, always',
    set: (set) => ({ ...set, rim: sidesSwapped(set.rim), face: sidesSwapped(set.face) }),
  },
  {
    name: 'wrong sign',
    words: 'the rim dial counts the other way and nobody pushed it',
    real: (real) => ({ ...real, rimDial: { ...real.rimDial, sign: -1 } }),
  },
  {
    name: 'strained coupling',
    words: 'a stiff coupling left made up takes half to nine tenths of the error',
    job: (job, random) => ({
      ...job,
      real: { ...job.real, coupled: true },
      couple: {
        ...job.couple,
        grip: {
          lateral: between(random, 0.5, 5),
          bending: between(random, 0.5, 5),
          shaftLateral: 1,
          shaftBending: 1,
        },
      },
    }),
  },
  {
    name: 'soft foot',
    words: 'one pad stands 5 to 20 mil low, the frame bends as it is bolted',
    job: (job, random) => {
      const low = Math.floor(random() * 4)
      const by = between(random, 5, 20) * MIL
      const feet = job.couple.movable.feet.map((f, i) => (i === low ? { ...f, pad: f.pad - by } : f))
      return {
        ...job,
        couple: { ...job.couple, movable: { ...job.couple.movable, feet: feet as unknown as FourFeet } },
      }
    },
  },
  {
    name: 'wrong distance',
    words: 'a face diameter, plane or foot distance off by a quarter to half, tenfold or twelvefold',
    job: (job, random) => {
      const times = [1.3, 1.5, 0.6, 10, 12][Math.floor(random() * 5)] as number
      const which = Math.floor(random() * 3)
      const [inboard, outboard] = job.told.feet
      return {
        ...job,
        told: {
          ...job.told,
          faceDiameter: which === 0 ? job.told.faceDiameter * times : job.told.faceDiameter,
          rimPlane: which === 1 ? job.told.rimPlane * times : job.told.rimPlane,
          feet: which === 2 ? [inboard, outboard * times] : [inboard, outboard],
        },
      }
    },
  },
  {
    name: 'wrong sag',
    words: 'the sheet has a sag, but that of a bar half or twice as stiff',
    job: (job, random) => ({
      ...job,
      told: { ...job.told, rimSag: job.told.rimSag * (random() < 0.5 ? 0.5 : 2) },
    }),
  },
  {
    name: 'pair swapped once',
    words: '3 and 9 are written down the wrong way round in one set only',
    once: true,
    set: (set) => ({ ...set, rim: sidesSwapped(set.rim), face: sidesSwapped(set.face) }),
  },
  {
    name: 'tape read from its wrong end',
    words: 'a face diameter or a foot distance is what is left of a 300 mm or 1 m rule',
    job: (job, random) => {
      const { faceDiameter, feet } = job.told
      const [inboard, outboard] = feet
      const between = outboard - inboard
      return {
        ...job,
        told:
          random() < 0.5
            ? { ...job.told, faceDiameter: 300 - faceDiameter }
            : { ...job.told, feet: [inboard, inboard + (1000 - between)] },
      }
    },
  },
  {
    name: 'oval hub',
    words: 'one shaft stands still, nobody says so, and its hub is oval by 2 to 8 mil',
    job: (job, random) => {
      const oval = { amount: (between(random, 2, 8) * MIL) / 2, at: between(random, 0, 180) }
      const { stationaryHub, movableHub } = job.couple
      return {
        ...job,
        couple: {
          ...job.couple,
          stationaryHub: { ...stationaryHub, oval },
          movableHub: { ...movableHub, oval },
        },
        real: { ...job.real, bothTurn: false },
      }
    },
  },
  {
    name: 'sticking needle',
    words: 'once, in one set, a needle shows what it showed at the position before',
    once: true,
    set: (set, random) => {
      const dial = random() < 0.5 ? 'rim' : 'face'
      const at = 1 + Math.floor(random() * 3)
      return changeOne(set, dial, at, (set[dial][at - 1]?.value ?? 0) - (set[dial][at]?.value ?? 0))
    },
  },
]
