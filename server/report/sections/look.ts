import { lookWords, placesWords } from '../../../shared/wording/en'
import type { Content, TableCell } from 'pdfmake/interfaces'
import {
  checkLooks,
  NO_LOOKS,
  type LookEntry,
  type Looks,
  type Opened,
} from '../../../core/stages/look/looks'
import { BASE_EDGES } from '../../../core/stages/look/entries'
import { toCore, type UnitSystem } from '../../../core/units/unitSystem'
import { figure, pack, UNIT_NAMES } from '../../../shared/wording/figures'
import { baseWords, footPlace, pipeWords } from '../../../shared/wording/look'
import type { Telling } from '../../../shared/wording/telling'
import { block, grid, heading, QUIET, when } from '../blocks'
import { pictureRows } from '../pictures'
import type { Section } from '../section'

/** Whatever was opened and looked over. */
interface LookedAt {
  readonly machine: Opened
  readonly looks: Looks
}

/** What an entry besides the places says, in lines. */
const linesOf = (entry: LookEntry, by: string, state: LookedAt, telling: Telling): readonly string[] => {
  const w = lookWords(telling.words)
  const { units } = telling
  const also = (line: string, words: string) => (words ? `${line}: ${words.replace(/\.$/, '')}.` : `${line}.`)
  const small = (t: number, was: UnitSystem) =>
    figure(toCore(t, 'displacement', was), 'displacement', units, { unit: true, sign: true })
  switch (entry.kind) {
    case 'pins-handled':
      return [also(w.report.pins(by, w.pins[entry.payload.did]), entry.payload.words)]
    case 'pipe-read': {
      const { vertical, horizontal, units: was, words } = entry.payload
      const { pipe } = checkLooks(state.machine, { ...NO_LOOKS, pipe: entry })
      const read = (t: number | null) => (t === null ? '–' : small(t, was))
      return [
        also(w.report.pipe(by, read(vertical), read(horizontal)), words),
        ...(pipe ? [pipeWords(pipe, telling)] : []),
      ]
    }
    case 'base-read': {
      const { base } = checkLooks(state.machine, { ...NO_LOOKS, base: entry })
      if (!base) return []
      const edges = BASE_EDGES.map(
        (e) => `${w.edges[e]} ${figure(base.edges[e], 'slope', units, { sign: true, unit: true })}`,
      )
      return [also(w.report.base(by, edges.join(', ')), ''), ...baseWords(base, telling)]
    }
    case 'shims-found':
      return entry.payload.feet.map((f) => {
        const leaves = f.leaves.map((l) => toCore(l.thickness, 'displacement', entry.payload.units))
        const marks = f.leaves.map((l) => l.mark).filter(Boolean)
        const what =
          leaves.length > 0 ? `${pack(leaves, units)} ${UNIT_NAMES[units].displacement}` : pack([], units)
        return also(
          w.report.shims(by, footPlace(f, telling), what),
          marks.length > 0 ? w.report.marks(marks.join(', ')) : '',
        )
      })
    case 'sheet-shims-cut': {
      const { outline, thickness, count, units: was, words } = entry.payload
      const far = (t: number) => figure(toCore(t, 'distance', was), 'distance', units, { unit: true })
      const sheet = figure(toCore(thickness, 'displacement', was), 'displacement', units, { unit: true })
      const what = `${w.outline.sheet(sheet, count)}, ${w.outline.size(far(outline.width), far(outline.length), far(outline.slot))}`
      return [also(w.report.cut(by, what, footPlace(entry.payload, telling)), words)]
    }
    case 'place-looked':
      return []
  }
}

/** The machine as it was opened: place by place, what was measured of it, and the photographs. */
export const lookedAt: Section<LookedAt> = (state, { telling, personName, photographs }) => {
  const { looks } = state
  const w = lookWords(telling.words)
  const by = (e: { readonly madeAt: string; readonly author: string }) =>
    `${when(e.madeAt)}, ${personName(e.author)}`
  const seen = looks.facts.all.filter((e) => e.kind === 'place-looked')
  const body: Content[] = []
  if (seen.length > 0)
    body.push(
      grid(
        [150, 62, '*'],
        [w.report.place, w.report.foundAs, ''],
        seen.map((e): TableCell[] => [
          {
            stack: [
              e.payload.places.map((p) => placesWords(telling.words)[p].name).join(', '),
              { text: by(e), fontSize: 8, color: QUIET },
            ],
          },
          { text: w.found[e.payload.found], alignment: 'right', bold: e.payload.found === 'to-report' },
          { text: e.payload.words, alignment: 'left', margin: [10, 0, 0, 0] },
        ]),
      ),
    )
  const lines = looks.facts.all.flatMap((e) => linesOf(e, by(e), state, telling))
  if (lines.length > 0) body.push({ ul: [...lines] })
  const pictures = seen.flatMap((e) =>
    e.payload.photographs.map((id) => ({
      picture: photographs[id],
      caption: w.report.caption(
        e.payload.places.map((p) => placesWords(telling.words)[p].name).join(', '),
        by(e),
      ),
    })),
  )
  const rows = pictureRows(pictures, w.report.notHere)
  return [
    ...(body.length > 0 ? [block(w.report.name, ...body)] : []),
    ...(rows.length > 0 ? [heading(w.report.photographs), ...rows] : []),
  ]
}
