import { sided } from '../words'
import type { Plane } from '../../../core/frame/planes'

/** Directions: what a sign means. An offset, an angle or a move never stands with a bare sign. */
export const directions = {
  planes: { v: 'vertical', h: 'horizontal' } satisfies Record<Plane, string>,
  views: { v: 'Side view', h: 'Top view' } satisfies Record<Plane, string>,
  viewNotes: { v: '12 is up', h: '3 o’clock is up' } satisfies Record<Plane, string>,
  unknown: 'not known',
  /** Of an upright shaft. */
  clockward: (size: string, clock: string) => `${size} toward ${clock}`,
  towardClock: (clock: string) => `toward ${clock}`,
  leans: (by: string) => `leans ${by}`,
  upright: 'stands square',
  off: (by: string) => `stands off ${by}`,
  high: 'high',
  low: 'low',
  toward: (hour: '3' | '9') => `toward ${hour}`,
  levelWith: 'level with it',
  inLineWith: 'in line with it',
  noAngle: { v: 'no vertical angle', h: 'no horizontal angle' } satisfies Record<Plane, string>,
  parallel: 'parallel',
  end: (foot: string, way: string) => `${foot} end ${way}`,
  gapOpenAt: (where: string) => `gap open at ${where}`,
  top: 'top',
  bottom: 'bottom',
  go: { up: 'up', down: 'down', nowhere: 'nowhere' },
  shim: { add: 'add', takeOut: 'take out', leave: 'leave as it is' },
  push: (size: string, hour: '3' | '9') => `push ${size} toward ${hour}`,
  /** Short enough to stand under a figure. */
  under: {
    endHigh: 'end high',
    endLow: 'end low',
    endTo: (hour: '3' | '9') => `end to ${hour}`,
    openAt: (hour: string) => `open at ${hour}`,
  },
  hours: Object.fromEntries(Array.from({ length: 12 }, (_, h) => [h * 30, `${h || 12} o’clock`])) as Readonly<
    Record<number, string>
  >,
  degrees: (clock: number) => `${clock}°`,
}

export const directionsWords = sided(
  directions,
  (d) => ({ ...d, viewNotes: { ...d.viewNotes, h: '9 o’clock is up' } }),
  (d) => ({
    ...d,
    planes: { v: '12 to 6', h: '3 to 9' },
    views: { v: 'Seen from 3', h: 'Seen from 12' },
    viewNotes: { v: '12 is left', h: '3 is left' },
    high: 'toward 12',
    low: 'toward 6',
    levelWith: 'in line with it',
    noAngle: { v: 'no lean to 12 or 6', h: 'no lean to 3 or 9' },
    end: (_, way) => `leans ${way}`,
    top: '12',
    bottom: '6',
    go: { up: 'toward 12', down: 'toward 6', nowhere: 'nowhere' },
    under: { ...d.under, endHigh: 'leans to 12', endLow: 'leans to 6', endTo: (hour) => `leans to ${hour}` },
  }),
)
