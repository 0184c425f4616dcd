import { readdirSync, readFileSync } from 'node:fs'
import { expect } from 'vitest'

export interface WorkedCase {
  readonly operation: string
  readonly input: unknown
  readonly expect: unknown
  readonly tolerance: number
}

/** Operations that have worked cases. */
export const caseOperations = (): readonly string[] =>
  readdirSync(new URL('./cases/', import.meta.url)).map((file) => file.replace(/\.json$/, ''))

/** The worked cases of an operation. */
export const readCases = (operation: string): readonly WorkedCase[] =>
  JSON.parse(readFileSync(new URL(`./cases/${operation}.json`, import.meta.url), 'utf8')) as WorkedCase[]

/** Whatever the case expects is there, numbers within its tolerance. */
export const expectMatches = (found: unknown, wanted: unknown, tolerance: number, path = 'result'): void => {
  if (typeof wanted === 'number') {
    expect(typeof found, path).toBe('number')
    expect(Math.abs((found as number) - wanted), path).toBeLessThanOrEqual(tolerance)
  } else if (Array.isArray(wanted)) {
    expect((found as unknown[]).length, path).toBe(wanted.length)
    wanted.forEach((w, i) => expectMatches((found as unknown[])[i], w, tolerance, `${path}.${i}`))
  } else if (wanted && typeof wanted === 'object') {
    for (const [key, w] of Object.entries(wanted))
      expectMatches((found as Record<string, unknown> | null)?.[key], w, tolerance, `${path}.${key}`)
  } else expect(found, path).toBe(wanted)
}
