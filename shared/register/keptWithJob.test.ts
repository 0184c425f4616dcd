import { describe, expect, it } from 'vitest'
import { BELT_MACHINE } from '../../core/jobs/testBelt'
import { TEST_MACHINE } from '../../core/jobs/testJob'
import type { BeltLimits } from '../../core/belt/beltLimits'
import { STARTER_SECTIONS } from '../../core/belt/sections'
import { blankBeltLimits, readBeltLimits } from '../beltLimits/form'
import { OWN_END } from '../wording/words'
import { keptWithJob } from './keptWithJob'
import type { MachineRecord } from './machine'
import type { Works } from './works'

const limits = (kind: BeltLimits['kind'], id: string): BeltLimits => {
  const blank = blankBeltLimits('inch')
  const { fields } = readBeltLimits(
    { ...blank, kind: kind ?? '', source: id, boxes: { ...blank.boxes, offset: '1/16' } },
    OWN_END,
  )
  if (!fields) throw new Error('not read')
  const { inForce: _, ...rest } = fields
  return { ...rest, id }
}
const tables: NonNullable<Works['tables']> = {
  limitSets: [],
  sections: STARTER_SECTIONS,
  beltLimits: [limits(null, 'any'), limits('toothed', 'toothed'), limits('v', 'v')],
}
const works: Pick<Works, 'stock' | 'packLimit' | 'tables'> = { stock: [], packLimit: 5, tables }
const belt = {
  ...BELT_MACHINE,
  id: 'm',
  version: 1,
  belts: { ...BELT_MACHINE.belts, kind: 'v', section: 'spb', construction: 'notched' },
} as unknown as MachineRecord

describe('a machine as a job keeps it', () => {
  it('has what the works says of its own kind of belt, the nearest first, and its section', () => {
    const kept = keptWithJob(belt, works)
    if (kept.drive !== 'belt') throw new Error('not a belt drive')
    expect(kept.beltLimits?.map((l) => l.id)).toEqual(['v', 'any'])
    expect(kept.section).toMatchObject({ section: 'SPB', construction: 'notched' })
    expect(kept.packLimit).toBe(5)
  })

  it('out of reach of the server it is the same, by what the device was told; and bare where it was told nothing', () => {
    expect(keptWithJob(belt, JSON.parse(JSON.stringify(works)) as typeof works)).toEqual(
      keptWithJob(belt, works),
    )
    const bare = keptWithJob(belt, null)
    expect(bare.packLimit).toBe(4)
    expect(bare).not.toHaveProperty('beltLimits')
    expect(bare).not.toHaveProperty('section')
  })

  it('a coupled machine has nothing of belts', () => {
    const coupled = { ...TEST_MACHINE, couplingKind: 'Grid', id: 'm', version: 1 } as unknown as MachineRecord
    expect(keptWithJob(coupled, works)).not.toHaveProperty('beltLimits')
  })
})
