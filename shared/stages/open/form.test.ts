import { describe, expect, it } from 'vitest'
import { OWN_END } from '../../wording/words'
import { readSpeed } from './form'

describe('the nameplate speed', () => {
  it.each([
    ['990', 990, ''],
    ['', null, ''],
    ['fast', null, ''],
    ['0', null, ''],
    ['-990', null, ''],
  ] as const)('%s reads as %s', (text, rpm, question) => {
    expect(readSpeed(text, 990, OWN_END)).toMatchObject({ rpm, question })
  })

  it.each(['99', '9900', '9.9'])('%s for 990 is asked, never silent', (text) => {
    const read = readSpeed(text, 990, OWN_END)
    expect(read.rpm).toBe(Number(text))
    expect(read.question).toMatch(/990 rpm.*press once more/)
  })

  it('another pole count is asked about too', () => {
    expect(readSpeed('2950', 990, OWN_END).question).not.toBe('')
    expect(readSpeed('985', 990, OWN_END).question).toBe('')
  })
})
