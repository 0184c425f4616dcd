const NICE = [1, 2, 2.5, 4, 5, 8]

/** The largest round exaggeration that is not above the wanted one; 1 at least. */
export const roundTimes = (wanted: number): number => {
  const power = 10 ** Math.floor(Math.log10(Math.max(wanted, 1)))
  return NICE.reduce((best, n) => (n * power <= wanted ? n * power : best), power)
}
