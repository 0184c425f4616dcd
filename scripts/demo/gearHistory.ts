import type { Knex } from 'knex'
import type { PaintedZone } from '../../core/gear/contactFigures'
import type { EntryBody } from '../../core/logbook/entry'
import { GEAR_PLACES } from '../../core/stages/gearLook/entries'
import { RUN_POINTS } from '../../core/stages/run/entries'
import { JobWriter } from './jobWriter'
import type { momentsBefore } from './moments'
import { MACHINES } from './works'

const painted = (
  moment: 'as-found' | 'fit',
  forward: PaintedZone,
  back: PaintedZone,
  photographs: readonly string[] = [],
  words = '',
): EntryBody => ({ kind: 'contact-painted', payload: { moment, forward, back, photographs, words } })
const play = (...readings: readonly number[]): EntryBody => ({
  kind: 'backlash-read',
  payload: { units: 'inch', by: 'dial', readings, words: '' },
})
const seenFine: EntryBody = {
  kind: 'place-looked',
  payload: { places: [...GEAR_PLACES], found: 'fine', words: 'Teeth bare, no pitting.', photographs: [] },
}

/** Keeps a picture of both flanks with the pattern. */
class GearWriter extends JobWriter {
  async pattern(forward: PaintedZone, back: PaintedZone): Promise<void> {
    await this.write(painted('as-found', forward, back, [await this.keepPicture('flanks')]), 20)
  }
}

/** Jobs of the turntable: one looked over and left as it was, one in the middle of a bearing change. */
export const writeGearsets = async (
  knex: Knex,
  { day }: { readonly day: string },
  at: ReturnType<typeof momentsBefore>,
): Promise<void> => {
  const table = MACHINES.find((m) => m.tag === 'PR-05')
  if (table?.drive !== 'gear') throw new Error('The demo works has no gearset called PR-05.')
  const before = new GearWriter(knex, table, 'PR-05 looked over', day, at(392, 7))
  await before.open({ reason: 'planned', rpm: 1440, customer: '', note: '' })
  await before.makeSafe('W-2044')
  await before.write(seenFine, 20)
  await before.pattern([37, 74], [31, 66])
  await before.write(play(12.5, 13, 12.5, 12), 15)
  for (const point of RUN_POINTS)
    await before.write(
      {
        kind: 'run-confirmed',
        payload: { point, found: 'good', current: point === 'ran' ? 11.4 : null, words: '' },
      },
      4,
    )
  await before.close('Day-shift millwright', 'Lies as it ran in.', '', day, { what: 'regular', days: 365 })

  const open = new GearWriter(knex, table, 'PR-05 bearing change', day, at(0, 5))
  await open.open({
    reason: 'wear',
    rpm: 1440,
    customer: '',
    note: 'Worm bearings rough. Bearings changed, blocks go back as they were.',
  })
  await open.makeSafe('W-2811')
  await open.write(seenFine, 15)
  await open.write(
    {
      kind: 'layers-marked',
      payload: {
        units: 'inch',
        layer: 2,
        under: [10, 10],
        pins: 'marked',
        marks: 'A and B, arrows to the wall',
        photographs: [],
        words: '',
      },
    },
    8,
  )
  await open.pattern([38, 74], [30, 66])
  await open.write({ kind: 'gear-refitted', payload: { pins: 'left-out', bearings: 'new', words: '' } }, 110)
  await open.write(
    { kind: 'mesh-cleared', payload: { load: 'helper-drags', helper: 'Night-shift millwright', words: '' } },
    6,
  )
  await open.write(painted('fit', [3, 39], [0, 30], [], 'Blue thin and even.'), 18)
  await open.write(
    { kind: 'gear-shifted', payload: { units: 'inch', lever: 'blocks', by: 6, words: '' } },
    16,
  )
  await open.write(painted('fit', [15, 51], [10, 44]), 14)
  await open.write(play(18, 17.5, 18, 17), 12)
}
