import type { FaceMount } from '../../../core/methods/method'
import { RISES, risesOf, signOf, type FormValues, type MethodForm } from '../form'

const NONE = { inch: '0', metric: '0' } as const

/** A face dial at either end of a spool, from the boxes of that end. */
const mountOf = ({ numbers: n, choices: c }: FormValues, end: 'Stationary' | 'Movable') => ({
  plunger: c[`plunger${end}`] === 'back' ? ('back' as const) : ('away' as const),
  diameter: n[`circle${end}`] ?? 0,
  sag: n[`faceSag${end}`] ?? 0,
  readingSign: signOf(c[`rises${end}`]),
})
const known = (mount: FaceMount, end: 'Stationary' | 'Movable') => ({
  numbers: { [`circle${end}`]: mount.diameter, [`faceSag${end}`]: mount.sag ?? 0 },
  choices: { [`plunger${end}`]: mount.plunger, [`rises${end}`]: risesOf(mount.readingSign) },
})

/** Face and face across a spacer: an angle at either end of the spool. */
export const spacerFacesForm: MethodForm = {
  method: 'spacer-faces',
  circles: () => ['atStationary', 'atMovable'],
  reads: 'dials',
  numbers: [
    { id: 'spoolLength', measure: 'distance' },
    { id: 'circleStationary', measure: 'distance', circle: true, end: 'stationary' },
    { id: 'circleMovable', measure: 'distance', circle: true },
    {
      id: 'faceSagStationary',
      measure: 'displacement',
      signed: true,
      usually: NONE,
      end: 'stationary',
    },
    { id: 'faceSagMovable', measure: 'displacement', signed: true, usually: NONE },
  ],
  choices: [
    { id: 'plungerStationary', options: ['away', 'back'] },
    { id: 'plungerMovable', options: ['away', 'back'] },
    { id: 'risesStationary', options: RISES },
    { id: 'risesMovable', options: RISES },
  ],
  valuesOf: (how) => {
    if (how.method !== 'spacer-faces') return null
    const { atStationary, atMovable, spoolLength } = how.given
    const [s, m] = [known(atStationary, 'Stationary'), known(atMovable, 'Movable')]
    return {
      numbers: { spoolLength, ...s.numbers, ...m.numbers },
      choices: { ...s.choices, ...m.choices },
    }
  },
  given: (values) => ({
    method: 'spacer-faces',
    given: {
      spoolLength: values.numbers.spoolLength ?? 0,
      atStationary: mountOf(values, 'Stationary'),
      atMovable: mountOf(values, 'Movable'),
    },
  }),
  dials: () => [],
}
