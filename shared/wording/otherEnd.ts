import type { Words } from './en'

/**
 * From which end a person looks: behind the movable machine, as everything is stored, or behind the stationary one,
 * where 3 and 9, and left and right, are the other way round. It changes labels and what boxes mean, never what is kept.
 */
export const VIEWS_FROM = ['movable', 'stationary'] as const
export type ViewFrom = (typeof VIEWS_FROM)[number]

/** A stored clock angle as it is called from this end; its own inverse. */
export const seenClock = (clock: number, from: ViewFrom): number =>
  from === 'stationary' ? (360 - clock) % 360 : clock

/** A stored hour as it is called from this end. */
export const seenHour = (hour: '3' | '9', from: ViewFrom): '3' | '9' =>
  from === 'movable' ? hour : hour === '3' ? '9' : '3'

/** Sentences that name 3 or 9 behind a `toward`, and nothing else by a bare figure. */
const turned = (text: string): string =>
  text.replace(/toward ([39])\b/g, (_, hour: string) => `toward ${hour === '3' ? '9' : '3'}`)
const turning =
  <A extends readonly unknown[]>(say: (...about: A) => string) =>
  (...about: A) =>
    turned(say(...about))

const build = (w: Words): Words => {
  const { sides } = w.feet
  const { paths } = w.report.corrections
  const { look, measuring, methods, moves, report, roughIn, tables, targets, plans, directions, drawings } = w
  const { labels } = methods
  const toward3 = 'shownToward3'
  return {
    ...w,
    directions: { ...directions, viewNotes: { ...directions.viewNotes, h: '9 o’clock is up' } },
    drawings: { ...drawings, overlaid: { ...drawings.overlaid, h: 'Top view, 9 o’clock is up' } },
    feet: { ...w.feet, sides: { left: sides.right, right: sides.left } },
    look: {
      ...look,
      edges: { ...look.edges, left: look.edges.right, right: look.edges.left },
      corners: {
        'coupling-left': look.corners['coupling-right'],
        'coupling-right': look.corners['coupling-left'],
        'far-left': look.corners['far-right'],
        'far-right': look.corners['far-left'],
      },
      pipe: { ...look.pipe, nine: look.pipe.three, three: look.pipe.nine },
      view: {
        ...look.view,
        note: look.view.noteOtherEnd,
        pipeHorizontal: turned(look.view.pipeHorizontal),
        lowsAcross: { near: look.view.lowsAcross.far, far: look.view.lowsAcross.near },
        divisionsAcross: turning(look.view.divisionsAcross),
      },
    },
    measuring: {
      ...measuring,
      view: {
        ...measuring.view,
        note: measuring.view.noteOtherEnd,
        noteFelt: measuring.view.noteFeltOtherEnd,
        ways: {
          ...measuring.view.ways,
          four: '12, 9, 6, 3',
          'from-3': measuring.view.ways['from-9'],
          'from-9': measuring.view.ways['from-3'],
          twice: 'zeroed at 12, again at 9',
          three: 'three points: 3, 12, 9',
          arc: 'part arc: 2, 12, 10',
        },
        waysFelt: { ...measuring.view.waysFelt, four: '12, 9, 6, 3' },
        shownSigns: turning(measuring.view.shownSigns),
      },
    },
    methods: {
      ...methods,
      labels: {
        ...labels,
        values: {
          ...labels.values,
          [toward3]: turned(labels.values[toward3]),
          shownEndToward3: turned(labels.values.shownEndToward3),
        },
        'foot-values': { ...labels['foot-values'], [toward3]: turned(labels['foot-values'][toward3]) },
      },
    },
    moves: {
      ...moves,
      view: {
        ...moves.view,
        pushed: turning(moves.view.pushed),
        room: turning(moves.view.room),
      },
    },
    report: {
      ...report,
      seenFrom: report.seenFromOtherEnd,
      moves: { ...report.moves, signs: turned(report.moves.signs) },
      corrections: {
        ...report.corrections,
        paths: Object.fromEntries(Object.entries(paths).map(([path, name]) => [path, turned(name)])),
      },
      setUps: { ...report.setUps, signs: turning(report.setUps.signs) },
    },
    roughIn: {
      ...roughIn,
      view: {
        ...roughIn.view,
        twoPlaces: '12 and 9',
        fourPlaces: '12, 9, 6 and 3',
        pushTo: 'Push toward 9 (−: toward 3)',
      },
      working: {
        ...roughIn.working,
        openingFormula: { ...roughIn.working.openingFormula, h: 'gap at 3 − gap at 9' },
      },
    },
    plans: { ...plans, room: { ...plans.room, left: turning(plans.room.left) } },
    targets: {
      ...targets,
      view: {
        ...targets.view,
        side: turned(targets.view.side),
        offset: { ...targets.view.offset, h: turned(targets.view.offset.h) },
        slope: { ...targets.view.slope, h: turned(targets.view.slope.h) },
      },
    },
    tables: {
      ...tables,
      plus: { ...tables.plus, h: turned(tables.plus.h) },
    },
  }
}

const built = new WeakMap<Words, Words>()

/** The same words for somebody who stands at the stationary machine's end; one object for good. */
export const fromOtherEnd = (words: Words): Words => {
  const known = built.get(words) ?? build(words)
  built.set(words, known)
  return known
}
