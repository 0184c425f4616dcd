import {
  drawingsWords,
  reasonsWords,
  reportWords,
  vibrationWords,
  drivesWords,
} from '../../../shared/wording/en'
import { joinedWords } from '../../../shared/wording/joined'
import { overdueIn, type Kit } from '../../../core/stages/open/kit'
import type { Vibration } from '../../../core/stages/open/vibration'
import { vibrationReadWords } from '../../../shared/wording/vibration'
import { instrumentWords as liveWords } from '../../../shared/wording/en/instruments'
import { spokenWords } from '../../../shared/wording/instruments'
import { instrumentWords } from '../../../shared/wording/open'
import { instrumentsSpoken } from '../../../core/instruments/spoken'
import { QUIET, when } from '../blocks'
import type { Common, Section } from '../section'

/** Which machine, at which speed, why and for whom. */
export const facts: Section<Common & { readonly kit?: Kit; readonly vibration?: Vibration }> = (
  { opening, kit, vibration, rpm },
  { machine, logbook, personName, telling },
) => {
  const { words } = telling
  const w = reportWords(words).facts
  const told = joinedWords(machine, words)
  const joined =
    machine.drive === 'belt' ? drawingsWords(words).belts(told, machine.belts.section) : told.toLowerCase()
  const rows: [string, string][] = [
    [w.machine, w.machineIs(machine.tag, machine.name, machine.area)],
    [
      w.drive,
      w.driveIs(
        machine.powerKw,
        drivesWords(words).between(machine.movableName.toLowerCase(), machine.stationaryName.toLowerCase()),
        joined,
        rpm,
      ),
    ],
  ]
  if (opening) {
    const { reason, customer, site, note } = opening.payload
    rows.push([
      w.opened,
      w.openedBy(when(opening.madeAt), personName(opening.author), reasonsWords(words)[reason]),
    ])
    if (customer) rows.push([w.customer, customer])
    if (site) rows.push([w.site, site])
    if (note) rows.push([w.note, note])
  }
  if (kit && kit.payload.instruments.length > 0) {
    const overdue = overdueIn(kit)
    rows.push([
      w.instruments,
      kit.payload.instruments.map((i) => instrumentWords(i, overdue.includes(i), telling)).join('; '),
    ])
  }
  const spoken = instrumentsSpoken(logbook)
  if (spoken.length > 0)
    rows.push([
      liveWords(words).report,
      spoken.map((e) => spokenWords(e.payload, e.madeAt, telling)).join('; '),
    ])
  const names = {
    movable: machine.movableName.toLowerCase(),
    stationary: machine.stationaryName.toLowerCase(),
  }
  const shaken = vibration ? vibrationReadWords(vibration, names, telling) : []
  if (shaken.length > 0) rows.push([vibrationWords(words).report, shaken.join(' ')])
  return [
    {
      table: { widths: [62, '*'], body: rows.map(([k, v]) => [{ text: k, color: QUIET }, v]) },
      layout: {
        hLineWidth: () => 0,
        vLineWidth: () => 0,
        paddingLeft: () => 0,
        paddingTop: () => 1,
        paddingBottom: () => 1,
      },
    },
  ]
}
