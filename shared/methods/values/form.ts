import { SHOWN, shownAs, shownSign, type MethodForm } from '../form'

/** Offset and angle at the coupling as an instrument shows them, its signs told in words. */
export const valuesForm: MethodForm = {
  method: 'values',
  circles: () => ['offset', 'angle'],
  reads: 'values',
  numbers: [{ id: 'per', measure: 'distance', usually: { inch: '1', metric: '100' } }],
  choices: [
    { id: 'shownHigh', options: SHOWN },
    { id: 'shownToward3', options: SHOWN },
    { id: 'shownEndHigh', options: SHOWN },
    { id: 'shownEndToward3', options: SHOWN },
  ],
  valuesOf: (how) => {
    if (how.method !== 'values') return null
    const { per, signs } = how.given
    return {
      numbers: { per },
      choices: {
        shownHigh: shownAs(signs.high),
        shownToward3: shownAs(signs.toward3),
        shownEndHigh: shownAs(signs.endHigh),
        shownEndToward3: shownAs(signs.endToward3),
      },
    }
  },
  given: ({ numbers: n, choices: c }) => ({
    method: 'values',
    given: {
      per: n.per ?? 0,
      signs: {
        high: shownSign(c.shownHigh),
        toward3: shownSign(c.shownToward3),
        endHigh: shownSign(c.shownEndHigh),
        endToward3: shownSign(c.shownEndToward3),
      },
    },
  }),
  dials: () => [],
}
