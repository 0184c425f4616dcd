import type { BeltKind } from '../../../core/belt/sheaveLine'
import type { DrumKind } from '../../../core/register/drumMachine'
import type { GearKind } from '../../../core/register/gearMachine'
import { said } from '../words'

/** What a machine is, in one line: what drives what, by what, how fast. */
export const drives = {
  /** A coupling below a motor that stands on end. */
  upright: (coupling: string) => `${coupling}, upright on a flange`,
  /** A motor that is measured against a drum. */
  trammed: (coupling: string, drum: string) => `${coupling}, trammed to its ${drum}`,
  /** `3 machines on one line` */
  onOneLine: (n: number) => `${n} machines on one line`,
  drums: { 'brake-drum': 'brake drum', flywheel: 'flywheel' } satisfies Record<DrumKind, string>,
  geared: (kind: string, ratio: string) => `${kind} 1:${ratio}`,
  gears: { worm: 'worm gearset', bevel: 'bevel gearset' } satisfies Record<GearKind, string>,
  between: (motor: string, driven: string) => `${motor} to ${driven}`,
  nameplate: (kw: number, rpm: number) => `${kw} kW, ${rpm} rpm`,
  under: (area: string, drive: string, kw: number, rpm: number) =>
    `${area} · ${drive} · ${kw} kW · ${rpm} rpm`,
  inJob: (kw: number, drive: string, joined: string, rpm: number) =>
    `${kw} kW ${drive} · ${joined} · ${rpm} rpm`,
  belts: (count: number, kind: string) => (count === 1 ? kind : `${count} ${kind}`),
  beltKinds: {
    v: 'V-belts',
    joined: 'joined V-belts',
    ribbed: 'ribbed belt',
    toothed: 'toothed belt',
  } satisfies Record<BeltKind, string>,
}

export const drivesWords = said(drives)
