import { describe, expect, it } from 'vitest'
import { BELT_STAGES } from '../jobs/belt'
import { COUPLED_STAGES } from '../jobs/coupled'
import { MAY, ROLES } from './may'

/** Every kind that some stage writes, and what belongs to no stage. */
const KINDS = new Set(
  [...COUPLED_STAGES, ...BELT_STAGES]
    .flatMap((s) => [...s.writes] as string[])
    .concat(['job-opened', 'remark']),
)

describe('who may write what', () => {
  it('somebody may write every kind there is', () => {
    for (const kind of KINDS) expect(MAY.lead.map(String), kind).toContain(kind)
  })

  it('each role is given a kind once', () => {
    for (const role of ROLES) expect(new Set(MAY[role]).size, role).toBe(MAY[role].length)
  })

  it('everybody may open a job and remark on it', () => {
    for (const role of ROLES) expect(MAY[role]).toEqual(expect.arrayContaining(['job-opened', 'remark']))
  })

  it('an apprentice neither signs nor overrides a check', () => {
    for (const kind of ['job-closed', 'set-used-anyway', 'stage-skipped', 'lockout-waived'] as const) {
      expect(MAY.apprentice).not.toContain(kind)
      expect(MAY.millwright).toContain(kind)
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
      expect(MAY.planner).not.toContain(kind)
  })
})
