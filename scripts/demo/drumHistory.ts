import type { Knex } from 'knex'
import { DrumWriter } from './drumWriter'
import type { momentsBefore } from './moments'
import { MACHINES } from './works'

/** Jobs of the skip winch: one trammed, trued and closed, one that stands at its height. */
export const writeDrums = async (
  knex: Knex,
  { day }: { readonly day: string },
  at: ReturnType<typeof momentsBefore>,
): Promise<void> => {
  const winch = MACHINES.find((m) => m.tag === 'CP-30')
  if (winch?.drive !== 'drum') throw new Error('The demo works has no motor at a drum called CP-30.')
  const before = new DrumWriter(knex, winch, 'CP-30 drum changed', day, at(334, 6), {
    offset: { v: -4.2, h: 5.5 },
    slope: { v: 0.22, h: -0.18 },
  })
  await before.open({ reason: 'wear', rpm: 960, customer: '', note: 'New brake drum on the winch.' })
  await before.makeSafe('W-2107')
  await before.look(['brake'], 'put-right', 'Linings changed with the drum.')
  await before.restIsFine()
  await before.setUp(0, 0.5)
  await before.readUntilAgreed()
  await before.step()
  await before.readUntilAgreed()
  await before.step(1.6)
  await before.readUntilAgreed()
  await before.step()
  await before.readUntilAgreed()
  await before.turnDrum(4, 135)
  await before.tap(135)
  await before.turnDrum(2.5, 135)
  await before.tap(135)
  await before.turnDrum(1.5, 180)
  await before.prove(0.2)
  await before.close('Day-shift millwright', 'Pins reamed to 12 mm after the drum was trued.', '', day, {
    what: 'regular',
    days: 365,
  })

  const open = new DrumWriter(knex, winch, 'CP-30 open', day, at(0, 4), {
    offset: { v: -3, h: 4.8 },
    slope: { v: 0.12, h: 0.16 },
  })
  await open.open({
    reason: 'vibration',
    rpm: 960,
    customer: '',
    note: 'Brake hums since the base was regrouted.',
  })
  await open.makeSafe('W-2801')
  await open.look(['pins'], 'fine', 'Pulled, kept in the box on the base.')
  await open.restIsFine()
  await open.setUp(0, 0.5)
  await open.readUntilAgreed()
  await open.step()
  await open.readUntilAgreed()
}
