import type { Knex } from 'knex'
import type { Misalignment } from '../../core/frame/planes'
import { PAN_MILL_LINE } from './line'
import type { momentsBefore } from './moments'
import { TrainWriter } from './trainWriter'

/** An axis through its height and side at two places along the line, millimetres. */
const through = (
  x0: number,
  [v0, h0]: readonly [number, number],
  x1: number,
  [v1, h1]: readonly [number, number],
): Misalignment => {
  const slope = { v: (v1 - v0) / (x1 - x0), h: (h1 - h0) / (x1 - x0) }
  return { offset: { v: v0 - slope.v * x0, h: h0 - slope.h * x0 }, slope }
}

/** Jobs of the pan mill's line: one set and closed, one read at both couplings whose plan waits. */
export const writeLines = async (
  knex: Knex,
  { lead, day }: { readonly lead: string; readonly day: string },
  at: ReturnType<typeof momentsBefore>,
): Promise<void> => {
  const before = new TrainWriter(knex, PAN_MILL_LINE, 'CP-40 new base', lead, at(260, 6), {
    m2: through(0, [-0.42, 0.3], 1060, [-0.2, 0.12]),
    m3: through(1060, [0.35, -0.4], 1750, [0.5, -0.46]),
  })
  await before.open({
    reason: 'moved',
    rpm: 1475,
    customer: '',
    note: 'Gear unit and motor back on a new base frame.',
  })
  await before.makeSafe('W-2288')
  await before.lookOver(['m2', 'm3'])
  await before.passOver(['rough-in'], 'Set by the straightedge at the fitting of the base.')
  await before.setUp()
  await before.measure()
  await before.moveByPlan()
  await before.measure()
  await before.prove(4)
  await before.close('Maintenance lead', 'Whole line set in one move.', '', undefined, {
    what: 'regular',
    days: 365,
  })

  const sunk = new TrainWriter(knex, PAN_MILL_LINE, 'CP-40 line open', day, at(0, 5), {
    m2: through(0, [-0.56, 0.31], 1060, [-0.2, -0.08]),
    m3: through(1060, [0.03, 0.02], 1750, [0.04, 0.01]),
  })
  await sunk.open({
    reason: 'vibration',
    rpm: 1475,
    customer: '',
    note: 'Gear unit sits lower since its base was hit by the loader.',
  })
  await sunk.makeSafe('W-2805')
  await sunk.lookOver(['m2', 'm3'])
  await sunk.passOver(['rough-in'], 'Both couplings were near enough by eye.')
  await sunk.setUp()
  await sunk.measure()
}
