import type { PaintedZone } from '../../gear/contactFigures'
import type { Lever } from '../../gear/levers'
import type { UnitSystem } from '../../units/unitSystem'

/** How a light load is put on the teeth while they are turned. */
export const LIGHT_LOADS = ['helper-drags', 'band-brake', 'own-load', 'other'] as const
export type LightLoad = (typeof LIGHT_LOADS)[number]

export interface ContactEntries {
  /** Fingers are out of the mesh, a helper turns on the word, and the teeth are loaded lightly like this. */
  'mesh-cleared': { readonly load: LightLoad; readonly helper: string; readonly words: string }
  /**
   * The paint of each running direction, both flanks seen from one side, percent of the face width. As it was found it
   * may be the wear of one run alone; null where a run was not seen.
   */
  'contact-painted': {
    readonly moment: 'as-found' | 'fit'
    readonly forward: PaintedZone | null
    readonly back: PaintedZone | null
    /** Photographs kept with the job, by id. */
    readonly photographs: readonly string[]
    readonly words: string
  }
  /** What was shifted along the tooth: toward its `to` end positive (mil or mm). */
  'gear-shifted': {
    readonly units: UnitSystem
    readonly lever: Lever
    readonly by: number
    readonly words: string
  }
}
