/** Linear expansion per degree Celsius. Typical figures; an own value always wins (docs/methods/growth.md). */
export const EXPANSION = {
  'cast-iron': 10.6e-6,
  steel: 11.7e-6,
  'stainless-300': 16.5e-6,
  aluminium: 23.1e-6,
  bronze: 18.0e-6,
} as const

export type Material = keyof typeof EXPANSION
export const MATERIALS = Object.keys(EXPANSION) as [Material, ...Material[]]
