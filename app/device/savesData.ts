/** Whoever pays for what is fetched has said that nothing shall be fetched unasked. */
export const savesData = (): boolean =>
  Boolean((navigator as Navigator & { connection?: { saveData?: boolean } }).connection?.saveData)
