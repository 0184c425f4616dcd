/** Where a drum is struck so that it runs true. */
export interface DrumTrueEntries {
  /** Light blows at a mark of the drum, bolts snug: toward the shaft at its rim, square to its face at its face. */
  'drum-tapped': {
    readonly surface: 'rim' | 'face'
    /** Clock mark on the drum. */
    readonly mark: number
    readonly words: string
  }
}
