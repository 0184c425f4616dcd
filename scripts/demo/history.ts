import type { Knex } from 'knex'
import type { MachineFields } from '../../shared/register/machine'
import { JobWriter } from './jobWriter'
import { demoId, MACHINES } from './works'

const DAY = 86_400_000

const machine = (tag: string): MachineFields => {
  const found = MACHINES.find((m) => m.tag === tag)
  if (!found) throw new Error(`The demo works has no machine ${tag}.`)
  return found
}

/** Past and open jobs of the demo works, dated back from `now`. */
export const writeHistory = async (knex: Knex, now: Date): Promise<void> => {
  const at = (daysAgo: number, hour: number) => {
    const day = new Date(now.getTime() - daysAgo * DAY)
    day.setUTCHours(hour, 10, 0, 0)
    return day
  }
  const day = demoId('day')
  const night = demoId('night')
  const line = (ov: number, oh: number, sv: number, sh: number) => ({
    offset: { v: ov, h: oh },
    slope: { v: sv, h: sh },
  })

  const first = new JobWriter(
    knex,
    machine('CP-11'),
    'CP-11 rebuilt',
    day,
    at(431, 6),
    line(14.2, -22.5, 0.62, -0.88),
  )
  await first.open({
    reason: 'moved',
    rpm: 990,
    customer: '',
    note: 'Gear unit back from overhaul, motor refitted.',
  })
  await first.makeSafe('W-2107')
  await first.setUp(3, 0.5)
  await first.read()
  await first.read()
  await first.move()
  await first.read()
  await first.read()
  await first.close('Day-shift millwright', 'Base scraped clean at the two outboard feet.')

  const second = new JobWriter(
    knex,
    machine('CP-11'),
    'CP-11 vibration',
    night,
    at(152, 14),
    line(-6.8, 5.1, -0.36, 0.22),
  )
  await second.open({
    reason: 'vibration',
    rpm: 990,
    customer: '',
    note: 'Rumble at the coupling end since the liner change.',
  })
  await second.makeSafe('W-2511')
  await second.setUp(3, 0.5)
  await second.read()
  await second.read()
  await second.move()
  await second.read()
  await second.read()
  await second.close('Night-shift millwright', 'Hold-down bolts were not all tight when found.')

  const tight = new JobWriter(
    knex,
    machine('KY-09'),
    'KY-09 bolt-bound',
    day,
    at(64, 7),
    line(3.1, -9.4, 0.12, -0.55),
  )
  await tight.open({ reason: 'wear', rpm: 1460, customer: '', note: 'Jaw insert worn on one side.' })
  await tight.makeSafe()
  await tight.setUp(1.5, 0.5)
  await tight.read()
  await tight.read()
  await tight.move()
  await tight.read()
  await tight.read()
  await tight.close(
    'Day-shift millwright',
    'Outboard feet can go no further toward 3.',
    'Holes to be opened at the next kiln stop. Maintenance lead agrees to run until then.',
  )

  const doubtful = new JobWriter(
    knex,
    machine('KY-09'),
    'KY-09 open',
    demoId('apprentice'),
    at(1, 8),
    line(2.4, -8.8, 0.1, -0.5),
  )
  await doubtful.open({
    reason: 'planned',
    rpm: 1460,
    customer: '',
    note: 'Holes opened during the kiln stop.',
  })
  await doubtful.makeSafe('W-2790')
  await doubtful.setUp(1.5, 0.5)
  await doubtful.read()
  await doubtful.read({ dial: 'face', clock: 270, by: 3 })

  const planning = new JobWriter(
    knex,
    machine('CP-14'),
    'CP-14 open',
    night,
    at(0, 2),
    line(-0.31, 0.18, -0.052, 0.034),
  )
  await planning.open({
    reason: 'planned',
    rpm: 1480,
    customer: '',
    note: 'Yearly check before the winter run.',
  })
  await planning.makeSafe('W-2794')
  await planning.setUp(0.06, 0.01)
  await planning.read()
  await planning.read()
}
