import { describe, expect, it } from 'vitest'
import { strangerAt, type Asked } from './sameSite'

const ours: Asked = {
  method: 'POST',
  path: '/api/jobs',
  host: '127.0.0.1:4310',
  origin: 'http://127.0.0.1:4310',
  fetchSite: 'same-origin',
  contentType: 'application/json; charset=utf-8',
}
const asked = (more: Partial<Asked>, names: readonly string[] = []) =>
  strangerAt({ ...ours, ...more }, names)?.code ?? null

describe('what may be written', () => {
  const photograph = '/api/jobs/1/photographs/2'
  it.each([
    ['a picture where one is taken', 'PUT', photograph, 'image/jpeg', null],
    ['whatever its capitals', 'PUT', photograph, 'Image/PNG; q=1', null],
    ['a drawing that could hold more', 'PUT', photograph, 'image/svg+xml', 'not-json'],
    ['a form that any page could send', 'PUT', photograph, 'text/plain', 'not-json'],
    ['a picture where JSON is asked', 'POST', '/api/jobs', 'image/jpeg', 'not-json'],
    ['a picture where nothing is', 'PUT', '/api/nowhere', 'image/jpeg', 'not-json'],
  ] as const)('%s', (_, method, path, contentType, code) => {
    expect(asked({ method, path, contentType })).toBe(code)
  })
})

describe('who may write', () => {
  it.each([
    ['our own page', {}],
    ['a program without a browser', { origin: undefined, fetchSite: undefined }],
    ['localhost by its name', { host: 'localhost:4310', origin: 'http://localhost:4310' }],
    ['loopback in the newer notation', { host: '[::1]:4310', origin: 'http://[::1]:4310' }],
  ] as const)('%s', (_, more) => {
    expect(asked(more)).toBeNull()
  })

  it.each([
    ['a page of another site', { origin: 'http://elsewhere.test' }, 'wrong-origin'],
    ['the same machine on another port', { origin: 'http://127.0.0.1:9999' }, 'wrong-origin'],
    ['a page that hides its origin', { origin: 'null' }, 'wrong-origin'],
    ['a form of another site', { origin: undefined, fetchSite: 'cross-site' }, 'wrong-origin'],
    ['a sister site', { origin: undefined, fetchSite: 'same-site' }, 'wrong-origin'],
    ['a name pointed here', { host: 'elsewhere.test', origin: 'http://elsewhere.test' }, 'wrong-host'],
    ['a loopback look-alike', { host: '127.0.0.1.elsewhere.test' }, 'wrong-host'],
    ['no name at all', { host: undefined }, 'wrong-host'],
    ['a form, which needs no leave', { contentType: 'text/plain' }, 'not-json'],
    ['no type', { contentType: undefined }, 'not-json'],
    ['a type that only begins alike', { contentType: 'application/jsonp' }, 'not-json'],
  ] as const)('not %s', (_, more, code) => {
    expect(asked(more)).toBe(code)
  })

  it('a works that reaches it by a name says so', () => {
    const lan = { host: 'caliper.works.test:4310', origin: 'http://caliper.works.test:4310' }
    expect(asked(lan)).toBe('wrong-host')
    expect(asked(lan, ['caliper.works.test'])).toBeNull()
  })
})

describe('who may read', () => {
  const reading = { method: 'GET', contentType: undefined }

  it('anybody who asks by our own name; the browser keeps the answer from other pages', () => {
    expect(asked({ ...reading, origin: 'http://elsewhere.test' })).toBeNull()
    expect(asked({ ...reading, host: 'elsewhere.test' })).toBe('wrong-host')
  })

  it('the page itself under any name, so that it can say what is wrong', () => {
    expect(asked({ ...reading, path: '/machines', host: 'elsewhere.test' })).toBeNull()
  })
})

it('methods that nothing here has are told so', () => {
  for (const method of ['TRACE', 'BREW', 'PROPFIND', 'OPTIONS'])
    expect(strangerAt({ ...ours, method }, [])?.status).toBe(405)
})
