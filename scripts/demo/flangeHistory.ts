import type { Knex } from 'knex'
import type { FlangeFields } from '../../shared/register/flangeMachine'
import { FlangeWriter } from './flangeWriter'
import type { momentsBefore } from './moments'
import { MACHINES } from './works'

const flange = (tag: string): FlangeFields => {
  const found = MACHINES.find((m) => m.tag === tag)
  if (found?.drive !== 'flange') throw new Error(`The demo works has no motor on a flange called ${tag}.`)
  return found
}

/** Jobs of the two blungers: one cured by shims, one pushed as well, one open at its plan. */
export const writeFlanges = async (
  knex: Knex,
  { day, night }: { readonly day: string; readonly night: string },
  at: ReturnType<typeof momentsBefore>,
): Promise<void> => {
  const pushed = new FlangeWriter(knex, flange('CP-22'), 'CP-22 bearings', night, at(188, 7), {
    lean: { v: 0.062, h: -0.041 },
    off: { v: 0.16, h: 0.12 },
  })
  await pushed.open({
    reason: 'wear',
    rpm: 1440,
    customer: '',
    note: 'Upper bearing of the blunger changed.',
  })
  await pushed.makeSafe('W-2588')
  await pushed.look(['flange-faces'], 'put-right', 'Old paint scraped off the frame’s face.')
  await pushed.restIsFine()
  await pushed.feelSpigot('loose', 0.5)
  await pushed.measure(0, 0.01)
  await pushed.move()
  await pushed.read()
  await pushed.read()
  await pushed.move()
  await pushed.read()
  await pushed.read()
  await pushed.prove(3.2)
  await pushed.close(
    'Night-shift millwright',
    'Shims are stainless; the mark at 12 is a punch mark.',
    '',
    night,
    {
      what: 'regular',
      days: 365,
    },
  )

  const before = new FlangeWriter(knex, flange('CP-21'), 'CP-21 installed', day, at(281, 6), {
    lean: { v: 0.42, h: -0.3 },
    off: { v: -0.4, h: 0.5 },
  })
  await before.open({ reason: 'new-machine', rpm: 980, customer: '', note: 'New motor on the old frame.' })
  await before.makeSafe('W-2274')
  await before.restIsFine()
  await before.measure(0, 0.5)
  await before.write({
    kind: 'bolts-named',
    payload: { units: 'inch', size: '5/8', boltClass: 'grade-5', lubrication: 'oiled', makerTorque: null },
  })
  await before.move()
  await before.read()
  await before.read()
  await before.prove(0.13)
  await before.close('Day-shift millwright', 'Eight bolts, the one at 12 is painted.', '', day, {
    what: 'regular',
    days: 365,
  })

  const open = new FlangeWriter(knex, flange('CP-21'), 'CP-21 open', day, at(0, 2), {
    lean: { v: -0.36, h: 0.4 },
    off: { v: 1.22, h: -0.55 },
  })
  await open.open({ reason: 'vibration', rpm: 980, customer: '', note: 'Shakes since the frame was welded.' })
  await open.makeSafe('W-2798')
  await open.look(['flange-faces'], 'put-right', 'Burr at 4:30 stoned off.')
  await open.restIsFine()
  await open.feelSpigot('tight', null)
  await open.measure(0, 0.5)
}
