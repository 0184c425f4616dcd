import type { Lift } from '../../logbook/lift'

/** How a set-up was kept while rim and face was the only method. */
interface First {
  readonly units: unknown
  readonly turning: unknown
  readonly rim: { readonly graduation: unknown; readonly sagForm: unknown }
  readonly face: { readonly graduation: unknown; readonly diameterForm: unknown }
  readonly feet: readonly { readonly id: unknown; readonly x: unknown }[]
  readonly returned: unknown
}

const fromRimFaceAlone: Lift = (old) => {
  const { units, turning, rim, face, feet, returned } = old as First
  const { graduation: rimGraduation, sagForm, ...rimMount } = rim
  const { graduation: faceGraduation, diameterForm, ...faceMount } = face
  return {
    units,
    how: { method: 'rim-face', given: { rim: { ...rimMount, turning }, faces: [faceMount] } },
    told: { sag: sagForm, circle: diameterForm },
    feet: feet.map((f) => ({ machine: 'movable', pair: f.id, x: f.x })),
    graduation: { rim: rimGraduation, face: faceGraduation },
    returned,
    // Nobody was asked why in those days: what missed zero was logged without a word.
    why: '',
  }
}

export const setUpLifts = { 'set-up': [fromRimFaceAlone] }
