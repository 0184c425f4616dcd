import { QUIET, when } from '../blocks'
import type { Common, Section } from '../section'

/** Which machine, at which speed, why and for whom. */
export const facts: Section<Common> = ({ opening, rpm }, { machine, personName, telling }) => {
  const { words } = telling
  const joined =
    machine.drive === 'coupled'
      ? machine.couplingKind.toLowerCase()
      : `${words.belts.drive(machine.belts.count, words.belts.kinds[machine.belts.kind])}, section ${machine.belts.section}`
  const rows: [string, string][] = [
    ['Machine', `${machine.tag} ${machine.name}, ${machine.area}`],
    [
      'Drive',
      `${machine.powerKw} kW ${machine.movableName.toLowerCase()} to ${machine.stationaryName.toLowerCase()}, ${joined}, ${rpm} rpm as read off`,
    ],
  ]
  if (opening) {
    const { reason, customer, note } = opening.payload
    rows.push([
      'Opened',
      `${when(opening.madeAt)} by ${personName(opening.author)}. ${words.opening.reasons[reason]}.`,
    ])
    if (customer) rows.push(['Customer', customer])
    if (note) rows.push(['Note', note])
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
