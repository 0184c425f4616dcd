import { directionsWords, plansWords } from '../../wording/en'
import { describe, expect, it } from 'vitest'
import { lineDifference, positionAt } from '../../../core/frame/planes'
import { inMil, TEST_MACHINE, TestJob } from '../../../core/jobs/testJob'
import { planMoves } from '../../../core/plan/movePlan'
import { planInputFor } from '../../../core/stages/plan/planning'
import { layOutShafts } from '../../drawing/shaftLines'
import { graphPaper } from '../../drawing/graphPaper'
import { liftWords } from '../../wording/plans'
import { tellingOf } from '../../wording/telling'
import { biteWords, headlineOfPush, slipWords } from '../../wording/pushing'
import { blankMove, editMove, fillMove, footKey, readMove } from '../move/form'
import { drawPush } from '../move/pushDrawing'
import { readPush, sidesFromCounts } from '../move/pushForm'
import { choiceOf, movedBy, packedMoves, plannedAxes, predictedLine, shimLifts, withMove } from './choice'
import { fromFarEnd, plannedPacks } from './packs'
import { planWorking } from './working'

const pair = (id: string, x: number) => ({
  id,
  x,
  existing: { left: [20, 10], right: [20, 10] },
  maxPack: 80,
  sidePlus: 40,
  sideMinus: 40,
  locked: false,
})
const MACHINE = {
  ...TEST_MACHINE,
  feet: { ...TEST_MACHINE.feet, stationary: [pair('inboard', -13), pair('outboard', -30)] },
}
const inch = tellingOf('inch', MACHINE)
const job = new TestJob(MACHINE).ready()
job.read(inMil(9, 6, 0.2, 0.15))
job.read(inMil(9, 6, 0.2, 0.15))
const { state } = job
const INPUT = planInputFor(state, 'both')!
const PLAN = planMoves(INPUT).plans[0]!
const CHOICE = choiceOf(PLAN)

describe('a plan of both machines on the board', () => {
  it('draws two axes, whose difference is where it leads', () => {
    const axes = plannedAxes(INPUT, CHOICE)
    const between = lineDifference(axes.movable, axes.stationary)
    const leads = predictedLine(INPUT, CHOICE)
    for (const p of ['v', 'h'] as const)
      expect(positionAt(between, 400)[p]).toBeCloseTo(positionAt(leads, 400)[p] ?? NaN, 9)
  })

  it('keeps like-named pairs apart when one is dragged', () => {
    const dragged = withMove(CHOICE, 'stationary:inboard', 'h', 0.1)
    expect(dragged.feet.filter((f) => f.h === 0.1).map((f) => f.machine)).toEqual(['stationary'])
    const packed = packedMoves(CHOICE, shimLifts(INPUT))
    expect(packed?.map((m) => m.machine)).toEqual(['movable', 'movable', 'stationary', 'stationary'])
  })

  it('lays the driven feet left of the coupling, and gate and target about where its shaft will lie', () => {
    const sheet = {
      plane: 'v' as const,
      line: INPUT.coupling,
      feet: state.feet.movable,
      driven: state.feet.stationary,
      tolerance: state.tolerance,
      width: 690,
      height: 306,
      exaggeration: 50,
    }
    const flat = layOutShafts(sheet)
    const raised = layOutShafts({ ...sheet, ground: inMil(0.1, 0, 0, 0) })
    for (const f of flat.stationaryFeet) expect(f.x).toBeLessThan(flat.coupling)
    expect(Math.min(...flat.stationaryFeet.map((f) => f.x))).toBeGreaterThan(0)
    const up = flat.zero - raised.y(0.1)
    expect((flat.gate?.top ?? 0) - (raised.gate?.top ?? 0)).toBeCloseTo(up, 6)
    expect((flat.stationaryFeet[0]?.y ?? 0) - (raised.stationaryFeet[0]?.y ?? 0)).toBeCloseTo(up, 6)
  })

  it('stands on graph paper with the driven feet left of the coupling', () => {
    const axes = plannedAxes(INPUT, CHOICE)
    const svg = graphPaper({
      title: 'T',
      units: 'inch',
      feet: CHOICE.feet.map((f) => ({ ...f, name: `${f.machine} ${f.id}` })),
      found: INPUT.coupling,
      target: state.target,
      predicted: axes.movable,
      ground: axes.stationary,
      words: {
        ...plansWords(inch.words).graph,
        views: directionsWords(inch.words).views,
        move: () => 'moved',
      },
    })
    expect(svg).toContain('stationary outboard, -30 in')
    const xs = [...svg.matchAll(/<circle cx="([\d.]+)"/g)].map((m) => Number(m[1]))
    expect(Math.min(...xs)).toBeGreaterThan(12)
    expect(Math.max(...xs)).toBeLessThan(285)
  })

  it('says which machine it moves, and names its lifts', () => {
    const still = { ...PLAN, moves: PLAN.moves.map((m) => ({ ...m, v: 0, h: 0 })) }
    expect(movedBy(still)).toBe('movable')
    const driven = PLAN.moves.map((m) => (m.machine === 'stationary' ? { ...m, v: 1 } : { ...m, v: 0, h: 0 }))
    expect(movedBy({ moves: driven })).toBe('stationary')
    expect(liftWords({ moves: driven }, inch)).toMatch(/^leave \/ leave, driven add .* \/ add /)
  })

  it('packs stand from the driven machine’s far end to the motor’s', () => {
    const rows = fromFarEnd(plannedPacks(INPUT.feet, PLAN.moves).filter((p) => p.side === 'left'))
    expect(rows.map((r) => `${r.machine} ${r.pair}`)).toEqual([
      'stationary outboard',
      'stationary inboard',
      'movable inboard',
      'movable outboard',
    ])
  })

  it('works the result out with the driven machine’s shift taken off', () => {
    const steps = planWorking(INPUT.coupling, PLAN.predicted, PLAN.moves, inch)
    const named = (start: string) => steps.find((s) => s.name.startsWith(start))
    const last = (text: string | undefined) => Number((text ?? '').replace('−', '-').replace('+', ''))
    const shift = last(named('Driven machine, shift at the coupling, vertical')?.result)
    expect(Number.isFinite(shift)).toBe(true)
    expect(named('Offset after, vertical')?.substituted).toContain('− (')
    expect(named('Offset after, vertical')?.formula).toContain('change of the driven offset')
  })
})

describe('a push of both machines on the screen', () => {
  const pushed = () => {
    const j = new TestJob(MACHINE).ready()
    j.add({
      kind: 'plan-chosen',
      payload: {
        units: 'inch',
        option: 'own',
        changes: [],
        side: [
          { machine: 'movable', pair: 'outboard', moved: -6 },
          { machine: 'stationary', pair: 'outboard', moved: 8 },
        ],
        sets: null,
      },
    })
    return j
  }
  const counted = (j: TestJob, machine: 'movable' | 'stationary', toGo: number) =>
    j.add({
      kind: 'counts-read',
      payload: { units: 'inch', when: 'pushing', counts: [{ machine, pair: 'outboard', toGo }] },
    })

  it('names the driven ends, and slips at them', () => {
    const j = pushed()
    expect(biteWords(j.state.push, inch)).toContain('Push at driven outboard left: 4.0 mil toward 3.')
    expect(headlineOfPush(j.state.push, inch)).toContain('driven outboard first')
    counted(j, 'stationary', 12)
    expect(slipWords(j.state.push, inch)).toMatch(/^Driven outboard went the other way/)
  })

  it('draws each end once, with its own key, count and room', () => {
    const j = pushed()
    counted(j, 'stationary', 3)
    const drawn = drawPush(j.state.push, planInputFor({ ...state, ...{} }, 'both')!.feet, 'inch')
    expect(drawn.map((e) => e.key)).toEqual([
      'inboard',
      'outboard',
      'stationary:inboard',
      'stationary:outboard',
    ])
    expect(drawn.map((e) => Math.round(e.left / 0.0254))).toEqual([0, 6, 0, 3])
    expect(drawn.filter((e) => e.turn)).toHaveLength(1)
  })

  it('reads the boxes of both apart, and fills the move with what was pushed', () => {
    const j = pushed()
    const texts = { units: 'inch' as const, toGo: { outboard: '2', 'stationary:outboard': '1' } }
    expect(readPush(texts, j.state.push, 'pushing', inch).payload?.counts).toEqual([
      { machine: 'movable', pair: 'outboard', toGo: -2 },
      { machine: 'stationary', pair: 'outboard', toGo: 1 },
    ])
    counted(j, 'stationary', 1)
    expect(sidesFromCounts(j.state.push, 'inch')).toMatchObject({
      'stationary:outboard': '7',
      outboard: '0',
    })
  })
})

describe('the boxes of a move of both machines', () => {
  const change = (machine: 'movable' | 'stationary', putIn: number) =>
    ({ machine, pair: 'inboard', side: 'left', takenOut: [], putIn: [putIn] }) as const
  const payload = {
    units: 'inch' as const,
    changes: [change('movable', 5), change('stationary', 3)],
    side: [{ machine: 'stationary' as const, pair: 'outboard', moved: 4 }],
  }

  it('are filled and read back apart', () => {
    const texts = fillMove(blankMove('inch'), payload, { shims: true, side: true }, 'inch')
    expect([
      texts.in[footKey('inboard', 'left')],
      texts.in[footKey('inboard', 'left', 'stationary')],
    ]).toEqual(['5', '3'])
    const read = readMove(texts, INPUT.feet, 4, inch)
    expect(read.payload).toMatchObject(payload)
  })

  it('name the driven foot in what they ask', () => {
    const texts = fillMove(
      blankMove('inch'),
      { ...payload, side: [{ machine: 'stationary', pair: 'outboard', moved: 400 }] },
      { shims: false, side: true },
      'inch',
    )
    expect(readMove(texts, INPUT.feet, 4, inch).questions[0]).toContain('Driven outboard feet')
  })

  it('open with the driven machine when such a move is corrected', () => {
    const entry = { id: 'm', payload: { ...payload, remark: '' } } as never
    expect(editMove(entry, 'inch').driven).toBe(true)
  })
})
