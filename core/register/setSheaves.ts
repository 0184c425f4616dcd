import { diameterAt } from '../belt/settingTable'
import { remember } from '../logbook/remember'
import type { BeltMachine, Sheave, SheavePlace } from './beltMachine'

/**
 * A sheave set to so many turns open. Opened by `s`, a belt rides lower, and the groove's centre moves half of `s` away
 * from either face (docs/methods/variable-sheave.md).
 */
const setTo = (sheave: Sheave, turns: number): Sheave => {
  const { build } = sheave
  if (build?.kind !== 'variable' || turns === build.turnsOpen) return sheave
  const opening = (turns - build.turnsOpen) * build.threadPitch
  const { pitchDiameter } = sheave
  const diameter = diameterAt({ ...build, pitchDiameter }, turns)
  return {
    ...sheave,
    // Opened further than its flanges reach there is no groove left: what the register has stays.
    pitchDiameter: diameter ?? pitchDiameter,
    depthOuter: sheave.depthOuter + opening / 2,
    depthInner: sheave.depthInner + opening / 2,
    build: { ...build, turnsOpen: turns },
  }
}

/** Turns open as they were read last in a job, by sheave; missing where nobody read them. */
export type Settings = Readonly<Partial<Record<SheavePlace, number>>>

/** Turns finer than a sixteenth are nobody’s doing. */
export const SAME_SETTING = 1 / 16

const turnsOpen = ({ build }: Sheave): number => (build?.kind === 'variable' ? build.turnsOpen : 0)

/** Whether the sheaves of both stand open alike. */
export const setAlike = (a: BeltMachine, b: BeltMachine): boolean =>
  (['motor', 'driven'] as const).every(
    (place) => Math.abs(turnsOpen(a.sheaves[place]) - turnsOpen(b.sheaves[place])) < SAME_SETTING,
  )

/** Whether both were read with every sheave standing alike. */
export const sameSettings = (a: Settings, b: Settings): boolean =>
  a === b || (a.motor === b.motor && a.driven === b.driven)

/** The machine as its sheaves stand now: their settings as read, the register's where nobody read them. */
const withSettings = (machine: BeltMachine, settings: Settings): BeltMachine => {
  const { motor, driven } = machine.sheaves
  const set = {
    motor: settings.motor === undefined ? motor : setTo(motor, settings.motor),
    driven: settings.driven === undefined ? driven : setTo(driven, settings.driven),
  }
  return set.motor === motor && set.driven === driven ? machine : { ...machine, sheaves: set }
}

/** Both, remembered: what is worked out about a machine as it stands holds until it is set again. */
export const machineAsSet = remember(withSettings)
