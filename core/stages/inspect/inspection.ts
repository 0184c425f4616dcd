import type { LogEntry } from '../../logbook/entry'
import { remember } from '../../logbook/remember'
import type { BeltMachine, SheavePlace } from '../../register/beltMachine'
import { SAME_SETTING, type Settings } from '../../register/setSheaves'
import type { Found } from '../look/entries'
import { DRIVE_PLACES, type DrivePlace } from './entries'

/** What was written of the open drive. */
export interface InspectFacts {
  readonly looked: ReadonlyMap<DrivePlace, LogEntry<'drive-looked'>>
  readonly settings: Readonly<Record<SheavePlace, LogEntry<'setting-read'> | null>>
  /** Turns open as read last, by sheave; the same object until one is read again. */
  readonly turns: Settings
  /** All of it in order, for the record. */
  readonly all: readonly LogEntry<'drive-looked' | 'setting-read'>[]
}
export const NOT_INSPECTED: InspectFacts = {
  looked: new Map(),
  settings: { motor: null, driven: null },
  turns: {},
  all: [],
}

export const keepInspection = (now: InspectFacts, e: LogEntry): InspectFacts => {
  switch (e.kind) {
    case 'drive-looked': {
      const looked = new Map(now.looked)
      for (const place of e.payload.places) looked.set(place, e)
      return { ...now, looked, all: [...now.all, e] }
    }
    case 'setting-read':
      return {
        ...now,
        settings: { ...now.settings, [e.payload.place]: e },
        turns: { ...now.turns, [e.payload.place]: e.payload.turns },
        all: [...now.all, e],
      }
    default:
      return now
  }
}

export interface DrivePlaceFound {
  readonly place: DrivePlace
  readonly entry: LogEntry<'drive-looked'> | null
}

/** A sheave that can be set: what it stands at, against what the register knows. */
export interface SettingFound {
  readonly place: SheavePlace
  readonly registered: number
  readonly entry: LogEntry<'setting-read'> | null
  /** Turns opened since; null until it was read. */
  readonly opened: number | null
}

export interface Inspection {
  readonly facts: InspectFacts
  readonly places: readonly DrivePlaceFound[]
  readonly unseen: readonly DrivePlace[]
  readonly counts: Readonly<Record<Found, number>>
  readonly settings: readonly SettingFound[]
}

/** What the open drive looks like; every place of it, and each sheave that can be set. */
export const checkInspection = remember((machine: BeltMachine, facts: InspectFacts): Inspection => {
  const places = DRIVE_PLACES.map((place) => ({ place, entry: facts.looked.get(place) ?? null }))
  const counts = { fine: 0, 'put-right': 0, 'to-report': 0 }
  for (const { entry } of places) if (entry) counts[entry.payload.found]++
  const settings = (['motor', 'driven'] as const).flatMap((place): SettingFound[] => {
    const { build } = machine.sheaves[place]
    if (build?.kind !== 'variable') return []
    const entry = facts.settings[place]
    const by = entry ? entry.payload.turns - build.turnsOpen : null
    return [
      {
        place,
        registered: build.turnsOpen,
        entry,
        opened: by !== null && Math.abs(by) < SAME_SETTING ? 0 : by,
      },
    ]
  })
  return {
    facts,
    places,
    unseen: places.filter((p) => p.entry === null).map((p) => p.place),
    counts,
    settings,
  }
})
