import { describe, expect, it } from 'vitest'
import type { BaseKind, MotorPlace, Pull } from '../../core/register/beltMachine'
import { endWords, moveWords, turnsWords, weightWords } from './baseMoves'
import { OWN_END } from './words'

const telling = { words: OWN_END }
const base = (kind: BaseKind, place: MotorPlace, pull: Pull) => ({ kind, place, pull })
const TURN = 3 / 8

/** What a person reads for too slack and for too tight, by base. */
const SAID: readonly (readonly [BaseKind, MotorPlace, Pull, slack: string, tight: string])[] = [
  [
    'slide-screws',
    'beside',
    'level',
    'Turn both adjusting screws 3/8 turn, in turn, an eighth at a time: the motor goes away from the driven shaft.',
    'Turn both adjusting screws 3/8 turn, in turn, an eighth at a time: the motor goes toward the driven shaft.',
  ],
  [
    'slide-screws',
    'above',
    'down',
    'Turn both adjusting screws 3/8 turn, in turn, an eighth at a time: the motor goes up, away from the driven shaft.',
    'Turn both adjusting screws 3/8 turn, in turn, an eighth at a time: the motor goes down, toward the driven shaft.',
  ],
  [
    'slide-screws',
    'below',
    'up',
    'Turn both adjusting screws 3/8 turn, in turn, an eighth at a time: the motor goes down, away from the driven shaft.',
    'Turn both adjusting screws 3/8 turn, in turn, an eighth at a time: the motor goes up, toward the driven shaft.',
  ],
  ...(['hanging-rods', 'lifting-rods'] as const).flatMap(
    (kind) =>
      [
        [
          kind,
          'above',
          'down',
          'Ease the four nuts above the plate by 3/8 turn, then follow with the four nuts below the plate, corner after corner: the motor goes up, away from the driven shaft.',
          'Ease the four nuts below the plate by 3/8 turn, then follow with the four nuts above the plate, corner after corner: the motor goes down, toward the driven shaft.',
        ],
        [
          kind,
          'below',
          'up',
          'Ease the four nuts below the plate by 3/8 turn, then follow with the four nuts above the plate, corner after corner: the motor goes down, away from the driven shaft.',
          'Ease the four nuts above the plate by 3/8 turn, then follow with the four nuts below the plate, corner after corner: the motor goes up, toward the driven shaft.',
        ],
        [
          kind,
          'beside',
          'level',
          'Ease the four nuts on the far side by 3/8 turn, then follow with the four nuts on the side of the driven shaft, corner after corner: the motor goes away from the driven shaft.',
          'Ease the four nuts on the side of the driven shaft by 3/8 turn, then follow with the four nuts on the far side, corner after corner: the motor goes toward the driven shaft.',
        ],
      ] as const,
  ),
  [
    'hinged',
    'beside',
    'level',
    'Turn the adjusting bolt 3/8 turn: the plate swings away from the driven shaft.',
    'Turn the adjusting bolt 3/8 turn: the plate swings toward the driven shaft.',
  ],
  [
    'hinged',
    'above',
    'down',
    'Turn the adjusting bolt 3/8 turn: the plate swings up, away from the driven shaft.',
    'Turn the adjusting bolt 3/8 turn: the plate swings down, toward the driven shaft.',
  ],
  [
    'hinged',
    'below',
    'up',
    'Turn the adjusting bolt 3/8 turn: the plate swings down, away from the driven shaft.',
    'Turn the adjusting bolt 3/8 turn: the plate swings up, toward the driven shaft.',
  ],
]

describe('the words of each base', () => {
  it.each(SAID)('%s, motor %s, pull %s', (kind, place, pull, slack, tight) => {
    expect(moveWords(base(kind, place, pull), 'away', TURN, telling)).toBe(slack)
    expect(moveWords(base(kind, place, pull), 'toward', -TURN, telling)).toBe(tight)
  })

  it('without a number of turns it is done a bit at a time', () => {
    expect(moveWords(base('slide-screws', 'beside', 'level'), 'toward', null, telling)).toBe(
      'Turn both adjusting screws alike, in turn, a bit at a time: the motor goes toward the driven shaft.',
    )
    expect(moveWords(base('lifting-rods', 'above', 'down'), 'toward', null, telling)).toContain('a little')
  })

  it('one end alone, and a hinge that has none', () => {
    expect(endWords(base('slide-screws', 'beside', 'level'), 'away', '1/8 turn', telling)).toBe(
      'Turn the screw at the far end 1/8 turn: that end goes away from the driven shaft.',
    )
    expect(endWords(base('hanging-rods', 'above', 'down'), 'toward', '1/8 turn', telling)).toBe(
      'At the far end, ease both nuts below the plate by 1/8 turn, then follow with both nuts above the plate: that end goes down, toward the driven shaft.',
    )
    expect(endWords(base('hinged', 'beside', 'level'), 'away', '1.2 mm', telling)).toMatch(
      /^One bolt moves both/,
    )
  })

  it('warns of the weight wherever something else than the slide carries it', () => {
    expect(weightWords(base('slide-screws', 'beside', 'level'), telling)).toBe('')
    expect(weightWords(base('hanging-rods', 'above', 'down'), telling)).toContain('hangs')
    expect(weightWords(base('hinged', 'beside', 'level'), telling)).toContain('drops')
  })

  it('turns are said in eighths', () => {
    expect([0.125, 0.5, 1, 1.25, -2.375].map((t) => turnsWords(t, telling))).toEqual([
      '1/8 turn',
      '1/2 turn',
      '1 turn',
      '1 1/4 turns',
      '2 3/8 turns',
    ])
    expect(turnsWords(null, telling)).toBe('')
  })
})
