/** The last of the rounds in which anything was read. */
export const lastRead = <T>(rounds: readonly (T | null)[]): T | null => {
  const read = rounds.filter((r) => r !== null)
  return read[read.length - 1] ?? null
}
