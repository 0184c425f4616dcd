import { randomUUID } from 'node:crypto'
import { describe, expect, it } from 'vitest'
import { FOLD_VERSION } from '../../core/stages/close/closing'
import { demoId } from '../../scripts/demo/works'
import {
  ALIGNED,
  feetSit,
  hubsClose,
  closing,
  draft,
  lockOut,
  LOW_MOTOR,
  OPENING,
  remark,
  SET_UP,
  setUp,
  waived,
  WHOLE_MOVE,
} from '../support/entries'
import type { EntryBody } from '../../core/logbook/entry'
import { expectRefusal, issuePaths, useProgram } from './client'

const api = useProgram('logbook')

const ready = async (machine?: string) => {
  const job = await api.openJob(machine)
  for (const body of [...lockOut, setUp]) expect((await api.log(job, body)).status).toBe(201)
  return job
}
const GIVEN = SET_UP.how.method === 'rim-face' ? SET_UP.how.given : (undefined as never)
const STRAIGHT: EntryBody = {
  kind: 'target-set',
  payload: { units: 'inch', given: { way: 'none' }, source: '', learned: null },
}
const entriesOf = async (job: string) =>
  (await api.ask(`/api/jobs/${job}`)).body.entries as { id: string; kind: string }[]
const summaryOf = async (job: string) => {
  const { open } = (await api.ask('/api/today')).body as {
    open: { rows: { id: string; stage: string; verdict: string }[] }
  }
  return open.rows.find((j) => j.id === job)
}

describe('a job from opening to closing', () => {
  it('keeps every entry in order and derives its columns in the same breath', async () => {
    const job = await ready()
    // The register knows a cold target of this machine; this job sets it straight.
    expect((await api.log(job, STRAIGHT)).status).toBe(201)
    expect(await summaryOf(job)).toMatchObject({ stage: 'look', verdict: 'unknown' })
    expect((await api.log(job, feetSit)).status).toBe(201)
    expect((await api.log(job, hubsClose)).status).toBe(201)
    expect(await summaryOf(job)).toMatchObject({ stage: 'as-found', verdict: 'unknown' })
    await api.log(job, LOW_MOTOR)
    await api.log(job, LOW_MOTOR)
    expect(await summaryOf(job)).toMatchObject({ stage: 'plan', verdict: 'out' })
    expect((await api.log(job, WHOLE_MOVE)).status).toBe(201)
    expect(await summaryOf(job)).toMatchObject({ stage: 're-measure' })
    await api.log(job, ALIGNED)
    await api.log(job, ALIGNED)
    expect(await summaryOf(job)).toMatchObject({ stage: 'prove', verdict: 'in' })
    const signed = { verdict: 'in' as const, foldVersion: FOLD_VERSION }
    const close = { signedBy: 'Lead', remarks: '', exception: '', signed }
    const closed = await api.log(job, { kind: 'job-closed', payload: close })
    expect(closed.status, JSON.stringify(closed.body)).toBe(201)
    expect(await summaryOf(job)).toBeUndefined()
    expect((await entriesOf(job)).map((e) => e.kind)).toEqual([
      'job-opened',
      ...lockOut.map((b) => b.kind),
      'set-up',
      'target-set',
      'rises-read',
      'hubs-felt',
      'readings-taken',
      'readings-taken',
      'move-made',
      'readings-taken',
      'readings-taken',
      'job-closed',
    ])
  })

  it('leaves the shims it put in under the feet in the register, and the bolts it was told of', async () => {
    type Row = { version: number; bolts?: object; feet: { movable: { existing: { left: number[] } }[] } }
    const packs = async () => (await api.ask('/api/machines/CP-14')).body.machine as Row
    const before = await packs()
    const job = await api.openJob('CP-14')
    await api.log(job, waived('a trial on the stand'))
    const move = {
      units: 'metric' as const,
      changes: [{ machine: 'movable', pair: 'inboard', side: 'left', takenOut: [], putIn: [0.05] } as const],
      side: [],
      remark: '',
    }
    const bolts = {
      units: 'metric',
      size: 'M24',
      boltClass: '8.8',
      lubrication: 'oiled',
      makerTorque: 480,
    } as const
    const unmade = await api.log(job, { kind: 'bolts-named', payload: { ...bolts, boltClass: 'grade-8' } })
    expectRefusal(unmade, 422)
    expect(issuePaths(unmade)).toEqual(['payload.size'])
    expect((await api.log(job, { kind: 'bolts-named', payload: bolts })).status).toBe(201)
    expect((await api.log(job, { kind: 'move-made', payload: move })).status).toBe(201)
    expect((await api.log(job, closing('not measured'))).status).toBe(201)
    const after = await packs()
    const left = (row: Row) => row.feet.movable[0]?.existing.left ?? []
    expect(left(after)).toEqual([...left(before), 0.05])
    expect(after.bolts).toEqual(bolts)
    expect(after.version).toBe(before.version + 1)
  })

  it('says in the logbook which shims it could not write into a register changed meanwhile', async () => {
    const tag = 'PK-01'
    const { machine: cp } = (await api.ask('/api/machines/CP-11')).body as {
      machine: Record<string, unknown>
    }
    expect((await api.post('/api/machines', { ...cp, tag, id: randomUUID(), version: 1 })).status).toBe(201)
    const job = await api.openJob(tag)
    await api.log(job, waived('a trial on the stand'))
    expect((await api.log(job, WHOLE_MOVE)).status).toBe(201)
    const { machine } = (await api.ask(`/api/machines/${tag}`)).body as {
      machine: { id: string; feet: { movable: { id: string }[] } } & Record<string, unknown>
    }
    const { id: _, ...fields } = machine
    const movable = machine.feet.movable.map((f) => ({
      ...f,
      id: f.id === 'inboard' ? 'coupling-end' : f.id,
    }))
    const changed = await api.send('PUT', `/api/machines/${tag}`, {
      ...fields,
      feet: { ...machine.feet, movable },
    })
    expect(changed.status, JSON.stringify(changed.body)).toBe(200)
    expect((await api.log(job, closing('not measured'))).status).toBe(201)
    const last = (await entriesOf(job)).at(-1) as unknown as { kind: string; payload: { text: string } }
    expect(last.kind).toBe('remark')
    expect(last.payload.text).toMatch(/shims \(mil\) were left but not written there: inboard left .*\+10\+5/)
  })

  it('keeps the machine as it was on the day the job was opened', async () => {
    const job = await api.openJob('KY-09')
    const { machine } = (await api.ask('/api/machines/KY-09')).body as { machine: Record<string, unknown> }
    const { id: _, ...fields } = machine
    expect((await api.send('PUT', '/api/machines/KY-09', { ...fields, rpm: 1450 })).status).toBe(200)
    const kept = (await api.ask(`/api/jobs/${job}`)).body.machine as { rpm: number; stock: unknown[] }
    expect(kept.rpm).toBe(1460)
    expect(kept.stock.length).toBeGreaterThan(3)
  })
})

describe('posting', () => {
  it('the same entry twice makes one entry, even at the same moment', async () => {
    const job = await api.openJob()
    const entry = draft(remark('once'))
    const answers = await Promise.all(
      Array.from({ length: 8 }, () => api.post(`/api/jobs/${job}/entries`, entry)),
    )
    expect(answers.map((a) => a.status).sort()).toEqual([200, 200, 200, 200, 200, 200, 200, 201])
    expect((await entriesOf(job)).filter((e) => e.id === entry.id)).toHaveLength(1)
  })

  it('the same opening twice opens one job', async () => {
    const opening = { id: randomUUID(), machine: 'CP-11', opening: draft(OPENING) }
    expect((await api.post('/api/jobs', opening)).status).toBe(201)
    expect((await api.post('/api/jobs', opening)).status).toBe(200)
    expect(await entriesOf(opening.id)).toHaveLength(1)
  })

  it('another entry under a used id is refused, in this job and in any other', async () => {
    const [job, other] = [await api.openJob(), await api.openJob()]
    const entry = draft(remark('mine'))
    await api.post(`/api/jobs/${job}/entries`, entry)
    expectRefusal(
      await api.post(`/api/jobs/${job}/entries`, { ...entry, payload: { text: 'changed' } }),
      409,
      'id-taken',
    )
    expectRefusal(await api.post(`/api/jobs/${other}/entries`, entry), 409, 'id-taken')
    const racing = draft(remark('raced'))
    const raced = await Promise.all([job, other].map((j) => api.post(`/api/jobs/${j}/entries`, racing)))
    expect(raced.map((a) => a.status).sort()).toEqual([201, 409])
  })

  it('many people at once lose nothing and share no number', async () => {
    const job = await api.openJob()
    const answers = await Promise.all(
      Array.from({ length: 30 }, (_, i) => api.log(job, remark(`remark ${i}`))),
    )
    expect(answers.every((a) => a.status === 201)).toBe(true)
    expect(await entriesOf(job)).toHaveLength(31)
  })

  it('corrects once; the second correction is told what happened', async () => {
    const job = await ready()
    const first = draft(LOW_MOTOR)
    await api.post(`/api/jobs/${job}/entries`, first)
    const correction = { supersedes: { entry: first.id, reason: 'misread' } }
    expect((await api.log(job, LOW_MOTOR, correction)).status).toBe(201)
    expectRefusal(await api.log(job, LOW_MOTOR, correction), 409, 'already-corrected')
  })

  it('a closed job takes remarks and nothing else', async () => {
    const job = await ready()
    await api.log(job, closing('left for the day'))
    expectRefusal(await api.log(job, LOW_MOTOR), 409, 'job-closed')
    expect((await api.log(job, remark('found the missing pin'))).status).toBe(201)
  })
})

describe('entries that do not fit', () => {
  it('are answered with the place and a sentence', async () => {
    const job = await ready()
    const set = { ...draft(LOW_MOTOR) } as Record<string, unknown> & {
      payload: Record<string, unknown> & { circles: object }
    }
    const spoiled: [object, string][] = [
      [{ ...set, id: 'seven' }, 'id'],
      [{ ...set, author: randomUUID() }, 'author'],
      [{ ...set, madeAt: 'yesterday' }, 'madeAt'],
      [{ ...set, madeAt: '0000-01-01T00:00:00Z' }, 'madeAt'],
      [{ ...set, kind: 'guess' }, 'kind'],
      [{ ...set, payload: {} }, 'payload.units'],
      [{ ...set, payload: { ...set.payload, units: 'furlong' } }, 'payload.units'],
      [
        {
          ...set,
          payload: {
            ...set.payload,
            circles: {
              ...set.payload.circles,
              rim: [
                { clock: 0, value: 'low' },
                { clock: 90, value: 1 },
              ],
            },
          },
        },
        'payload.circles.rim.0.value',
      ],
      [
        {
          ...set,
          payload: {
            ...set.payload,
            circles: {
              ...set.payload.circles,
              rim: [
                { clock: 0, value: 1e300 },
                { clock: 90, value: 1 },
              ],
            },
          },
        },
        'payload.circles.rim.0.value',
      ],
      [
        {
          ...set,
          payload: {
            ...set.payload,
            circles: {
              ...set.payload.circles,
              face: [
                { clock: 4000, value: 1 },
                { clock: 90, value: 1 },
              ],
            },
          },
        },
        'payload.circles.face.0.clock',
      ],
      [
        {
          ...set,
          payload: {
            ...set.payload,
            circles: {
              ...set.payload.circles,
              face: Array.from({ length: 100 }, (_, i) => ({ clock: i, value: 0 })),
            },
          },
        },
        'payload.circles.face',
      ],
      [{ ...set, supersedes: { entry: randomUUID(), reason: 'x' } }, 'supersedes.entry'],
      [{ ...set, supersedes: { entry: randomUUID(), reason: '' } }, 'supersedes.reason'],
      [draft({ kind: 'remark', payload: { text: 'zero \u0000 byte' } }), 'payload.text'],
      [draft({ kind: 'remark', payload: { text: '\ud800' } }), 'payload.text'],
      [draft({ kind: 'remark', payload: { text: 'x'.repeat(3000) } }), 'payload.text'],
      [draft({ kind: 'stage-skipped', payload: { stage: 'make-safe', why: 'x' } }), 'payload.stage'],
      [draft({ kind: 'set-left-out', payload: { set: randomUUID(), why: 'x' } }), 'payload.set'],
      [
        {
          ...draft(setUp),
          payload: {
            ...SET_UP,
            how: { method: 'rim-face', given: { ...GIVEN, faces: [{ ...GIVEN.faces[0], diameter: 0 }] } },
          },
        },
        'payload.how.given.faces.0.diameter',
      ],
      [
        {
          ...draft(setUp),
          payload: {
            ...SET_UP,
            how: { method: 'rim-face', given: { ...GIVEN, rim: { ...GIVEN.rim, sag: -1 } } },
          },
        },
        'payload.how.given.rim.sag',
      ],
      [
        {
          ...draft(setUp),
          payload: { ...SET_UP, feet: SET_UP.feet.map((f) => ({ ...f, x: 12 })) },
        },
        'payload.feet.1.x',
      ],
    ]
    for (const [body, path] of spoiled) {
      const answer = await api.post(`/api/jobs/${job}/entries`, body)
      expectRefusal(answer, 422)
      expect(issuePaths(answer)).toContain(path)
    }
    expect(await entriesOf(job)).toHaveLength(7)
  })

  it('nothing half done is left when an opening fails', async () => {
    const id = randomUUID()
    const nobody = { ...draft(OPENING), author: randomUUID() }
    expectRefusal(await api.post('/api/jobs', { id, machine: 'CP-11', opening: nobody }), 422)
    expectRefusal(await api.post('/api/jobs', { id, machine: 'XX-99', opening: draft(OPENING) }), 404)
    expectRefusal(await api.post('/api/jobs', { id, machine: 'CP-11', opening: draft(remark('x')) }), 422)
    expectRefusal(await api.ask(`/api/jobs/${id}`), 404)
  })

  it('unknown and odd ids are not found, never a fault of the server', async () => {
    for (const id of [randomUUID(), 'seven', '%00', '..%2f..', "1' or '1'='1", demoId('day')]) {
      expectRefusal(await api.ask(`/api/jobs/${id}`), 404)
      expectRefusal(await api.log(id, remark('x')), 404)
      expectRefusal(await api.ask(`/api/jobs/${id}/report.pdf`), 404)
      expectRefusal(await api.ask(`/api/jobs/${id}/stream`), 404)
    }
  })
})

describe('the stream', () => {
  it('shows other viewers of the job each new entry, and no one else’s', async () => {
    const [job, other] = [await api.openJob(), await api.openJob()]
    const response = await api.program().fetch(`/api/jobs/${job}/stream`)
    expect(response.headers.get('content-type')).toContain('text/event-stream')
    const reader = (response.body as ReadableStream<Uint8Array>).getReader()
    await api.log(other, remark('elsewhere'))
    await api.log(job, remark('here'))
    let seen = ''
    const deadline = Date.now() + 5000
    while (!seen.includes('here') && Date.now() < deadline)
      seen += new TextDecoder().decode((await reader.read()).value)
    await reader.cancel()
    expect(seen).toContain('"text":"here"')
    expect(seen).not.toContain('elsewhere')
  })
})

describe('the report', () => {
  it('is a PDF on either paper, for open and closed jobs', async () => {
    const job = await ready()
    await api.log(job, LOW_MOTOR)
    for (const paper of ['a4', 'letter']) {
      const response = await api.program().fetch(`/api/jobs/${job}/report.pdf?paper=${paper}&units=metric`)
      expect(response.headers.get('content-type')).toBe('application/pdf')
      const bytes = Buffer.from(await response.arrayBuffer())
      expect(bytes.subarray(0, 5).toString()).toBe('%PDF-')
      expect(bytes.includes(paper === 'a4' ? '595.28' : '612')).toBe(true)
    }
    expectRefusal(await api.ask(`/api/jobs/${job}/report.pdf?paper=napkin`), 422)
  })

  it('comes with a data sheet of any method, blank or filled, on either paper', async () => {
    const job = await ready()
    for (const query of [
      '',
      'paper=letter&filled=yes',
      'method=gaps',
      'method=values&units=metric&filled=yes',
    ]) {
      const response = await api.program().fetch(`/api/jobs/${job}/sheet.pdf?${query}`)
      expect([response.status, response.headers.get('content-type')], query).toEqual([200, 'application/pdf'])
      const bytes = Buffer.from(await response.arrayBuffer())
      expect(bytes.includes(query.includes('letter') ? '612' : '595.28')).toBe(true)
    }
    expectRefusal(await api.ask(`/api/jobs/${job}/sheet.pdf?method=guess`), 422)
    expectRefusal(await api.ask(`/api/jobs/${job}/sheet.pdf?filled=maybe`), 422)
    const belt = await api.openJob('GL-03')
    for (const query of ['', 'filled=yes&units=inch']) {
      const sheet = await api.program().fetch(`/api/jobs/${belt}/sheet.pdf?${query}`)
      expect([sheet.status, sheet.headers.get('content-type')], query).toEqual([200, 'application/pdf'])
    }
  })

  it('prints long remarks over as many pages as they need', async () => {
    const job = await api.openJob()
    for (let i = 0; i < 10; i++) await api.log(job, remark('word '.repeat(380)))
    const answer = await api.program().fetch(`/api/jobs/${job}/report.pdf`)
    const pdf = Buffer.from(await answer.arrayBuffer()).toString('latin1')
    // 19 000 characters at a hundred a line and sixty lines a page.
    expect(pdf.match(/\/Type \/Page\b/g)?.length).toBeGreaterThanOrEqual(4)
  })
})
