import { RISES, risesOf, shownBy, signOf, type MethodForm } from '../form'

/** Rim and face as the set-up asks for it: one bracket, a rim dial, a face dial. */
export const rimFaceForm: MethodForm = {
  method: 'rim-face',
  circles: (c) => (c.faceDials === 'two' ? ['rim', 'face1', 'face2'] : ['rim', 'face']),
  reads: 'dials',
  numbers: [
    { id: 'rimPlane', measure: 'distance' },
    { id: 'faceCircle', measure: 'distance', circle: true },
    { id: 'sag', measure: 'displacement', sag: true, counts: 'rimRises' },
    {
      id: 'faceSag',
      measure: 'displacement',
      signed: true,
      hangs: true,
      usually: { inch: '0', metric: '0' },
    },
  ],
  choices: [
    { id: 'carriedBy', options: ['movable', 'stationary'] },
    { id: 'faceDials', options: ['one', 'two'] },
    { id: 'plunger', options: ['away', 'back'] },
    { id: 'rimRises', options: RISES },
    { id: 'faceRises', options: RISES },
  ],
  valuesOf: (how) => {
    if (how.method !== 'rim-face') return null
    const { rim, faces } = how.given
    const [face] = faces
    return {
      numbers: {
        rimPlane: Math.abs(rim.plane),
        faceCircle: face.diameter,
        sag: rim.sag,
        faceSag: face.sag ?? 0,
      },
      choices: {
        carriedBy: rim.carriedBy,
        faceDials: faces.length === 2 ? 'two' : 'one',
        plunger: face.plunger,
        rimRises: risesOf(rim.readingSign),
        faceRises: risesOf(face.readingSign),
      },
    }
  },
  given: ({ numbers: n, choices: c, turning, still }) => {
    const carriedBy = c.carriedBy === 'stationary' ? 'stationary' : 'movable'
    // The tip runs on the other machine's hub: toward the driven machine when the motor carries it.
    const side = carriedBy === 'movable' ? -1 : 1
    const face = {
      plunger: c.plunger === 'back' ? 'back' : 'away',
      diameter: n.faceCircle ?? 0,
      sag: n.faceSag ?? 0,
      readingSign: signOf(c.faceRises),
      ...shownBy(signOf(c.faceRises), still?.face),
    } as const
    return {
      method: 'rim-face',
      given: {
        rim: {
          carriedBy,
          plane: side * (n.rimPlane ?? 0) || 0,
          sag: n.sag ?? 0,
          turning,
          readingSign: signOf(c.rimRises),
          ...shownBy(signOf(c.rimRises), still?.rim),
        },
        // The second stands half a turn on, on the same circle.
        faces: c.faceDials === 'two' ? [face, face] : [face],
      },
    }
  },
  dials: (c) => [
    {
      carriedBy: c.carriedBy === 'stationary' ? 'stationary' : 'movable',
      plane: 'rimPlane',
      face: { circle: 'faceCircle', plunger: c.plunger === 'back' ? 'back' : 'away' },
    },
  ],
}
