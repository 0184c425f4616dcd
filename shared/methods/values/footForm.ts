import { SHOWN, shownAs, shownSign, type MethodForm } from '../form'

/** Positions at two planes, usually the feet, as an instrument shows them. */
export const footValuesForm: MethodForm = {
  method: 'foot-values',
  circles: () => ['nearPlane', 'farPlane'],
  reads: 'values',
  numbers: [
    { id: 'near', measure: 'distance', foot: 'near' },
    { id: 'far', measure: 'distance', foot: 'far' },
  ],
  choices: [
    { id: 'shownHigh', options: SHOWN },
    { id: 'shownToward3', options: SHOWN },
  ],
  valuesOf: (how) => {
    if (how.method !== 'foot-values') return null
    const { near, far, signs } = how.given
    return {
      numbers: { near, far },
      choices: { shownHigh: shownAs(signs.high), shownToward3: shownAs(signs.toward3) },
    }
  },
  given: ({ numbers: n, choices: c }) => ({
    method: 'foot-values',
    given: {
      near: n.near ?? 0,
      far: n.far ?? 0,
      signs: { high: shownSign(c.shownHigh), toward3: shownSign(c.shownToward3) },
    },
  }),
  dials: () => [],
}
