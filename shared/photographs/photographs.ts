/** What a photograph is scaled down to, on its longer side, in pixels. */
export const LONGEST_SIDE = 1600
/** The largest file that is taken, before it is scaled. */
export const LARGEST_FILE = 12_000_000
/** Photographs that one place can have in one entry. */
export const MOST_PHOTOGRAPHS = 12

/** What cameras and programs write that can be read everywhere. */
export const PICTURE_TYPES = ['image/jpeg', 'image/png', 'image/webp'] as const

/** A size scaled down, never up, so that its longer side fits. */
export const scaledTo = (width: number, height: number, longest = LONGEST_SIDE) => {
  const by = Math.min(1, longest / Math.max(width, height))
  return { width: Math.max(1, Math.round(width * by)), height: Math.max(1, Math.round(height * by)) }
}

/** Where a photograph of a job is kept on the server. */
export const photographPath = (job: string, id: string): string => `/api/jobs/${job}/photographs/${id}`

/** The photographs an entry of a logbook refers to. */
export const photographsOf = (entry: {
  readonly kind: string
  readonly payload?: unknown
}): readonly string[] => {
  const { payload } = entry
  if (typeof payload !== 'object' || payload === null || !('photographs' in payload)) return []
  const { photographs } = payload
  return Array.isArray(photographs) ? photographs.filter((p): p is string => typeof p === 'string') : []
}
