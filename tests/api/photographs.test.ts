import { randomUUID } from 'node:crypto'
import sharp from 'sharp'
import { describe, expect, it } from 'vitest'
import { LARGEST_FILE } from '../../shared/photographs/photographs'
import { lockOut } from '../support/entries'
import { expectRefusal, issuePaths, useProgram } from './client'

const api = useProgram('photographs')

const blank = (width: number, height: number) =>
  sharp({ create: { width, height, channels: 3, background: '#808a94' } })
/** A large picture as a telephone writes it: lying on its side, with the place it was taken at. */
const withPlace = () =>
  blank(3000, 2000)
    .withExif({
      IFD0: { Make: 'a camera', Copyright: 'somebody' },
      IFD3: { GPSLatitudeRef: 'N', GPSLatitude: '50/1 0/1 0/1' },
    })
    .withMetadata({ orientation: 6 })
    .jpeg()
    .toBuffer()

const put = (job: string, id: string, bytes: Buffer, type = 'image/jpeg') =>
  api.ask(`/api/jobs/${job}/photographs/${id}`, {
    method: 'PUT',
    body: new Uint8Array(bytes),
    headers: { 'content-type': type },
  })
const fetched = async (job: string, id: string) => {
  const response = await api.program().fetch(`/api/jobs/${job}/photographs/${id}`)
  return { response, bytes: Buffer.from(await response.arrayBuffer()) }
}
const begun = async () => {
  const job = await api.openJob()
  for (const body of lockOut) await api.log(job, body)
  return job
}

describe('a photograph', () => {
  it('is kept upright at 1600 px with nothing in it but the picture', async () => {
    const [job, id] = [await begun(), randomUUID()]
    const sent = await withPlace()
    expect((await sharp(sent).metadata()).exif).toBeDefined()
    const answer = await put(job, id, sent)
    expect([answer.status, answer.body]).toEqual([201, { id, width: 1067, height: 1600, added: true }])
    const { response, bytes } = await fetched(job, id)
    expect(response.headers.get('content-type')).toBe('image/jpeg')
    expect(response.headers.get('cache-control')).toContain('immutable')
    const kept = await sharp(bytes).metadata()
    expect([kept.format, kept.width, kept.height]).toEqual(['jpeg', 1067, 1600])
    for (const block of ['exif', 'xmp', 'iptc', 'orientation'] as const) expect(kept[block]).toBeUndefined()
    expect(bytes.includes('GPS') || bytes.includes('a camera')).toBe(false)
  })

  it.each(['png', 'webp'] as const)('may come as %s too, and is not blown up', async (format) => {
    const [job, id] = [await begun(), randomUUID()]
    const answer = await put(job, id, await blank(40, 30).toFormat(format).toBuffer(), `image/${format}`)
    expect(answer.body).toMatchObject({ width: 40, height: 30 })
  })

  it('sent twice is kept once; another under its id, or for another job, is not let in', async () => {
    const [job, other, id] = [await begun(), await begun(), randomUUID()]
    const picture = await blank(30, 30).jpeg().toBuffer()
    const answers = await Promise.all([put(job, id, picture), put(job, id, picture), put(job, id, picture)])
    expect(answers.filter((a) => a.body.added === true).length).toBe(1)
    expect((await put(job, id.toUpperCase(), picture)).status).toBe(200)
    expectRefusal(await put(job, id, await blank(31, 30).jpeg().toBuffer()), 409, 'id-taken')
    expectRefusal(await put(other, id, picture), 409, 'id-taken')
    expect((await fetched(other, id)).response.status).toBe(404)
  })

  it('that is none is refused with a sentence, whatever it calls itself', async () => {
    const job = await begun()
    const whole = await blank(400, 300).jpeg().toBuffer()
    const bad: readonly Buffer[] = [
      Buffer.from('not a picture'),
      Buffer.alloc(0),
      whole.subarray(0, 60),
      Buffer.from('<svg xmlns="http://www.w3.org/2000/svg"><image href="/etc/passwd"/></svg>'),
      Buffer.concat([Buffer.from([0xff, 0xd8, 0xff]), Buffer.alloc(5000, 7)]),
    ]
    for (const bytes of bad) expectRefusal(await put(job, randomUUID(), bytes), 422, 'not-a-picture')
    expectRefusal(await put(job, randomUUID(), whole, 'text/html'), 415, 'not-json')
    expectRefusal(await put(job, 'no-uuid', whole), 422, 'bad-input')
    expectRefusal(await put(randomUUID(), randomUUID(), whole), 404)
    expectRefusal(await put('no-job', randomUUID(), whole), 404)
    const endless = Buffer.alloc(LARGEST_FILE + 1, 1)
    expectRefusal(await put(job, randomUUID(), endless), 413, 'too-large')
  })

  it('that unfolds beyond measure is refused before it fills the memory', async () => {
    const bomb = await sharp({ create: { width: 16_000, height: 16_000, channels: 3, background: '#000' } })
      .png({ compressionLevel: 9 })
      .toBuffer()
    expect(bomb.length).toBeLessThan(LARGEST_FILE)
    expectRefusal(await put(await begun(), randomUUID(), bomb), 422, 'not-a-picture')
  })

  it('is there before the entry that shows it, or the entry is turned down', async () => {
    const [job, id] = [await begun(), randomUUID()]
    const entry = {
      kind: 'place-looked',
      payload: { places: ['base'], found: 'to-report', words: 'cracked', photographs: [id] },
    } as const
    const early = await api.log(job, entry)
    expectRefusal(early, 422, 'no-such-photograph')
    expect(issuePaths(early)).toEqual(['payload.photographs.0'])
    await put(job, id, await blank(900, 700).jpeg().toBuffer())
    expect((await api.log(job, entry)).status).toBe(201)
    const report = await api.program().fetch(`/api/jobs/${job}/report.pdf`)
    const pdf = Buffer.from(await report.arrayBuffer())
    expect(report.status).toBe(200)
    expect(pdf.includes('/DCTDecode')).toBe(true)
  })
})

describe('the outline of a shim', () => {
  const outline = (query: string) => api.program().fetch(`/api/shim-outline.pdf?${query}`)

  it('is a page of the paper asked for, and fits or says so', async () => {
    const fits = await outline('units=metric&length=100&width=80&slot=20&toBolt=60&note=CP-11%20outboard')
    expect(fits.status).toBe(200)
    expect(
      Buffer.from(await fits.arrayBuffer())
        .subarray(0, 5)
        .toString(),
    ).toBe('%PDF-')
    for (const [query, path] of [
      ['units=inch&length=14&width=9&slot=1&toBolt=7', 'paper'],
      ['units=inch&length=4&width=3&slot=2.9&toBolt=2', 'slot'],
      ['units=inch&length=4&width=3&slot=1&toBolt=9', 'toBolt'],
      ['units=inch&length=x&width=3&slot=1&toBolt=2', 'length'],
      ['', 'length'],
    ] as const) {
      const answer = await outline(query)
      const body = (await answer.json()) as Record<string, unknown>
      expectRefusal({ status: answer.status, body }, 422)
      expect(issuePaths({ status: 422, body })).toContain(path)
    }
  })
})
