export interface GearTightenEntries {
  /** Blocks and covers drawn down; contact and backlash are read again after it. */
  'gear-tightened': { readonly words: string }
}
