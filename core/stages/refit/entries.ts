/** What was done with the pins of blocks that went back in. */
export const PINS_AT_REFIT = ['left-out', 'fitted', 'none'] as const
export type PinsAtRefit = (typeof PINS_AT_REFIT)[number]

export interface RefitEntries {
  /** Gears, bearings and blocks are back in, on their own marked layers. */
  'gear-refitted': {
    readonly pins: PinsAtRefit
    readonly bearings: 'new' | 'same'
    readonly words: string
  }
}
