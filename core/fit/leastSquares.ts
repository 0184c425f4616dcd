/**
 * Least-squares solution of `rows * x = values` by the normal equations and Gauss elimination with
 * pivoting; for a handful of parameters of like size (sines and cosines, straight lines). Null when
 * the rows can't tell the parameters apart.
 */
export const solveLinear = (
  rows: readonly (readonly number[])[],
  values: readonly number[],
): readonly number[] | null => {
  const n = rows[0]?.length ?? 0
  const m = Array.from({ length: n }, () => new Array<number>(n + 1).fill(0))
  rows.forEach((row, r) => {
    for (let i = 0; i < n; i++) {
      const target = m[i] as number[]
      for (let j = 0; j < n; j++) target[j] = (target[j] as number) + (row[i] as number) * (row[j] as number)
      target[n] = (target[n] as number) + (row[i] as number) * (values[r] as number)
    }
  })
  return eliminate(m)
}

/** Solves the square system whose augmented rows are `m`; null when it is singular. Changes `m`. */
export const eliminate = (m: number[][]): readonly number[] | null => {
  const n = m.length
  const scale = Math.max(...m.map((row, i) => Math.abs(row[i] as number)))
  for (let col = 0; col < n; col++) {
    let pivot = col
    for (let r = col + 1; r < n; r++)
      if (Math.abs(m[r]?.[col] as number) > Math.abs(m[pivot]?.[col] as number)) pivot = r
    const lead = m[pivot] as number[]
    if (!(Math.abs(lead[col] as number) > scale * 1e-10)) return null
    m[pivot] = m[col] as number[]
    m[col] = lead
    for (let r = 0; r < n; r++) {
      if (r === col) continue
      const row = m[r] as number[]
      const factor = (row[col] as number) / (lead[col] as number)
      for (let k = col; k <= n; k++) row[k] = (row[k] as number) - factor * (lead[k] as number)
    }
  }
  return m.map((row, i) => (row[n] as number) / (row[i] as number))
}
