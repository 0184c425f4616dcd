import { describe, expect, it } from 'vitest'
import { NO_ZONES, TEST_GEAR, TestGear } from '../../core/jobs/testGear'
import type { GearMachine } from '../../core/register/gearMachine'
import { gearRegisterChanges } from '../../core/stages/close/gearRegister'
import { summaryOf } from '../../core/jobs/summary'
import { contactWorking } from '../stages/contact/working'
import { backlashWorking } from '../stages/backlash/working'
import {
  backlashWindowWords,
  layersSeenWords,
  layersToDo,
  meaningOfBacklash,
  windowFigures,
} from './backlash'
import { compareJobs } from './compareJobs'
import { contactSummaryWords } from './contactSummary'
import { closingWords, gearWords } from './en'
import { findingsOf } from './findings'
import {
  contactLimit,
  contactQuantityName,
  meaningOfContact,
  offWords,
  percentFigure,
  shiftReadWords,
  shiftTyped,
  shiftWords,
  whyShift,
} from './gearContact'
import { gearFactWords } from './gearFacts'
import { gearRegisterWords } from './gearRegister'
import {
  layersLines,
  meaningOfGearTighten,
  meaningOfPattern,
  meaningOfRefit,
  pinsWanted,
} from './gearPrepare'
import { headlinesOf } from './headlines'
import { joinedWords } from './joined'
import { tellingOf } from './telling'

const T = tellingOf('inch', null)
const M = tellingOf('metric', null)
const off = () => new TestGear().ready().paint([15, 51], [10, 44])
const said = (job: TestGear) => meaningOfContact(job.state, T)
const why = (job: TestGear) => {
  const { contact, machine } = job.state
  const { next } = contact
  if (!next || typeof next === 'string') throw new Error('no shift asked')
  return { does: shiftWords(next, machine, T), why: whyShift(next, contact, machine, T).join(' '), next }
}
const otherwise = (gear: Partial<GearMachine['gear']>): GearMachine => ({
  ...TEST_GEAR,
  gear: { ...TEST_GEAR.gear, ...gear },
})
const plain = (text: string) => text.replaceAll('\u00a0', ' ')

describe('what the paint says', () => {
  it('before anything is painted: what to do', () => {
    expect(said(new TestGear().ready())).toMatchObject({ mark: 'todo', headline: /^Blue the teeth/ })
  })

  it('both runs to one side: the blocks as a whole, to the other side', () => {
    expect(said(off())).toMatchObject({ mark: 'out', headline: 'Both runs touch toward the table side.' })
    expect(said(off()).detail).toBe(
      'Limits from the site, PR-05. Shift both worm blocks as a whole, to the other side: toward the wall side.',
    )
    expect(why(off()).why).toBe(
      'Nobody knows yet how far the paint goes. 6.0 mil is a test: what the paint does then, rules. Room left for the worm blocks that way: 30.0 mil.',
    )
  })

  it('after the test: what it did, the sum, and where it should end', () => {
    const job = new TestGear().ready().paint([3, 39], [0, 30]).shift('blocks', 6).paint([15, 51], [10, 44])
    expect(plain(why(job).why)).toBe(
      'Round 1 shifted 6.0 mil and the paint went 12 %: 2 % a mil. 22 % ÷ 2 % a mil = 11.0 mil. Room left for the worm blocks that way: 24.0 mil.',
    )
    const steps = contactWorking(job.state, T).map((s) => `${s.name}: ${plain(s.result)}`)
    expect(steps).toEqual([
      'Off, forward: −23 %',
      'Off, back: −21 %',
      'Off together: −22 %',
      'Off apart: −1 %',
      'Wanted covered, forward: 36.1 %',
      'Wanted covered, back: 38.9 %',
      'How the paint goes with the worm blocks: 2 % a mil',
      'Shift: 11.0 mil',
    ])
  })

  it('from the register: in the last job', () => {
    const job = new TestGear(otherwise({ responses: { blocks: { together: 2, apart: 0 }, gear: null } }))
    job.ready().paint([15, 51], [10, 44])
    expect(plain(why(job).why)).toContain('In the last job the paint went 2 % a mil.')
  })

  it('runs apart: the gear along its shaft, which way only the shift tells', () => {
    const job = new TestGear().ready().paint([55, 91], [13, 49])
    expect(said(job).headline).toBe(
      'The runs touch apart: forward toward the wall side, back toward the table side.',
    )
    expect(why(job).does).toBe('Shift the wheel along its shaft, toward the table side.')
    expect(why(job).why).toContain('this shift tells')
    expect(plain(offWords(-23, TEST_GEAR, T))).toBe('23 % toward the table side')
    expect(offWords(0.01, TEST_GEAR, T)).toBe('on the middle that is wanted')
  })

  it('one run off', () => {
    const job = new TestGear().ready().paint([24, 60], [30, 66])
    expect(said(job).headline).toBe('The forward run touches toward the table side.')
  })

  it('the other school has it the other way about', () => {
    const job = new TestGear(otherwise({ school: 'together-gear' })).ready().paint([15, 51], [10, 44])
    expect(why(job).does).toBe('Shift the wheel along its shaft, toward the wall side.')
  })

  it('too short, too long, too little covered, onto an end: no shift cures that', () => {
    const lies = (forward: [number, number], back: [number, number], machine = TEST_GEAR) =>
      said(new TestGear(machine).ready().paint(forward, back))
    expect(lies([46, 66], [30, 66]).headline).toMatch(/too short/)
    expect(lies([46, 66], [30, 66]).detail).toMatch(/No shift along the tooth cures that/)
    expect(lies([30, 82], [30, 66]).headline).toMatch(/too long/)
    const loose = otherwise({ limits: { ...TEST_GEAR.gear.limits, shortest: 5, longest: 100 } })
    expect(lies([46, 66], [30, 66], loose).headline).toMatch(/covers too little/)
    const wide = otherwise({
      limits: { ...TEST_GEAR.gear.limits, off: 40, shortest: 5, longest: 100, covered: 1 },
    })
    expect(lies([60, 99], [30, 66], wide).headline).toMatch(/onto an end/)
  })

  it('in band, near an edge, and that it moves under load', () => {
    const good = said(new TestGear().ready().paint([37, 73], [31, 67]))
    expect(good).toMatchObject({ mark: 'in', headline: 'The contact is where it was wanted.' })
    expect(good.detail).toContain('Under load it moves toward the middle of the tooth')
    expect(said(new TestGear().ready().paint([47, 83], [39, 75])).mark).toBe('edge')
  })

  it('nobody knows what is wanted', () => {
    const job = new TestGear().open().lockOut().refit().clear().paint([15, 51], [10, 44])
    expect(said(job)).toMatchObject({
      mark: 'done',
      headline: 'The paint is read. Nothing says where it should lie.',
    })
    expect(said(job).detail).toBe(gearWords(T.words).unjudged)
  })

  it('after a shift, after layers, after it was apart: paint again', () => {
    expect(said(off().shift('blocks', 6)).headline).toBe(
      'The worm blocks went 6.0 mil toward the wall side. Paint again: the paint tells what it did.',
    )
    expect(said(off().layers(-3, -3)).headline).toMatch(/^Layers were changed/)
    expect(said(off().refit()).headline).toMatch(/^It was apart again/)
  })

  it('backlash out as well is said beside it', () => {
    expect(said(off().play(18)).headline).toBe('Both runs touch toward the table side. Backlash is wide.')
    expect(said(off().play(6)).headline).toMatch(/Backlash is tight\.$/)
  })

  it.each([
    ['as-the-rule', 'blocks', [15, 51], [10, 44], /followed, as the rule says/],
    ['other-way', 'blocks', [0, 28], [0, 22], /went the other way/],
    ['other-figure', 'blocks', [20, 56], [0, 14], /set the other figure moving/],
    ['nothing', 'blocks', [3.5, 39], [0, 30], /nothing that can be told/],
  ] as const)('a shift that was %s is told so', (told, lever, forward, back, words) => {
    const job = new TestGear().ready().paint([3, 39], [0, 30]).shift(lever, 6)
    job.paint([...forward] as [number, number], [...back] as [number, number])
    const [shift] = job.state.contact.shifts
    expect(shift?.told).toBe(told)
    expect(shift && shiftReadWords(shift, TEST_GEAR, T)).toMatch(words)
  })

  it('against the rule: the paint has shown that the other one serves', () => {
    const job = new TestGear().ready().paint([3, 39], [0, 30]).shift('blocks', 6).paint([20, 56], [0, 14])
    const { next } = job.state.contact
    expect(next).toMatchObject({ lever: 'gear', figure: 'together', againstRule: true })
    expect(why(job).why).toContain('the paint has shown that this one serves')
  })

  it('no lever, no room, nothing moves: said, with where to look', () => {
    const idle = new TestGear().ready().paint([3, 39], [0, 30]).shift('blocks', 6).paint([3, 39], [0, 30])
    idle.shift('blocks', 12).paint([3, 39], [0, 30])
    expect(said(idle).detail).toContain('Two shifts did nothing the paint can tell')
    const stuck = new TestGear(otherwise({ room: { blocks: 6, gear: null } }))
    stuck.ready().paint([3, 39], [0, 30]).shift('blocks', 6).paint([15, 51], [10, 44])
    expect(said(stuck).detail).toContain('There is no room left that way')
    const short = new TestGear(otherwise({ room: { blocks: 12, gear: null } }))
    short.ready().paint([3, 39], [0, 30]).shift('blocks', 6).paint([15, 51], [10, 44])
    expect(why(short).why).toContain('It would take 11.0 mil; there is no more room than that.')
    const unknown = new TestGear(otherwise({ room: { blocks: null, gear: null } }))
      .ready()
      .paint([15, 51], [10, 44])
    expect(why(unknown).why).toContain('nobody wrote. Look before you push')
  })

  it('figures, limits and names', () => {
    expect([percentFigure(-3), percentFigure(3, true), percentFigure(0.04), percentFigure(22.46)]).toEqual([
      '−3',
      '+3',
      '0',
      '22.5',
    ])
    const { quantities } = off().state.contact.now!.figures!
    expect(quantities.map((q) => `${contactQuantityName(q, T)} ${contactLimit(q)}`).slice(0, 4)).toEqual([
      'Off, forward 10',
      'Length, forward 28–44',
      'Wanted covered, forward ≥ 70',
      'Clear of the ends, forward ≥ 3',
    ])
    expect(contactLimit({ ...quantities[1]!, low: null })).toBe('≤ 44')
    expect([shiftTyped(-11.2 * 0.0254, T), shiftTyped(0.283, M)]).toEqual(['11', '0.28'])
  })
})

describe('what is prepared and finished', () => {
  it('the pattern: to be kept, kept, one run, too late', () => {
    const begun = new TestGear().open().lockOut()
    expect(meaningOfPattern(begun.state, T).headline).toMatch(/^Keep the pattern/)
    expect(meaningOfPattern(begun.found().state, T)).toMatchObject({
      mark: 'in',
      headline: /^The pattern is kept/,
      detail: 'No photograph lies with it.',
    })
    expect(meaningOfPattern(new TestGear().open().lockOut().found([38, 74], null).state, T).headline).toMatch(
      /^One run/,
    )
    expect(meaningOfPattern(new TestGear().open().lockOut().refit().state, T).headline).toMatch(
      /^Nobody kept/,
    )
  })

  it('the refit: asked, done, not needed', () => {
    expect(meaningOfRefit(new TestGear().open().state, T).headline).toMatch(/^Put it back/)
    expect(meaningOfRefit(new TestGear().open().refit('fitted').state, T).headline).toMatch(/pins in/)
    const planned = new TestGear()
    planned.add({ kind: 'job-opened', payload: { reason: 'planned', rpm: 1440, customer: '', note: '' } })
    expect(meaningOfRefit(planned.state, T).headline).toMatch(/planned visit/)
  })

  it('layers, as registered and as marked', () => {
    const job = new TestGear().open().lockOut()
    expect(layersLines(job.state, T)).toEqual(['Registered: 10 + 10 layers of 2 mil'])
    job.add({
      kind: 'layers-marked',
      payload: {
        units: 'inch',
        layer: 2,
        under: [8, 9],
        pins: 'marked',
        marks: 'A, B',
        photographs: [],
        words: '',
      },
    })
    expect(layersLines(job.state, T)).toEqual([
      'Under the blocks: 8 + 9 layers of 2 mil, marked A, B',
      'That is not what the register has.',
    ])
  })

  it('tightening: not yet, asked, read again, held with its pins out, moved', () => {
    const say = (job: TestGear) => meaningOfGearTighten(job.state, T)
    expect(say(new TestGear().open()).headline).toMatch(/^Nothing was loosened/)
    expect(say(off()).headline).toMatch(/^Set the contact/)
    const good = () =>
      new TestGear().ready().paint([32, 68], [24, 60]).shift('blocks', 3).paint([38, 74], [30, 66]).play(13)
    expect(say(good()).headline).toMatch(/^Draw blocks and covers down/)
    expect(say(good().tighten()).headline).toBe('Drawn down. Paint again, and read the backlash again.')
    expect(say(good().tighten().play(13)).headline).toBe('Drawn down. Now the paint once more.')
    expect(say(good().tighten().paint([38, 74], [30, 66])).headline).toBe(
      'Drawn down. Now the backlash once more.',
    )
    const held = good().tighten().paint([38, 74], [30, 66]).play(13)
    expect(say(held)).toMatchObject({ mark: 'edge', headline: /^It held.*The pins are still out\.$/ })
    expect(pinsWanted(held.state, T)).toMatch(/^It stands 3\.0 mil from its old pin holes: ream/)
    expect(say(held.pins('reamed')).mark).toBe('in')
    expect(say(good().tighten().paint([15, 51], [10, 44]).play(18)).headline).toBe(
      'Tightening moved it: the contact is out, the backlash is out. Correct, and tighten again.',
    )
    const near = new TestGear()
      .ready()
      .paint([38, 74], [30, 66])
      .play(13)
      .tighten()
      .paint([38, 74], [30, 66])
      .play(13)
    expect(pinsWanted(near.state, T)).toMatch(/old holes still meet/)
  })
})

describe('backlash in words', () => {
  const say = (...readings: number[]) => meaningOfBacklash(off().play(...readings).state, T)

  it('unread, wide, tight, in, on the edge, stale', () => {
    expect(meaningOfBacklash(new TestGear().ready().state, T).headline).toMatch(/^Hold one gear/)
    expect(meaningOfBacklash(off().state, T).headline).toMatch(/^Set the contact first/)
    expect(say(18)).toMatchObject({ mark: 'out', headline: 'Backlash is wide: 18.0 mil at the tooth.' })
    expect(say(18).detail).toBe('Window 10 to 16 mil. Take 3 layers out under each block.')
    expect(say(6).detail).toContain('Lay 5 layers more under each block.')
    expect(say(13).headline).toMatch(/inside its window\.$/)
    expect(say(15.9).headline).toMatch(/near an edge/)
    expect(meaningOfBacklash(off().play(18).shift('blocks', 6).state, T).mark).toBe('stale')
  })

  it('differs round the gear by more than its window: no layer cures that', () => {
    expect(say(8, 20).detail).toContain('no layer cures that')
  })

  it('layers that do not lie there are said', () => {
    const few = otherwise({ layers: { thickness: 2, under: [3, 3], move: 'apart' } })
    const job = new TestGear(few).ready().paint([38, 74], [30, 66]).play(30)
    expect(meaningOfBacklash(job.state, T).detail).toContain(
      'more would have to come out and do not lie there',
    )
  })

  it('the working goes from the window to whole layers', () => {
    expect(backlashWorking(off().play(18).state, T).map((s) => s.result)).toEqual([
      '−6.87 mil',
      '3 layers out',
      '+13.6 mil',
    ])
    const feeler = otherwise({ backlash: { by: 'feeler', window: [10, 16] } })
    const job = new TestGear(feeler).ready().paint([38, 74], [30, 66]).play(18)
    expect(backlashWorking(job.state, T)[0]?.substituted).toMatch(/2 × sin 20°/)
    expect(backlashWorking(off().play(13).state, T)).toEqual([])
  })

  it('windows, open on a side or both', () => {
    const mil = (x: number | null) => (x === null ? null : x * 0.0254)
    const both = (a: number | null, b: number | null) => [
      backlashWindowWords([mil(a), mil(b)], T),
      windowFigures([mil(a), mil(b)], T),
    ]
    expect(both(10, 16)).toEqual(['window 10 to 16 mil', '10–16'])
    expect(both(10, null)).toEqual(['at least 10 mil', '≥ 10'])
    expect(both(null, 16)).toEqual(['at most 16 mil', '≤ 16'])
    expect(both(null, null)).toEqual(['no window registered', '–'])
    expect(layersToDo({ cure: null }, T)).toBe('Nothing to change under the blocks.')
  })

  it('what layers did to the paint', () => {
    const job = new TestGear()
      .ready()
      .paint([37, 73], [31, 66])
      .play(18)
      .layers(-3, -3)
      .paint([39, 75], [33, 68])
    expect(layersSeenWords(job.state.contact.layersSeen[0]!, T)).toBe(
      'Round 1: 3 layers out, 3 layers out, and the paint went +2 % together, 0 % apart.',
    )
  })
})

describe('a gearset elsewhere', () => {
  it('the sheet says in a line what each stage found', () => {
    const job = off().play(18)
    expect(findingsOf(job.job, T)).toMatchObject({
      pattern: 'Both runs, no photograph',
      refit: 'New bearings, pins left out',
      contact: 'Round 1: 22 % table side',
      backlash: '18.0 mil, wide',
    })
    expect(findingsOf(off().shift('blocks', 6).job, T)).toMatchObject({ contact: 'Paint again' })
    expect(findingsOf(new TestGear().ready().paint([37, 73], [31, 67]).play(13).job, T)).toMatchObject({
      contact: 'Round 1: in place',
      backlash: '13.0 mil, in its window',
    })
    expect(findingsOf(new TestGear().ready().paint([55, 91], [13, 49]).job, T).contact).toBe(
      'Round 1: runs 34 % apart',
    )
    expect(findingsOf(new TestGear().ready().paint([46, 66], [30, 66]).job, T).contact).toBe(
      'Round 1: zone not as wanted',
    )
  })

  it('every stage has a headline', () => {
    for (const [stage, headline] of Object.entries(headlinesOf(off().play(18).job, T)))
      expect(headline, stage).toMatch(/^[A-Z0-9].*\.$/)
  })

  it('what the register takes over', () => {
    const job = new TestGear()
      .ready()
      .paint([3, 39], [0, 30])
      .shift('blocks', 6)
      .paint([15, 51], [10, 44])
      .layers(-3, -3)
    const lines = gearRegisterWords(gearRegisterChanges(job.state), TEST_GEAR, T).map(plain)
    expect(lines).toEqual([
      'Layers of 2 mil under the blocks: 10 + 10 become 7 + 7',
      'How the paint goes with the worm blocks: 2 % a mil together, 0 % a mil apart',
      'The paint as it was left: forward 15 to 51 %, back 10 to 44 %',
    ])
    expect(gearRegisterChanges(new TestGear().open().state)).toEqual([])
  })

  it('lists and comparison tell both figures', () => {
    const summary = summaryOf(off().job)
    if (summary.kind !== 'gear' || !summary.asLeft) throw new Error('no contact')
    expect(contactSummaryWords(summary.asLeft, T)).toBe('contact 22 % off together, 1 % apart')
    const rows = compareJobs(off().play(18).job, new TestGear().ready().paint([37, 73], [31, 67]).job, T)
    expect(rows.find((r) => r.name === 'Off, forward, left')).toMatchObject({
      first: 'Out, −23 %',
      second: 'In band, −1 %',
      differs: true,
    })
    expect(rows.find((r) => r.name === 'Layers under the blocks')?.first).toBe('10 + 10 × 2 mil')
  })

  it('what it is, and what the register knows', () => {
    expect(joinedWords({ ...TEST_GEAR, tag: 'PR-05' } as never, T.words)).toBe('Worm gearset 1:40')
    const known = otherwise({
      wanted: NO_ZONES,
      responses: { blocks: { together: 2, apart: 0.5 }, gear: null },
    })
    expect(gearFactWords(known, T).map(plain)).toEqual([
      'Both to one side: bearing blocks; to opposite sides: the gear along its shaft.',
      'Limits from the site, PR-05.',
      'Worm blocks: 30.0 mil of room either way.',
      'With the worm blocks the paint went 2 % a mil together, 0.5 % a mil apart.',
      'Wheel: 30.0 mil of room either way.',
    ])
    const bare = otherwise({
      limits: { off: null, shortest: null, longest: null, covered: null, source: '' },
    })
    expect(gearFactWords(bare, T)[1]).toMatch(/^Starting limits/)
  })

  it('closing wants a word for what is missing', () => {
    const { needs } = closingWords(T.words)
    for (const reason of off().shift('blocks', 3).state.outcome.exceptions)
      expect(needs[reason]).toMatch(/\.$/)
  })
})
