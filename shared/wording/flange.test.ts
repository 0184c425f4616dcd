import { describe, expect, it } from 'vitest'
import { TEST_FLANGE, TestFlange } from '../../core/jobs/testFlange'
import { inMil } from '../../core/jobs/testJob'
import type { FlangeMachine } from '../../core/register/machine'
import {
  achievedTiltWords,
  clockList,
  flangeFactWords,
  meaningOfFlangeMove,
  meaningOfFlangePlan,
  pickWords,
  rockWords,
  spigotWords,
  staysSentence,
} from './flange'
import { changesOfPacks } from '../stages/flangePlan/changes'
import { flangeWorking } from '../stages/flangePlan/working'
import { findingsOf } from './findings'
import { headlinesOf } from './headlines'
import { meaningOfMeasuring } from './measuring'
import { misalignmentWords } from './directions'
import { quantityName } from './quantities'
import { tellingOf } from './telling'
import { flangeRegisterChanges } from '../../core/stages/close/flangeRegister'
import { flangeRegisterWords } from './flangeRegister'

const T = tellingOf('inch', TEST_FLANGE)
const M = tellingOf('metric', TEST_FLANGE)
const LEANS = inMil(3.3, -5.5, -0.2, 0.5)
const loose = (play: number | null): FlangeMachine => ({
  ...TEST_FLANGE,
  flange: { ...TEST_FLANGE.flange, spigot: 'loose', play },
})
const measured = (line = LEANS, machine: FlangeMachine = TEST_FLANGE) =>
  new TestFlange(machine).ready().readTwice(line)
const plan = (job: TestFlange) => meaningOfFlangePlan(job.state, job.schools()[0]?.packs?.opened ?? 0, T)

describe('an upright shaft in words', () => {
  it('leans and stands off toward an hour, never high or low', () => {
    const { latest } = measured().state
    expect(misalignmentWords(latest.coupling!, false, T)).toBe(
      'leans 0.54 mil/in toward 3:45, stands off 6.4 mil toward 10',
    )
    expect(misalignmentWords(inMil(0, 0, 0, 0), false, T)).toBe('stands square, in line with it')
    expect(quantityName('slope', T)).toBe('Tilt')
    expect(quantityName('offset', T)).toBe('Offset at the coupling')
    expect(misalignmentWords(latest.coupling!, false, M)).toMatch(/mm\/100 mm toward 3:45/)
  })

  it('is the headline of its readings', () => {
    expect(meaningOfMeasuring(measured().state, 'as-found', T).headline).toBe(
      'Out of band: motor leans 0.54 mil/in toward 3:45, stands off 6.4 mil toward 10.',
    )
  })
})

describe('what the plan says', () => {
  it.each([
    [measured(), 'out', /^The motor leans 0\.54 mil\/in toward 3:45, .* Shim (six|seven|eight) bolts\.$/],
    [
      measured(inMil(5, 0, 0, 0)),
      'out',
      /^5\.0 mil toward 12 stays, and the spigot is tight: frame or spigot/,
    ],
    [measured(inMil(5, 0, 0, 0), loose(12)), 'out', /Push it 5\.0 mil toward 6\.$/],
    [
      measured(inMil(13, 0, 0, 0), loose(12)),
      'out',
      /13\.0 mil toward 6, and the spigot lets it go 12\.0 mil/,
    ],
    [measured(inMil(0.2, 0, 0, 0)), 'in', /^In band/],
    [new TestFlange().ready(), 'todo', /^Measure it first/],
  ] as const)('%#', (job, mark, headline) => {
    const said = plan(job)
    expect(said.mark).toBe(mark)
    expect(said.headline).toMatch(headline)
  })

  it('an empty shelf is said, not wished away', () => {
    const bare = measured(LEANS, { ...TEST_FLANGE, stock: [] })
    expect(plan(bare).headline).toMatch(/No leaf on the shelf/)
  })

  it('what stays is judged, by how the spigot sits', () => {
    const { need, spigot } = measured().state
    expect(staysSentence(need, spigot, T)).toMatch(
      /^Once the tilt is gone, 1\.0 mil toward 1 stays: in band\. The spigot is tight/,
    )
    const pushed = measured(LEANS, loose(null)).state
    expect(staysSentence(pushed.need, pushed.spigot, T)).toMatch(/what is out is pushed, after the tilt/)
    const none = measured(inMil(-6, 0, 0.5, 0)).state
    expect(staysSentence(none.need, none.spigot, T)).toBe('Once the tilt is gone, the shafts are in line.')
  })

  it('shims are picked by their packs, and the rock is told by what the pairs add to', () => {
    const job = measured()
    const [coplanar, pairwise] = job.schools()
    const { bolts } = job.state.shape
    const lines = pickWords(changesOfPacks(coplanar!.packs!, 'inch'), bolts, 'inch', T)
    expect(lines.join()).toMatch(/ at .*(3|4:30)/)
    const said = (p: typeof coplanar) =>
      rockWords(
        bolts,
        p!.packs!.packs.map((x) => x.added),
        p!.packs!.plane,
        p!.rock!.limit,
        T,
      )
    expect(said(coplanar)).toMatch(/the flange sits flat/)
    expect(said(pairwise)).toMatch(/^Pairs add to .* and .*: the flange bends\.$/)
    const odd = measured(LEANS, {
      ...TEST_FLANGE,
      flange: { ...TEST_FLANGE.flange, bolts: 5, existing: [] },
    })
    const five = odd.schools()[0]!
    expect(
      rockWords(
        odd.state.shape.bolts,
        five.packs!.packs.map((x) => x.added),
        five.packs!.plane,
        1,
        T,
      ),
    ).toMatch(/No opposite pairs/)
    expect(clockList(['12'], T)).toBe('12')
    expect(clockList(['12', '3', '6'], T)).toBe('12, 3 and 6')
  })

  it('every number unfolds: each bolt, what stays in both planes, the rock', () => {
    const job = measured()
    const steps = flangeWorking(job.state.latest.coupling!, job.state.shape, job.schools()[0]!.packs, T)
    expect(steps).toHaveLength(8 + 2 + 1)
    expect(steps[2]?.substituted).toMatch(/^7\.00 × \(.* = \+3\.50$/)
    expect(steps[8]?.result).toBe('+0.90')
  })
})

describe('what the move says', () => {
  it('follows the dials down, names a slip, and judges what tightening did', () => {
    const job = measured(inMil(5, -4, 0, 0), loose(20))
    const { used } = job.state.latest
    const said = () => meaningOfFlangeMove(job.state, T)
    expect(said().headline).toMatch(/^Enter what was put in/)
    job.add({
      kind: 'flange-plan-chosen',
      payload: { units: 'inch', does: 'push', changes: [], push: { v: -5, h: 4 }, why: '', sets: used },
    })
    expect(said().headline).toBe('Push it 6.4 mil toward 4:45.')
    const count = (v: number, h: number, when: 'pushing' | 'tightened' = 'pushing') => {
      job.add({ kind: 'flange-counts-read', payload: { units: 'inch', when, toGo: { v, h } } })
      return said()
    }
    expect(count(-7, 4)).toMatchObject({ mark: 'edge', headline: 'It went the other way, 12 to 6.' })
    expect(count(-2, -3).headline).toBe('It went too far, 3 to 9. Bring it back.')
    expect(count(0, 0).headline).toMatch(/^Both dials stand at zero/)
    expect(count(0.5, 0, 'tightened').headline).toBe('Tightening shifted it 0.5 mil: it held.')
    expect(count(2, 0, 'tightened')).toMatchObject({ mark: 'out' })
    job.add({
      kind: 'flange-moved',
      payload: { units: 'inch', changes: [], pushed: { v: -5, h: 4 }, remark: '' },
    })
    expect(said().headline).toBe('The move is logged. Measure again.')
    expect(meaningOfFlangeMove(new TestFlange().open(980).state, T).headline).toMatch(/^Measure it first/)
  })

  it('has a sentence for every cause', () => {
    const say = (cause: Parameters<typeof achievedTiltWords>[0]['cause'], turned: number | null = null) =>
      achievedTiltWords({ cause, turned, angle: null, share: null }, T)
    expect(say('bolts-turned', 2)).toMatch(/^The right size, two bolts on, clockwise/)
    expect(say('bolts-turned', 1)).toMatch(/one bolt on/)
    for (const cause of ['as-planned', 'nothing-happened', 'sign-swapped', 'part-only', 'differs'] as const)
      expect(say(cause)).toMatch(/\.|\?$/)
  })
})

describe('sheet, register and facts', () => {
  it('the run sheet says what each stage found', () => {
    const job = measured()
    job.add({ kind: 'spigot-felt', payload: { units: 'inch', fit: 'tight', play: null, words: '' } })
    job.shim(job.schools()[0]!)
    const found = findingsOf(job.fold(), T)
    expect(found.look).toBe('All looked at, spigot tight')
    expect(found['as-found']).toBe('Two sets agree: out')
    expect(found.move).toBe('One move made')
    expect(found['set-up']).toBe('Rim and face')
    expect(Object.values(headlinesOf(job.fold(), T)).every((h) => h.length > 3)).toBe(true)
    const stuck = measured(inMil(5, 0, 0, 0))
    expect(findingsOf(stuck.fold(), T).plan).toBe('Frame or spigot')
  })

  it('what a closing writes is told line by line', () => {
    const job = measured(LEANS, loose(null))
    job.add({ kind: 'spigot-felt', payload: { units: 'inch', fit: 'loose', play: 9, words: '' } })
    job.add({
      kind: 'bolts-named',
      payload: { units: 'inch', size: '5/8', boltClass: 'grade-5', lubrication: 'dry', makerTorque: null },
    })
    job.shim(job.schools()[0]!)
    const lines = flangeRegisterWords(flangeRegisterChanges(job.state), job.state.shape.bolts, T)
    expect(lines.some((l) => /^The bolt at 3: shims none become/.test(l))).toBe(true)
    expect(lines).toContain('Spigot loose, 9.0 mil from stop to stop as felt in this job')
    expect(lines.some((l) => l.startsWith('Hold-down bolts'))).toBe(true)
    const tape = new TestFlange(TEST_FLANGE).open(980).lockOut()
    expect(flangeRegisterChanges(tape.state)).toEqual([])
  })

  it('the register’s flange is told with its spigot and what lies under it', () => {
    const existing = [[5, 2], [], [], [], [], [], [], []]
    const facts = flangeFactWords({ ...TEST_FLANGE, flange: { ...TEST_FLANGE.flange, existing } }, T)
    expect(facts).toContain('8 bolts on 14.00 in')
    expect(facts).toContain('Shims: 5+2 at 12')
    expect(flangeFactWords(TEST_FLANGE, T)).toContain('No shims under it.')
    const oval = { ...TEST_FLANGE, flange: { ...TEST_FLANGE.flange, across: { v: 14, h: 12 } } }
    expect(flangeFactWords(oval, T)[0]).toMatch(/14\.00 in by 12\.00 in/)
    expect(spigotWords({ fit: 'loose', play: null, from: 'register' }, T)).toBe(
      'Spigot loose by the register',
    )
  })
})
