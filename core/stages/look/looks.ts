import { sizeVerdict } from '../../judge/sizeVerdict'
import type { LogEntry } from '../../logbook/entry'
import { remember } from '../../logbook/remember'
import type { FootedMachine } from '../../register/footedMachine'
import type { FlangeMachine } from '../../register/flangeMachine'
import { partsOfCoupling } from '../../register/couplingParts'
import { toCore, type Millimetres } from '../../units/unitSystem'
import { levelBase, type BaseFound } from './base'
import { GEAR_PLACES } from '../gearLook/entries'
import type { GearMachine } from '../../register/gearMachine'
import { FLANGE_PLACES } from '../flangeLook/entries'
import { BASE_PLACES, DRUM_PLACES, type Found, type Place } from './entries'
import { shimsAgainstRegister, type FootFound } from './shimsFound'

/** What was written of the opened machine. */
export interface LookFacts {
  readonly looked: ReadonlyMap<Place, LogEntry<'place-looked'>>
  readonly pins: LogEntry<'pins-handled'> | null
  readonly pipe: LogEntry<'pipe-read'> | null
  readonly shims: readonly LogEntry<'shims-found'>[]
  readonly base: LogEntry<'base-read'> | null
  readonly cut: readonly LogEntry<'sheet-shims-cut'>[]
  /** All of it in order, for the record. */
  readonly all: readonly LookEntry[]
}
export type LookEntry = LogEntry<
  'place-looked' | 'pins-handled' | 'pipe-read' | 'shims-found' | 'base-read' | 'sheet-shims-cut'
>
export const NO_LOOKS: LookFacts = {
  looked: new Map(),
  pins: null,
  pipe: null,
  shims: [],
  base: null,
  cut: [],
  all: [],
}

export const keepLooks = (now: LookFacts, e: LogEntry): LookFacts => {
  switch (e.kind) {
    case 'place-looked': {
      const looked = new Map(now.looked)
      for (const place of e.payload.places) looked.set(place, e)
      return { ...now, looked, all: [...now.all, e] }
    }
    case 'pins-handled':
      return { ...now, pins: e, all: [...now.all, e] }
    case 'pipe-read':
      return { ...now, pipe: e, all: [...now.all, e] }
    case 'shims-found':
      return { ...now, shims: [...now.shims, e], all: [...now.all, e] }
    case 'base-read':
      return { ...now, base: e, all: [...now.all, e] }
    case 'sheet-shims-cut':
      return { ...now, cut: [...now.cut, e], all: [...now.all, e] }
    default:
      return now
  }
}

/** Whatever is opened and looked over place by place. */
export type Opened = FootedMachine | FlangeMachine | GearMachine

const PLACES: Readonly<Record<Opened['drive'], readonly Place[]>> = {
  coupled: BASE_PLACES,
  flange: FLANGE_PLACES,
  drum: DRUM_PLACES,
  gear: GEAR_PLACES,
}

/** Where one looks on this machine: its base, its flange or its gears, and its coupling by kind. */
export const placesOf = remember((machine: Opened): readonly Place[] => [
  ...PLACES[machine.drive],
  ...(machine.drive === 'gear' ? [] : partsOfCoupling(machine.couplingType)),
])

/** How far a hub may move while the pipe's bolts are loosened, the starting value: two mil. */
export const PIPE_LIMIT: Millimetres = 2 * 0.0254

/** What the pipe or duct does to the machine. */
export interface PipeStrain {
  readonly entry: LogEntry<'pipe-read'>
  /** How the hub went when the bolts were loosened; null where that dial wasn't there. */
  readonly vertical: Millimetres | null
  readonly horizontal: Millimetres | null
  readonly limit: Millimetres
  readonly source: 'own' | 'starting'
  readonly verdict: 'in' | 'edge' | 'out'
}

const pipeOf = remember((entry: LogEntry<'pipe-read'>): PipeStrain => {
  const { vertical, horizontal, limit, units } = entry.payload
  const shift = (t: number | null) => (t === null ? null : toCore(t, 'displacement', units))
  const [v, h] = [shift(vertical), shift(horizontal)]
  const allowed = shift(limit) ?? PIPE_LIMIT
  return {
    entry,
    vertical: v,
    horizontal: h,
    limit: allowed,
    source: limit === null ? 'starting' : 'own',
    verdict: sizeVerdict(Math.hypot(v ?? 0, h ?? 0), allowed * (1 + 1e-9)),
  }
})

/** One place and what was found there last; null while nobody looked. */
export interface PlaceFound {
  readonly place: Place
  readonly entry: LogEntry<'place-looked'> | null
}

/** What the opened machine looks like. */
export interface Looks {
  readonly facts: LookFacts
  readonly places: readonly PlaceFound[]
  readonly unseen: readonly Place[]
  readonly counts: Readonly<Record<Found, number>>
  readonly pipe: PipeStrain | null
  /** Pulled, and nobody wrote that they are back. */
  readonly pinsOut: boolean
  /** Leaves under each foot as found, against the register. */
  readonly feet: readonly FootFound[]
  readonly base: BaseFound | null
}

export const checkLooks = remember((machine: Opened, facts: LookFacts): Looks => {
  const places = placesOf(machine).map((place) => ({ place, entry: facts.looked.get(place) ?? null }))
  const counts = { fine: 0, 'put-right': 0, 'to-report': 0 }
  for (const { entry } of places) if (entry) counts[entry.payload.found]++
  return {
    facts,
    places,
    unseen: places.filter((p) => p.entry === null).map((p) => p.place),
    counts,
    pipe: facts.pipe && pipeOf(facts.pipe),
    pinsOut: facts.pins?.payload.did === 'pulled',
    feet:
      machine.drive === 'flange' || machine.drive === 'gear'
        ? []
        : shimsAgainstRegister(machine, facts.shims),
    base: facts.base && levelBase(facts.base),
  }
})
