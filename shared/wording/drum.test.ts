import { describe, expect, it } from 'vitest'
import { DRUM_SET_UP, TEST_DRUM, TestDrum, UNTAPED_DRUM } from '../../core/jobs/testDrum'
import { inMil, lift } from '../../core/jobs/testJob'
import { NO_WINDOWS } from '../../core/register/drumMachine'
import { registerChanges } from '../../core/stages/close/registerChanges'
import {
  drumFactWords,
  drumLimitSource,
  endsWords,
  leversWords,
  meaningOfTram,
  pushLines,
  shimLines,
} from './drum'
import { drumRunoutLimit, findingOfDrum, meaningOfDrum, meaningOfSurface } from './drumTrue'
import { drumFindings } from './drumFindings'
import { findingsOf } from './findings'
import { headlinesOf } from './headlines'
import { limitWords } from './quantities'
import { meaningOfSafety } from './makeSafe'
import { registerWords } from './registerChanges'
import { tellingOf } from './telling'

const T = tellingOf('inch', TEST_DRUM)
const M = tellingOf('metric', TEST_DRUM)
const OTHER = tellingOf('inch', TEST_DRUM, 'inboard-outboard', 'stationary')
const stands = (ov: number, oh: number, sv = 0, sh = 0, machine = TEST_DRUM) =>
  new TestDrum(machine).ready().readTwice(inMil(ov, oh, sv, sh))
const plan = (job: TestDrum, telling = T) => meaningOfTram(job.state, telling)
const PAIRS = TEST_DRUM.feet.movable
const push = (by: number) => PAIRS.map((f) => ({ machine: 'movable' as const, pair: f.id, moved: by }))

describe('what the tram says', () => {
  it('waits for two sets that agree', () => {
    expect(plan(new TestDrum().ready())).toMatchObject({
      mark: 'todo',
      headline: 'Read it first: two sets that agree.',
    })
  })

  it.each([
    [stands(-3, 4), 'out', 'The motor stands 4.0 mil toward 3. Bring its side in before its height.'],
    [
      stands(-3, 0, 0, 0.2),
      'out',
      'The motor stands right aside, but its outboard end toward 3. Push one end.',
    ],
    [stands(-3, 0), 'out', 'The motor sits 3.0 mil low. That is not allowed: raise it with shims.'],
    [stands(4.5, 0), 'out', 'The motor sits 4.5 mil high. Set its height with shims.'],
    [stands(1.5, 0, -0.2), 'out', 'The motor sits right in height, but its outboard end low. Shim one end.'],
    [stands(1.5, 0), 'in', 'Side and height are in their windows. The drum comes next.'],
    [stands(2.9, 0), 'edge', 'Side and height are inside their windows, one of them near its edge.'],
    [
      stands(1.5, 0, 0.3, 0, UNTAPED_DRUM),
      'out',
      'Nobody taped the feet. One thin shim tells how far off they stand.',
    ],
    [
      stands(1.5, 0, 0, 0.3, UNTAPED_DRUM),
      'out',
      'Nobody taped the feet. One small push tells how far off they stand.',
    ],
  ])('%#', (job, mark, headline) => {
    expect(plan(job)).toMatchObject({ mark, headline })
  })

  it('a window that lies above its zero says high of a motor that is not high enough', () => {
    const raised = {
      ...TEST_DRUM,
      tolerance: { ...TEST_DRUM.tolerance, offset: { v: [2, 5], h: [-1, 1] } } as typeof TEST_DRUM.tolerance,
    }
    expect(plan(stands(1, 0, 0, 0, raised)).headline).toBe(
      'The motor sits 1.0 mil high. Set its height with shims.',
    )
  })

  it('shims that shifted the side are named, and a plan that was overtaken', () => {
    const job = stands(-3, 0)
    job.move([...lift('inboard', [2, 2]), ...lift('outboard', [2, 2])])
    job.readTwice(inMil(1, 1.8, 0, 0))
    expect(plan(job).headline).toBe('Shims shifted the side: it stands 1.8 mil toward 3. Push it back.')
    job.add({
      kind: 'plan-chosen',
      payload: { units: 'inch', option: 'own', changes: [], side: push(-1.8), sets: ['another'] },
    })
    expect(plan(job)).toMatchObject({
      mark: 'stale',
      headline: 'It was read again since this was chosen. Choose again.',
    })
  })

  it('sides are told as seen from where one stands', () => {
    expect(plan(stands(-3, 4), OTHER).headline).toContain('4.0 mil toward 9')
  })
})

describe('what is done', () => {
  it('alike feet stand together, others by name', () => {
    const lines = (changes: Parameters<typeof shimLines>[0]) => shimLines(changes, 'inch', PAIRS, T)
    expect(lines([...lift('inboard', [3]), ...lift('outboard', [3])])).toEqual(['Put 3 under every foot.'])
    expect(lines([...lift('inboard', [3]), ...lift('outboard', [2], [5])])).toEqual([
      'Put 3 under both inboard feet.',
      'Take 5 out and put 2 in under both outboard feet.',
    ])
    expect(lines(lift('outboard', [], [5]).slice(0, 1))).toEqual([
      'Take 5 out from under the outboard foot, left.',
    ])
    expect(lines([])).toEqual([])
  })

  it('ends pushed alike are pushed at once', () => {
    expect(pushLines(push(-2), 'inch', PAIRS, T)).toEqual(['Both ends alike: push 2.0 toward 9.'])
    expect(pushLines(push(-2), 'inch', PAIRS, OTHER)).toEqual(['Both ends alike: push 2.0 toward 3.'])
    expect(pushLines([{ ...push(1)[0]!, moved: 1 }], 'inch', PAIRS, T)).toEqual([
      'Inboard feet: push 1.0 toward 3.',
    ])
    expect(pushLines([], 'inch', PAIRS, T)).toEqual([])
  })

  it('where it ends is said, or that nobody can tell', () => {
    const line = { offset: { v: 0.0254, h: 0 }, slope: { v: 0, h: 0 } }
    expect(endsWords(line, 'v', PAIRS, T)).toMatch(/^The motor ends 1\.0 mil high, /)
    expect(endsWords(null, 'v', PAIRS, T)).toContain('nobody can tell before it is read')
  })
})

describe('where the feet stand', () => {
  it('taped, learned from a move, or not known', () => {
    expect(leversWords(stands(0, 0).state, T)).toBe('Feet as taped.')
    const job = stands(0, 0, 0, 0, UNTAPED_DRUM)
    expect(leversWords(job.state, T)).toBe('Distances to the feet are not known: all feet alike need none.')
    job.move(lift('outboard', [5]))
    job.readTwice(inMil(-50 / 14, 0, 5 / 14, 0))
    expect(leversWords(job.state, T)).toMatch(
      /^Feet as move 1 told: inboard 10\.\d+ in, outboard 24\.\d+ in from the rim dial, good to \d+ %\.$/,
    )
  })
})

describe('the limit', () => {
  it('of one side says so: never low is zero to three', () => {
    const quantities = stands(1, 0).state.latest.judgement!.quantities
    expect(quantities.map((q) => limitWords(q, T))).toEqual(['0.0…3.0', '1.0', '0.13', '0.13'])
    // A size without a plane has no lower end.
    expect(limitWords({ name: 'offset', low: 0, high: 0.0254, kind: 'displacement' }, T)).toBe('1.0')
  })

  it('names whose it is: the card’s on the readings, or its own', () => {
    const { state } = stands(1, 0)
    expect(drumLimitSource(state, T, 'CP-30')).toBe('Window given with the job')
    const card = {
      ...TEST_DRUM,
      drum: { ...TEST_DRUM.drum, windows: { ...NO_WINDOWS, rim: { side: [-2, 2], top: [-3, 0] } } },
    } as const
    const read = stands(1, 0, 0, 0, card).state
    expect(drumLimitSource(read, T, 'CP-30')).toBe('CP-30’s own windows, on the readings as they are.')
    expect(drumLimitSource(read, T)).toBe('The machine’s own windows, on the readings as they are.')
  })
})

describe('the drum by itself in words', () => {
  const trammed = () => stands(1.5, 0)
  const says = (job: TestDrum) => meaningOfDrum(job.state.drum, T)

  it('from the first turn to the last', () => {
    const job = trammed()
    expect(says(job).headline).toBe('Turn the drum under a dial before the pins go in.')
    expect(findingOfDrum(job.state.drum, T)).toBe('')
    job.turnDrum(4, 45)
    expect(says(job)).toMatchObject({
      mark: 'out',
      headline: 'The rim runs out 8.0 mil, high at 1:30. Tap it there, toward the shaft.',
    })
    expect(findingOfDrum(job.state.drum, T)).toBe('Runs out 8.0 mil')
    job.tap(45)
    expect(says(job)).toMatchObject({ mark: 'stale', headline: 'It was struck. Turn it once more and read.' })
    expect(findingOfDrum(job.state.drum, T)).toBe('Struck, turn again')
    job.turnDrum(2.5, 225)
    expect(says(job).detail).toBe('The last blows went past: half as hard now.')
    job.tap(225)
    job.turnDrum(2.4, 225)
    expect(says(job).detail).toMatch(/^The last blows did nothing/)
    job.tap(225)
    job.turnDrum(1, 225)
    expect(says(job)).toMatchObject({
      mark: 'in',
      headline: 'It runs true within 2.0 mil. Tighten, read once more, then the pins.',
    })
    expect(findingOfDrum(job.state.drum, T)).toBe('True within 2.0 mil')
  })

  it('a face is struck square to itself; blows in vain and an oval are told', () => {
    const job = trammed()
    job.turnDrum(1, 0)
    job.turnDrum(4, 90, 'face')
    expect(says(job).headline).toBe(
      'The face runs out 8.0 mil, it stands out at 3. Tap it there, square to the face.',
    )
    const oval = trammed()
    oval.turnDrum(0.5, 0, 'rim', 4)
    expect(says(oval).headline).toBe('It is oval: no blow centres that.')
    const seat = trammed()
    seat.turnDrum(4, 0)
    for (let i = 0; i < 2; i++) {
      seat.tap(0)
      seat.turnDrum(4, 0)
    }
    expect(says(seat).headline).toBe('Blows do nothing. Look at its seat.')
    expect(meaningOfSurface(seat.state.drum.surfaces[1]!, T).mark).toBe('todo')
  })

  it('its limit names whose it is', () => {
    expect(drumRunoutLimit(trammed().state.drum, T)).toBe('Limit 4.0 mil, this drum’s own')
    const bySpeed = { ...TEST_DRUM, drum: { ...TEST_DRUM.drum, runout: null } }
    expect(drumRunoutLimit(stands(1, 0, 0, 0, bySpeed).state.drum, T)).toBe(
      'Limit 5.0 mil, starting value by speed',
    )
  })
})

describe('every stage at a drum', () => {
  it('has its headline and its finding', () => {
    const job = stands(-3, 0)
    const heads = headlinesOf(job.fold(), T)
    expect(heads.plan).toContain('3.0 mil low')
    expect(heads['drum-runout']).toContain('Turn the drum')
    expect(Object.values(heads).every((h) => h.length > 0)).toBe(true)
    expect(findingsOf(job.fold(), T).plan).toBe('Height: 3.0 mil low')
    job.move([...lift('inboard', [2, 2]), ...lift('outboard', [2, 2])])
    expect(findingsOf(job.fold(), T)).toMatchObject({ move: 'One move made', plan: '' })
    job.add({ kind: 'stage-skipped', payload: { stage: 'drum-runout', why: 'the maker trued it' } })
    expect(drumFindings(job.fold(), T)['drum-runout']).toBe('Passed over: the maker trued it')
  })

  it('the load and the brake are asked for by name', () => {
    const job = new TestDrum().open(960)
    job.add({ kind: 'safety-confirmed', payload: { point: 'isolated', permit: '' } })
    job.add({ kind: 'safety-confirmed', payload: { point: 'locked-tagged', permit: '' } })
    expect(meaningOfSafety(job.state.safety, false, T).headline).toBe('Next: load landed or blocked.')
  })
})

describe('the register', () => {
  it('takes the first tape and the shims over', () => {
    const job = new TestDrum(UNTAPED_DRUM).ready(DRUM_SET_UP)
    job.move(lift('outboard', [2]))
    expect(registerWords(registerChanges(job.state), T)).toEqual([
      'Outboard left: shims 20+10 become 20+10+2',
      'Outboard right: shims 20+10 become 20+10+2',
      'Inboard: 10.00 in, taped for the first time',
      'Outboard: 24.00 in, taped for the first time',
    ])
  })

  it('says what hangs on it, its windows and what it may run out', () => {
    const record = { ...TEST_DRUM, couplingKind: '' } as unknown as Parameters<typeof drumFactWords>[0]
    expect(drumFactWords(record, T)).toEqual([
      'On its shaft: a skip.',
      'The face dial runs on 16.00 in.',
      'Its rim may run out 4.0 mil at most.',
    ])
    const card = {
      ...record,
      feet: UNTAPED_DRUM.feet,
      drum: {
        ...TEST_DRUM.drum,
        runout: null,
        windows: { ...NO_WINDOWS, rim: { side: [-2, 2], top: [null, 0] } },
      },
    } as unknown as Parameters<typeof drumFactWords>[0]
    expect(drumFactWords(card, T)).toEqual([
      'On its shaft: a skip.',
      'The face dial runs on 16.00 in.',
      'Nobody taped its feet.',
      'Its run-out is judged by the starting value for its speed.',
      'As read: Rim 3 less 9 −2.0…+2.0; Rim 12 less the sides ≤ 0.0.',
    ])
    expect(drumFactWords(record, M)[1]).toBe('The face dial runs on 406.4 mm.')
  })
})
