import { expect, it } from 'vitest'
import { figureKind } from './figureKind'

it.each([
  ['offset', 'displacement'],
  ['slope', 'slope'],
  ['flex.movable', 'slope'],
  ['sheaves.offset', 'displacement'],
  ['sheaves.turn', 'angle'],
  ['belts.tension', 'force'],
  ['drum.rim', 'displacement'],
  ['contact.together', 'percent'],
  ['gear.backlash', 'displacement'],
])('%s is counted as %s', (name, kind) => {
  expect(figureKind(name)).toBe(kind)
})
