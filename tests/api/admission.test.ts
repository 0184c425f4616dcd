import { randomUUID } from 'node:crypto'
import { describe, expect, it } from 'vitest'
import type { EntryBody } from '../../core/logbook/entry'
import type { ROLES } from '../../core/logbook/may'
import { PEOPLE } from '../../scripts/demo/works'
import {
  closing,
  draft,
  lockOut,
  LOW_MOTOR,
  OPENING,
  remark,
  REVERSE_SET_UP,
  SET_UP,
  setUp,
  waived,
  WHOLE_MOVE,
} from '../support/entries'
import { expectRefusal, issuePaths, useProgram, type Answer } from './client'

const api = useProgram('admission')

const ready = async () => {
  const job = await api.openJob()
  for (const body of [...lockOut, setUp]) expect((await api.log(job, body)).status).toBe(201)
  return job
}
const accepted = (answer: Answer) => expect(answer.status, JSON.stringify(answer.body)).toBe(201)
const planOf = (sets: readonly string[] | null): EntryBody => ({
  kind: 'plan-chosen',
  payload: { units: 'inch', option: 'own', changes: [], side: [], sets },
})

describe('without a lockout', () => {
  it('takes no set-up, reading or move, and takes them once somebody says why it is passed over', async () => {
    const job = await api.openJob()
    for (const body of [setUp, WHOLE_MOVE]) expectRefusal(await api.log(job, body), 409, 'not-safe')
    accepted(await api.log(job, waived('Not wired yet')))
    for (const body of [setUp, LOW_MOTOR, WHOLE_MOVE]) accepted(await api.log(job, body))
  })

  it('stops the work again when power comes back', async () => {
    const job = await ready()
    accepted(await api.log(job, LOW_MOTOR))
    accepted(await api.log(job, { kind: 'power-restored', payload: { why: 'Bump test' } }))
    for (const body of [LOW_MOTOR, WHOLE_MOVE, setUp])
      expectRefusal(await api.log(job, body), 409, 'not-safe')
    for (const body of lockOut) accepted(await api.log(job, body))
    accepted(await api.log(job, LOW_MOTOR))
  })

  it('asks why the power came back', async () => {
    const job = await ready()
    const answer = await api.log(job, { kind: 'power-restored', payload: { why: ' ' } })
    expectRefusal(answer, 422)
    expect(issuePaths(answer)).toContain('payload.why')
  })
})

describe('closing past the view', () => {
  it('needs an exception while nothing is measured, and while it is out of band', async () => {
    const job = await ready()
    const bare = await api.log(job, closing())
    expectRefusal(bare, 422, 'exception-needed')
    expect(issuePaths(bare)).toEqual(['payload.exception'])
    accepted(await api.log(job, LOW_MOTOR))
    accepted(await api.log(job, LOW_MOTOR))
    expectRefusal(await api.log(job, closing('  ')), 422, 'exception-needed')
    accepted(await api.log(job, closing('Run to the shutdown, agreed with the lead')))
  })

  it('is refused when the writer saw another verdict than the logbook’s', async () => {
    const job = await ready()
    accepted(await api.log(job, LOW_MOTOR))
    accepted(await api.log(job, LOW_MOTOR))
    const signed = { verdict: 'in' as const, foldVersion: 3 }
    const payload = { signedBy: 'Lead', remarks: '', exception: 'x', signed }
    expectRefusal(await api.log(job, { kind: 'job-closed', payload }), 409, 'signed-otherwise')
  })
})

describe('a move', () => {
  it('is refused when nothing moved, or on feet this machine hasn’t', async () => {
    const job = await ready()
    const payload = { units: 'inch' as const, changes: [], side: [], remark: '' }
    expectRefusal(await api.log(job, { kind: 'move-made', payload }), 422, 'nothing-moved')
    const side = [{ machine: 'movable', pair: 'middle', moved: 3 }] as const
    const answer = await api.log(job, { kind: 'move-made', payload: { ...payload, side } })
    expectRefusal(answer, 422, 'no-such-feet')
    expect(issuePaths(answer)).toEqual(['payload.side.0.pair'])
  })

  it('that somebody else logged meanwhile holds back readings and plans of before it', async () => {
    const job = await ready()
    const seen = draft(LOW_MOTOR)
    accepted(await api.log(job, LOW_MOTOR, seen))
    const move = draft(WHOLE_MOVE)
    accepted(await api.log(job, WHOLE_MOVE, move))
    expectRefusal(await api.log(job, LOW_MOTOR, { after: seen.id }), 409, 'moved-meanwhile')
    expectRefusal(await api.log(job, planOf(null), { after: null }), 409, 'moved-meanwhile')

    // A person says which: it was read before that move, or after it.
    expectRefusal(await api.log(job, LOW_MOTOR, { after: seen.id, before: seen.id }), 422, 'no-such-move')
    accepted(await api.log(job, LOW_MOTOR, { after: seen.id, before: move.id }))
    accepted(await api.log(job, LOW_MOTOR, { after: move.id }))
  })

  it('may be corrected, once', async () => {
    const job = await ready()
    const move = draft(WHOLE_MOVE)
    accepted(await api.log(job, WHOLE_MOVE, move))
    const supersedes = { entry: move.id, reason: 'one shim forgotten' }
    accepted(await api.log(job, WHOLE_MOVE, { supersedes }))
    expectRefusal(await api.log(job, WHOLE_MOVE, { supersedes }), 409, 'already-corrected')
  })
})

describe('a set-up', () => {
  it('that missed zero wants the reason', async () => {
    const job = await api.openJob()
    for (const body of lockOut) await api.log(job, body)
    const payload = { ...SET_UP, returned: { rim: 4, face: 0 } }
    const answer = await api.log(job, { kind: 'set-up', payload })
    expectRefusal(answer, 422, 'missed-zero')
    expect(issuePaths(answer)).toEqual(['payload.why'])
    accepted(await api.log(job, { kind: 'set-up', payload: { ...payload, why: 'Bracket is all there is' } }))
  })

  it('names each pair of this machine once and leaves none out', async () => {
    const job = await api.openJob()
    for (const body of lockOut) await api.log(job, body)
    const [inboard, outboard] = SET_UP.feet
    const feet = (list: unknown[]) => ({ ...draft(setUp), payload: { ...SET_UP, feet: list } })
    const tried: [unknown[], string][] = [
      [[inboard, { ...outboard, pair: 'inboard' }], 'payload.feet.1.pair'],
      [[inboard, { ...outboard, x: 12 + 1e-300 }], 'payload.feet.1.x'],
      [[inboard, { ...outboard, pair: 'middle' }], 'payload.feet.1.pair'],
      [[inboard], 'payload.feet'],
    ]
    for (const [list, path] of tried) {
      const answer = await api.post(`/api/jobs/${job}/entries`, feet(list))
      expectRefusal(answer, 422)
      expect(issuePaths(answer)).toEqual([path])
    }
  })

  it('keeps what was proved beside it, and refuses a proof that says nothing', async () => {
    const job = await api.openJob()
    for (const body of lockOut) await api.log(job, body)
    const how = (clocks: number[]) => ({
      ...SET_UP.how,
      given: {
        ...SET_UP.how.given,
        rim: {
          ...(SET_UP.how.given as { rim: object }).rim,
          turning: 'movable',
          runout: clocks.map((clock) => ({ clock, value: 1 })),
        },
      },
    })
    const proof = {
      pipe: { sag: { at3: null, at6: -6, at9: null, back: 0 } },
      nudged: { own: 12, other: 0 },
      markUp: 90,
      refit: 'two dots on bar and collar',
    }
    const tried: [object, string][] = [
      [{ pipe: { sag: { at6: -6 } } }, 'payload.pipe.sag.at3'],
      [{ pipe: Object.fromEntries('abcde'.split('').map((k) => [k, proof.pipe.sag])) }, 'payload.pipe'],
      [{ nudged: { own: '12', other: 0 } }, 'payload.nudged.own'],
      [{ markUp: 'noon' }, 'payload.markUp'],
      [{ refit: 'x'.repeat(301) }, 'payload.refit'],
      [{ how: how([0, 90]) }, 'payload.how.given.rim.runout'],
      [{ how: how([0, 1, 359]) }, 'payload.how'],
    ]
    const post = (more: object) =>
      api.post(`/api/jobs/${job}/entries`, { ...draft(setUp), payload: { ...SET_UP, ...more } })
    for (const [more, path] of tried) {
      const answer = await post(more)
      expectRefusal(answer, 422)
      expect(issuePaths(answer)[0]).toBe(path)
    }
    accepted(await post({ ...proof, how: how([0, 90, 180, 270]) }))
    const { entries } = (await api.ask(`/api/jobs/${job}`)).body as { entries: { payload: object }[] }
    expect(entries.at(-1)?.payload).toMatchObject(proof)
    accepted(await api.log(job, LOW_MOTOR))
  })

  it('says which circles its sets have: rim and face don’t fit two brackets', async () => {
    const job = await api.openJob()
    for (const body of lockOut) await api.log(job, body)
    accepted(await api.log(job, { kind: 'set-up', payload: REVERSE_SET_UP }))
    const answer = await api.log(job, LOW_MOTOR)
    expectRefusal(answer, 422, 'other-circles')
    expect(issuePaths(answer)).toEqual(['payload.circles'])
  })
})

describe('a belt job', () => {
  it('takes sheave work and no dials, and closes by its own rule', async () => {
    const job = await api.openJob('GL-03')
    const touching = { reference: { far: true, near: true }, other: { near: true, far: true } }
    const contacts: EntryBody = {
      kind: 'contacts-checked',
      payload: { edgeOn: 'driven', edgeSide: 'outer', ...touching },
    }
    expectRefusal(await api.log(job, contacts), 409, 'not-safe')
    for (const body of lockOut) accepted(await api.log(job, body))
    for (const body of [setUp, LOW_MOTOR, WHOLE_MOVE])
      expectRefusal(await api.log(job, body), 409, 'not-this-job')
    expectRefusal(await api.log(job, closing()), 422, 'exception-needed')
    accepted(await api.log(job, contacts))
    accepted(await api.log(job, closing('x')))
    const { closed } = (await api.ask('/api/jobs?machine=GL-03&open=no')).body as { closed?: unknown }
    expect(closed).toBeUndefined()
  })

  it('leaves how its sheave was set, its new belts and the travel left in the register', async () => {
    const job = await api.openJob('GL-07')
    const was = (await api.ask('/api/machines/GL-07')).body as { machine: { base: { travelLeft: number } } }
    const bodies: EntryBody[] = [
      ...lockOut,
      { kind: 'setting-read', payload: { place: 'motor', turns: 2.5, words: '' } },
      {
        kind: 'belts-fitted',
        payload: { belts: 'new', units: 'metric', length: 1755, matched: null, words: '' },
      },
      {
        kind: 'tension-read',
        payload: {
          units: 'metric',
          age: 'new',
          sheaves: 'free',
          read: { by: 'force', deflection: 8.5, forces: [20] },
          words: '',
        },
      },
      { kind: 'tension-adjusted', payload: { sheaveEnd: 0.5, farEnd: 0.5, words: '' } },
    ]
    for (const body of bodies) accepted(await api.log(job, body))
    expectRefusal(
      await api.log(job, { kind: 'setting-read', payload: { place: 'driven', turns: 1, words: '' } }),
      422,
      'not-variable',
    )
    accepted(await api.log(job, closing('goes on tomorrow')))
    const { machine } = (await api.ask('/api/machines/GL-07')).body as unknown as {
      machine: {
        sheaves: { motor: { pitchDiameter: number; depthOuter: number; build: { turnsOpen: number } } }
        belts: { length: number; fittedOn: string }
        base: { travelLeft: number }
      }
    }
    // Opened by 1.5 turns of 2 mm: 3 mm.
    expect(machine.sheaves.motor.build.turnsOpen).toBe(2.5)
    expect(machine.sheaves.motor.pitchDiameter).toBeCloseTo(119.5 - 3 / Math.tan((17 * Math.PI) / 180), 6)
    expect(machine.sheaves.motor.depthOuter).toBeCloseTo(21.5, 9)
    expect(machine.belts).toMatchObject({
      length: 1755,
      fittedOn: expect.stringMatching(/^\d{4}-\d\d-\d\d$/) as string,
    })
    expect(machine.base.travelLeft).toBeCloseTo(was.machine.base.travelLeft - 1, 9)
  })

  it('is no place for sheave gaps on a coupled machine', async () => {
    const job = await ready()
    const payload = {
      edgeOn: 'driven' as const,
      edgeSide: 'outer' as const,
      reference: { far: true, near: true },
      other: { near: true, far: true },
    }
    expectRefusal(await api.log(job, { kind: 'contacts-checked', payload }), 409, 'not-this-job')
  })
})

describe('who may write', () => {
  const by = (role: (typeof ROLES)[number]) => ({ author: PEOPLE.find((p) => p.role === role)?.id })

  it('what: the planner opens, plans and remarks, and keeps his hands off the machine', async () => {
    const id = randomUUID()
    accepted(await api.post('/api/jobs', { id, machine: 'CP-11', opening: draft(OPENING, by('planner')) }))
    accepted(await api.log(id, remark('Crane is booked'), by('planner')))
    for (const body of [lockOut[0] as EntryBody, setUp, LOW_MOTOR, WHOLE_MOVE, closing('x'), waived('x')])
      expectRefusal(await api.log(id, body, by('planner')), 403, 'not-allowed')
  })

  it('judgement and signature: not the apprentice alone', async () => {
    const job = await ready()
    const set = draft(LOW_MOTOR, by('apprentice'))
    accepted(await api.post(`/api/jobs/${job}/entries`, set))
    const judged: EntryBody[] = [
      { kind: 'set-used-anyway', payload: { set: set.id, why: 'x' } },
      { kind: 'stage-skipped', payload: { stage: 'plan', why: 'x' } },
      waived('x'),
      closing('x'),
    ]
    for (const body of judged) {
      expectRefusal(await api.log(job, body, by('apprentice')), 403, 'needs-second')
    }
    for (const body of judged) accepted(await api.log(job, body, by('lead')))
  })
})

describe('a job’s id', () => {
  it('used for another machine is a conflict, never a quiet 200', async () => {
    const id = randomUUID()
    accepted(await api.post('/api/jobs', { id, machine: 'CP-11', opening: draft(OPENING) }))
    const again = await api.post('/api/jobs', { id, machine: 'CP-14', opening: draft(OPENING) })
    expectRefusal(again, 409, 'id-taken')
  })
})

describe('the list of jobs', () => {
  interface JobPage {
    readonly rows: readonly { id: string; tag: string; closedAt: string | null }[]
    readonly next: string | null
  }
  const pageAt = async (query: string) => (await api.ask(`/api/jobs?${query}`)).body as unknown as JobPage

  it('goes page by page through every job once, new ones arriving meanwhile', async () => {
    const all = await pageAt('most=200')
    const seen: string[] = []
    let page = await pageAt('most=3')
    for (;;) {
      expect(page.rows.length).toBeLessThanOrEqual(3)
      seen.push(...page.rows.map((j) => j.id))
      if (page.next === null) break
      if (seen.length === 3) await api.openJob('KY-09')
      page = await pageAt(`most=3&after=${encodeURIComponent(page.next)}`)
    }
    expect(seen).toEqual(all.rows.map((j) => j.id))
  })

  it('shows one machine, open or closed', async () => {
    const closed = await pageAt('machine=cp-11&open=no')
    expect(closed.rows.length).toBeGreaterThan(0)
    expect(closed.rows.every((j) => j.tag === 'CP-11' && j.closedAt !== null)).toBe(true)
    expect((await pageAt('open=yes')).rows.every((j) => j.closedAt === null)).toBe(true)
  })

  it('refuses a page that can’t be', async () => {
    for (const query of ['most=0', 'most=many', 'open=perhaps', 'after=nowhere', `after=${'x'.repeat(300)}`])
      expectRefusal(await api.ask(`/api/jobs?${query}`), 422)
    expectRefusal(await api.ask('/api/jobs?machine=XX-99'), 404)
  })
})
