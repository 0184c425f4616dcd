import { describe, expect, it } from 'vitest'
import { BELT_STAGES } from '../jobs/belt'
import { COUPLED_STAGES } from '../jobs/coupled'
import { leaveTo, leaveToWrite, MAY, RIGHTS, ROLES } from './may'

/** Every kind that some stage writes, and what belongs to no stage. */
const KINDS = new Set(
  [...COUPLED_STAGES, ...BELT_STAGES]
    .flatMap((s) => [...s.writes] as string[])
    .concat(['job-opened', 'remark']),
)

describe('who may write what', () => {
  it('somebody may write every kind there is', () => {
    for (const kind of KINDS) expect(MAY.lead.writes.map(String), kind).toContain(kind)
  })

  it('each role is given a kind and a right once', () => {
    for (const role of ROLES) {
      const { writes, writesWithSecond, does, doesWithSecond } = MAY[role]
      for (const list of [
        [...writes, ...writesWithSecond],
        [...does, ...doesWithSecond],
      ])
        expect(new Set(list).size, role).toBe(list.length)
    }
  })

  it('everybody of the works may open a job and remark on it', () => {
    for (const role of ROLES.filter((r) => r !== 'customer'))
      expect(MAY[role].writes).toEqual(expect.arrayContaining(['job-opened', 'remark']))
  })

  it('an apprentice neither signs nor overrides a check without a second person', () => {
    for (const kind of ['job-closed', 'set-used-anyway', 'stage-skipped', 'lockout-waived'] as const) {
      expect(leaveToWrite('apprentice', kind)).toBe('with-second')
      expect(leaveToWrite('millwright', kind)).toBe('alone')
    }
  })

  it('a planner writes nothing that is done at the machine', () => {
    for (const kind of [
      'safety-confirmed',
      'readings-taken',
      'move-made',
      'sheaves-read',
      'job-closed',
    ] as const)
      expect(leaveToWrite('planner', kind)).toBe('no')
  })
  it('what takes a second person, somebody may do alone', () => {
    for (const role of ROLES) {
      for (const kind of MAY[role].writesWithSecond)
        expect(ROLES.some((r) => leaveToWrite(r, kind) === 'alone')).toBe(true)
      for (const right of MAY[role].doesWithSecond)
        expect(ROLES.some((r) => leaveTo(r, right) === 'alone')).toBe(true)
    }
  })

  it('every right is somebody’s, and a customer has one alone', () => {
    for (const right of RIGHTS)
      expect(
        ROLES.some((r) => leaveTo(r, right) === 'alone'),
        right,
      ).toBe(true)
    expect(MAY.customer).toEqual({ does: ['own-jobs'], doesWithSecond: [], writes: [], writesWithSecond: [] })
    expect(ROLES.filter((r) => leaveTo(r, 'own-jobs') !== 'no')).toEqual(['customer'])
  })
})
