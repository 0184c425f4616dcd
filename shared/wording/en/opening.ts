import type { JobReason } from '../../../core/stages/open/entries'

export const opening = {
  reasons: {
    planned: 'Planned check',
    vibration: 'Vibration',
    'new-machine': 'New machine',
    moved: 'Moved or rebuilt',
    wear: 'Wear found',
    other: 'Other',
  } satisfies Record<JobReason, string>,
  asRegistered: 'As registered.',
  readIt: (rpm: number) => `Registered: ${rpm} rpm. Read it off the nameplate and type it.`,
  differs: (rpm: number) => `The register says ${rpm} rpm. The limits will follow what you typed.`,
  tenfold: (typed: number, rpm: number) =>
    `${typed} is tenfold off the register (${rpm} rpm). Check the nameplate again; press once more if it is right.`,
  farOff: (typed: number, rpm: number) =>
    `${typed} is far from the register (${rpm} rpm). Check the nameplate again; press once more if it is right.`,
}
