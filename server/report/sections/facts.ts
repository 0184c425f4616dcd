import { QUIET, when } from '../blocks'
import type { Common, Section } from '../section'

/** Which machine, at which speed, why and for whom. */
export const facts: Section<Common> = ({ opening, rpm }, { machine, personName, telling }) => {
  const { words } = telling
  const w = words.report.facts
  const joined =
    machine.drive === 'coupled'
      ? machine.couplingKind.toLowerCase()
      : words.drawings.belts(
          words.belts.drive(machine.belts.count, words.belts.kinds[machine.belts.kind]),
          machine.belts.section,
        )
  const rows: [string, string][] = [
    [w.machine, w.machineIs(machine.tag, machine.name, machine.area)],
    [
      w.drive,
      w.driveIs(
        machine.powerKw,
        words.pages.machine.drive(machine.movableName.toLowerCase(), machine.stationaryName.toLowerCase()),
        joined,
        rpm,
      ),
    ],
  ]
  if (opening) {
    const { reason, customer, note } = opening.payload
    rows.push([
      w.opened,
      w.openedBy(when(opening.madeAt), personName(opening.author), words.opening.reasons[reason]),
    ])
    if (customer) rows.push([w.customer, customer])
    if (note) rows.push([w.note, note])
  }
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
