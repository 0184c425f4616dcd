import dayjs from 'dayjs'
import type { Content, ContentTable, TableCell, TDocumentDefinitions } from 'pdfmake/interfaces'
import type { JobState } from '../../core/logbook/foldJob'
import type { LogEntry } from '../../core/logbook/entry'
import type { Measurement } from '../../core/logbook/measurement'
import { toCore, type UnitSystem } from '../../core/units/unitSystem'
import type { MachineSnapshot } from '../../shared/register/machine'
import {
  clockName,
  offsetWords,
  shimWords,
  signWord,
  sideWords,
  slopeWords,
} from '../../shared/wording/directions'
import { figure, pack, UNIT_NAMES } from '../../shared/wording/figures'
import {
  CAUSE_SENTENCES,
  REASON_NAMES,
  SAFETY_NAMES,
  SAFETY_NOTE,
  STAGE_NAMES,
  TRUST_NAMES,
  VERDICT_NAMES,
} from '../../shared/wording/names'
import { quantityName } from '../../shared/wording/quantities'
import { toleranceSource } from '../../shared/wording/tolerances'
import { trustRows } from '../../shared/wording/trustRows'
import { shaftSvg, verdictSvg } from './shaftSvg'

export interface ReportInput {
  readonly jobId: string
  readonly works: string
  readonly machine: MachineSnapshot
  readonly state: JobState
  readonly logbook: readonly LogEntry[]
  readonly personName: (id: string) => string
  readonly units: UnitSystem
  readonly paper: 'A4' | 'LETTER'
}

const when = (iso: string): string => dayjs(iso).format('D MMM YYYY HH:mm')
const figures = (text: string, bold = false): TableCell => ({
  text,
  font: 'Figures',
  alignment: 'right',
  bold,
})
/** A figure with the word of its sign under it. */
const withWord = (shown: TableCell, word: string): TableCell => ({
  stack: [shown as Content, { text: word, alignment: 'right', fontSize: 8, color: '#444444' }],
})
const pairName = (id: string): string => (id === 'inboard' ? 'Inboard' : 'Outboard')
const capital = (s: string): string => s.charAt(0).toUpperCase() + s.slice(1)

const grid = (widths: (string | number)[], header: string[], rows: TableCell[][]): ContentTable => ({
  table: {
    headerRows: 1,
    widths,
    body: [
      header.map((h, i): TableCell => ({ text: h, color: '#444444', alignment: i === 0 ? 'left' : 'right' })),
      ...rows,
    ],
  },
  layout: {
    hLineWidth: (i) => (i === 0 ? 0 : 0.5),
    vLineWidth: () => 0,
    hLineColor: () => '#999999',
    paddingLeft: (i) => (i === 0 ? 0 : 4),
    paddingRight: () => 2,
    paddingTop: () => 2,
    paddingBottom: () => 2,
  },
  margin: [0, 2, 0, 6],
})

const heading = (text: string): Content => ({ text, bold: true, fontSize: 11.5, margin: [0, 9, 0, 2] })

const facts = ({ machine, state, personName }: ReportInput): Content => {
  const opened = state.opened
  const rows: [string, string][] = [
    ['Machine', `${machine.tag} ${machine.name}, ${machine.area}`],
    [
      'Drive',
      `${machine.powerKw} kW ${machine.movableName.toLowerCase()} to ${machine.stationaryName.toLowerCase()}, ${machine.couplingKind.toLowerCase()}, ${state.rpm} rpm as read off`,
    ],
  ]
  if (opened) {
    rows.push([
      'Opened',
      `${when(opened.madeAt)} by ${personName(opened.author)}. ${REASON_NAMES[opened.payload.reason]}.`,
    ])
    if (opened.payload.customer) rows.push(['Customer', opened.payload.customer])
    if (opened.payload.note) rows.push(['Note', opened.payload.note])
  }
  return {
    table: { widths: [62, '*'], body: rows.map(([k, v]) => [{ text: k, color: '#444444' }, v]) },
    layout: {
      hLineWidth: () => 0,
      vLineWidth: () => 0,
      paddingLeft: () => 0,
      paddingTop: () => 1,
      paddingBottom: () => 1,
    },
  }
}

const result = (input: ReportInput): Content[] => {
  const { state, units, machine } = input
  const { asFound, asLeft } = state
  if (!asLeft?.judgement || !asLeft.coupling)
    return [heading('Result'), { text: 'Nothing was measured that could be used.' }]
  const rows = asLeft.judgement.quantities.map((q): TableCell[] => {
    const before = asFound?.judgement?.quantities.find((b) => b.name === q.name)
    const f = (x: number | null) => figure(x, q.kind, units, { sign: q.low !== 0 })
    const limit =
      q.low !== null && q.high !== null && (q.low === -q.high || q.low === 0)
        ? figure(q.high, q.kind, units)
        : `${q.low === null ? 'open' : f(q.low)} to ${q.high === null ? 'open' : f(q.high)}`
    return [
      quantityName(q.name),
      withWord(figures(f(before?.value ?? null)), signWord(q, before?.value ?? null, units)),
      withWord(figures(f(q.value), true), signWord(q, q.value, units)),
      figures(limit),
      { text: UNIT_NAMES[units][q.kind], alignment: 'right' },
      {
        columns: [
          { svg: verdictSvg(q.verdict), width: 12 },
          { text: VERDICT_NAMES[q.verdict], width: 'auto' },
        ],
        columnGap: 3,
      },
    ]
  })
  const words = (m: Measurement) =>
    m.coupling
      ? [
          offsetWords(m.coupling.offset.v, 'v', units),
          offsetWords(m.coupling.offset.h, 'h', units),
          slopeWords(m.coupling.slope.v, 'v', units),
          slopeWords(m.coupling.slope.h, 'h', units),
        ].join('; ')
      : 'not measured'
  const views = (['v', 'h'] as const).flatMap((plane) => {
    const svg = shaftSvg(
      state,
      plane,
      asFound?.coupling ?? null,
      asLeft.coupling as NonNullable<typeof asLeft.coupling>,
      units,
    )
    return svg
      ? [
          {
            svg,
            fit: [250, 150] as [number, number],
            caption: plane === 'v' ? 'Side view, up is up' : 'Top view, 3 o’clock is up',
          },
        ]
      : []
  })
  return [
    heading('As found and as left'),
    grid(['*', 62, 62, 62, 62, 62], ['', 'as found', 'as left', 'limit', '', ''], rows),
    { text: `Limit: ${toleranceSource(machine.tolerance, state.rpm)}`, color: '#444444' },
    ...(asFound
      ? [
          {
            text: `As found: the ${machine.movableName.toLowerCase()} ${words(asFound)}. ${TRUST_NAMES[asFound.trust]}.`,
          },
        ]
      : []),
    {
      text: `As left: the ${machine.movableName.toLowerCase()} ${words(asLeft)}. ${TRUST_NAMES[asLeft.trust]}.`,
    },
    {
      columns: views.map((v) => ({
        stack: [
          { text: v.caption, margin: [0, 6, 0, 2] as [number, number, number, number] },
          { svg: v.svg, fit: v.fit },
        ],
        width: '*',
      })),
      columnGap: 12,
    },
    {
      text: 'As left whole, as found dashed. Seen from behind the outboard end of the moved machine.',
      color: '#444444',
    },
  ]
}

const setUp = ({ state, units, machine }: ReportInput): Content[] => {
  const s = state.setUp
  if (!s) return []
  const d = (x: number) => figure(x, 'displacement', units, { unit: true })
  const l = (x: number) => figure(x, 'distance', units, { unit: true })
  const carrier = s.rim.carriedBy === 'movable' ? machine.movableName : machine.stationaryName
  return [
    heading('Set-up'),
    {
      text:
        `Rim and face, bracket on the ${carrier.toLowerCase()}, rim dial ${l(Math.abs(s.rim.plane))} from the coupling centre, face circle ${l(s.face.diameter)}, ` +
        `face plunger points ${s.face.plunger}. Bar sag ${d(s.rim.sag)} (told as ${s.given.rim.sagForm === 'hang' ? 'its hang' : 'the reading at 6 on a pipe'}). ` +
        `Feet at ${s.feet.map((f) => `${l(f.x)} (${f.id})`).join(' and ')}. ` +
        `${s.given.turning === 'both' ? 'Both shafts turned together.' : 'Only one shaft turned.'} ` +
        `After a full turn the rim showed ${d(s.returned.rim)}, the face ${d(s.returned.face)}: ${s.holdsZero ? 'holds zero' : 'does not hold zero'}.`,
    },
  ]
}

const measurement = (input: ReportInput, m: Measurement, title: string): Content[] => {
  const { units, personName } = input
  if (m.sets.length === 0) return []
  const clocks = [...new Set(m.sets.flatMap((s) => s.readings.rim.map((r) => r.clock)))]
  const rows = m.sets.flatMap((s, i): TableCell[][] => {
    const standing =
      s.leftOut !== null
        ? 'left out'
        : s.usedAnyway !== null
          ? 'used anyway'
          : m.used.includes(s.entry.id)
            ? 'used'
            : 'not used'
    return (['rim', 'face'] as const).map((dial): TableCell[] => [
      dial === 'rim'
        ? `Set ${i + 1}, ${when(s.entry.madeAt)}, ${personName(s.entry.author)}: ${standing}`
        : '',
      dial,
      ...clocks.map((c) =>
        figures(
          figure(s.readings[dial].find((r) => r.clock === c)?.value ?? null, 'displacement', units, {
            sign: true,
          }),
        ),
      ),
    ])
  })
  const reasons = m.sets.flatMap((s, i) =>
    [
      s.usedAnyway !== null ? `Set ${i + 1} was used against a failed check: ${s.usedAnyway}` : '',
      s.leftOut !== null ? `Set ${i + 1} was left out: ${s.leftOut}` : '',
    ].filter(Boolean),
  )
  const checks = trustRows(m, units).map(
    (t) => `${t.name} ${t.found} (limit ${t.limit}) ${t.passes ? 'passes' : 'fails'}`,
  )
  const rowsAndChecks: Content[] = [
    heading(title),
    grid(
      ['*', 26, ...clocks.map(() => (clocks.length > 4 ? 34 : 44))],
      [
        `${UNIT_NAMES[units].displacement}, plunger in is plus`,
        '',
        ...clocks.map((c) => clockName(c).replace(' o’clock', '')),
      ],
      rows,
    ),
    ...reasons.map((text): Content => ({ text, bold: true })),
    { text: `Checks: ${checks.join('; ')}.` },
  ]
  // Kept on one page, so that no heading stands alone at the foot.
  return [{ unbreakable: m.sets.length <= 4, stack: rowsAndChecks }]
}

const moves = (input: ReportInput): Content[] =>
  input.state.moves.flatMap((move, i): Content[] => {
    const { units, personName } = input
    const p = move.entry.payload
    const own = (t: number) => toCore(t, 'displacement', p.units)
    const rows = move.footwork.moves.map((f): TableCell[] => {
      const planned = move.plan?.footwork.moves.find((x) => x.id === f.id)
      const v = move.achieved?.find((a) => a.plane === 'v')?.feet.find((x) => x.id === f.id)
      const h = move.achieved?.find((a) => a.plane === 'h')?.feet.find((x) => x.id === f.id)
      const signed = (x: number | undefined) =>
        figures(x === undefined ? '–' : figure(x, 'displacement', units, { sign: true }))
      return [
        pairName(f.id),
        signed(planned?.v),
        signed(f.v),
        signed(v?.achieved),
        signed(planned?.h),
        signed(f.h),
        signed(h?.achieved),
      ]
    })
    const shims = p.changes.map(
      (c) =>
        `${pairName(c.pair)} ${c.side}: out ${pack(c.takenOut.map(own), units)}, in ${pack(c.putIn.map(own), units)}`,
    )
    const words = move.footwork.moves.map(
      (f) => `${f.id} feet ${shimWords(f.v, units)}, ${sideWords(f.h, units)}`,
    )
    return [
      heading(`Move ${i + 1}, ${when(move.entry.madeAt)}, ${personName(move.entry.author)}`),
      { text: `${capital(words.join('; '))} (${UNIT_NAMES[units].displacement}).` },
      grid(
        ['*', 58, 58, 58, 58, 58, 58],
        ['height + up, side + to 3', 'planned up', 'made', 'measured', 'planned side', 'made', 'measured'],
        rows,
      ),
      ...(shims.length > 0 ? [{ text: `Shims. ${shims.join('. ')}.` }] : []),
      ...(move.achieved ?? []).map((a): Content => ({
        text: `${a.plane === 'v' ? 'Height' : 'Side'}: ${CAUSE_SENTENCES[a.cause]}`,
      })),
      ...(p.remark ? [{ text: `Remark: ${p.remark}` }] : []),
    ]
  })

const record = ({ state, logbook, personName }: ReportInput): Content[] => {
  const safety = state.safety.confirmed.map(
    (c) => `${SAFETY_NAMES[c.point].name}, ${when(c.at)}, ${personName(c.by)}`,
  )
  const corrections = logbook.flatMap((e) =>
    e.supersedes
      ? [`${when(e.madeAt)}, ${personName(e.author)}: an entry was corrected. ${e.supersedes.reason}`]
      : [],
  )
  const skipped = Object.entries(state.skipped).map(
    ([stage, why]) => `${STAGE_NAMES[stage as keyof typeof STAGE_NAMES]} was passed over: ${why}`,
  )
  const remarks = state.remarks.map((r) => `${when(r.madeAt)}, ${personName(r.author)}: ${r.payload.text}`)
  const list = (title: string, lines: readonly string[]): Content[] =>
    lines.length === 0 ? [] : [heading(title), { ul: [...lines] }]
  return [
    ...list(`Made safe${state.safety.permit ? `, permit ${state.safety.permit}` : ''}`, safety),
    ...(state.safety.missing.length > 0
      ? [
          {
            text: `Not confirmed: ${state.safety.missing.map((p) => SAFETY_NAMES[p].name.toLowerCase()).join(', ')}.`,
            bold: true,
          },
        ]
      : []),
    { text: SAFETY_NOTE, color: '#444444' },
    ...list('Passed over', skipped),
    ...list('Corrections', corrections),
    ...list('Remarks', remarks),
  ]
}

const signature = ({ state, personName }: ReportInput): Content => {
  const c = state.closed
  return {
    unbreakable: true,
    stack: [
      heading('Closing'),
      ...(c?.payload.remarks ? [{ text: c.payload.remarks }] : []),
      ...(c?.payload.exception ? [{ text: `Exception: ${c.payload.exception}`, bold: true }] : []),
      {
        text: c
          ? `Closed ${when(c.madeAt)}, written by ${personName(c.author)}.`
          : 'This job is still open: the report shows where it stands.',
      },
      {
        columns: [
          {
            stack: [
              { text: c?.payload.signedBy ?? ' ', margin: [0, 26, 0, 2] },
              { canvas: [{ type: 'line', x1: 0, y1: 0, x2: 220, y2: 0, lineWidth: 0.7 }] },
              { text: 'Signature', color: '#444444' },
            ],
          },
          {
            stack: [
              { text: ' ', margin: [0, 26, 0, 2] },
              { canvas: [{ type: 'line', x1: 0, y1: 0, x2: 220, y2: 0, lineWidth: 0.7 }] },
              { text: 'For the customer', color: '#444444' },
            ],
          },
        ],
      },
    ],
  }
}

/** The report of a job as a printable document: readable in black and white, on A4 or Letter. */
export const reportDocument = (input: ReportInput): TDocumentDefinitions => {
  const { state, machine } = input
  const measured = state.measurements.flatMap((m, i) =>
    measurement(input, m, i === 0 ? 'Readings as found' : `Readings after move ${i}`),
  )
  const verdict = state.asLeft?.judgement?.verdict ?? 'unknown'
  return {
    pageSize: input.paper,
    pageMargins: [42, 44, 42, 48],
    defaultStyle: { font: 'Text', fontSize: 9.5, lineHeight: 1.15 },
    info: { title: `${machine.tag} alignment report`, author: input.works },
    footer: (page, pages) => ({
      margin: [42, 12, 42, 0],
      fontSize: 8,
      columns: [
        { text: `${input.works} · ${machine.tag} · job ${input.jobId}` },
        { text: `${page} of ${pages}`, alignment: 'right', width: 60 },
      ],
    }),
    content: [
      { text: input.works, color: '#444444' },
      {
        columns: [
          { text: `Alignment report, ${machine.tag} ${machine.name}`, bold: true, fontSize: 16 },
          {
            columns: [
              { svg: verdictSvg(verdict), width: 14, margin: [0, 5, 0, 0] },
              { text: VERDICT_NAMES[verdict], bold: true, fontSize: 13, margin: [0, 2, 0, 0] },
            ],
            columnGap: 4,
            width: 90,
          },
        ],
      },
      facts(input),
      ...result(input),
      ...moves(input),
      ...setUp(input),
      ...measured,
      ...record(input),
      signature(input),
      {
        text: `Times are of the works’ server, ${dayjs().format('[UTC]Z')}. Units: ${UNIT_NAMES[input.units].displacement}, ${UNIT_NAMES[input.units].slope}.`,
        color: '#444444',
        margin: [0, 8, 0, 0],
      },
    ],
  }
}
