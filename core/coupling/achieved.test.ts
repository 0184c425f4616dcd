import { describe, expect, it } from 'vitest'
import { ALIGNED, lineSum, type Misalignment } from '../frame/planes'
import { compareAchieved, type AchievedCause } from './achieved'
import { lineOfMoves } from './feet'

const FEET = [
  { id: 'inboard', x: 300 },
  { id: 'outboard', x: 900 },
]
const moves = (inboard: number, outboard: number): Misalignment =>
  lineOfMoves([
    { id: 'inboard', x: 300, v: inboard, h: 0 },
    { id: 'outboard', x: 900, v: outboard, h: 0 },
  ])
const cause = (planned: Misalignment, done: Misalignment): AchievedCause | undefined =>
  compareAchieved(ALIGNED, lineSum(ALIGNED, done), planned, FEET, { allowance: 0.05 }).find(
    (p) => p.plane === 'v',
  )?.cause

describe('what a move did against its plan', () => {
  it.each([
    ['as-planned', moves(0.3, 0.5), moves(0.32, 0.48)],
    ['nothing-happened', moves(0.3, 0.5), moves(0.01, -0.02)],
    ['sign-swapped', moves(0.3, 0.5), moves(-0.31, -0.5)],
    ['feet-swapped', moves(0.2, 0.6), moves(0.6, 0.21)],
    ['part-only', moves(0.4, 0.8), moves(0.2, 0.41)],
    ['differs', moves(0.3, 0.5), moves(0.3, 0.1)],
    ['differs', moves(0, 0), moves(0.3, 0.1)],
  ] as const)('%s', (expected, planned, done) => {
    expect(cause(planned, done)).toBe(expected)
  })

  it('says nothing of a plane that was not measured', () => {
    const half: Misalignment = { offset: { v: 0, h: null }, slope: { v: 0, h: null } }
    expect(
      compareAchieved(half, half, moves(0.1, 0.1), FEET, { allowance: 0.05 }).map((p) => p.plane),
    ).toEqual(['v'])
  })
})
