import { describe, expect, it } from 'vitest'
import { clockIn, clockText } from './clockText'

describe('a place on the clock', () => {
  it.each([
    [0, '12:00'],
    [90, '3:00'],
    [-90, '9:00'],
    [22.5, '12:45'],
    [359.9, '12:00'],
    [345, '11:30'],
  ])('%s degrees are said as %s', (degrees, text) => {
    expect(clockText(degrees)).toBe(text)
  })

  it('comes back from what it is said as, to half a degree', () => {
    for (let degrees = 0; degrees < 360; degrees += 0.5) expect(clockIn(clockText(degrees))).toBe(degrees)
  })

  it.each([
    ['3', 90],
    ['03:00', 90],
    ['3:00:00', 90],
    ['12', 0],
    ['0:00', 0],
    ['7:30 AM', 225],
    ['13:00', null],
    ['3:60', null],
    ['90 degrees', null],
    ['', null],
  ])('%s is read as %s', (typed, degrees) => {
    expect(clockIn(typed)).toBe(degrees)
  })
})
