import { describe, expect, it } from 'vitest'
import { OWN_END } from '../../wording/words'
import { blankOpening, openingBody, readSpeed, saysOtherwise, textsOfOpening } from './form'

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

describe('an opening corrected', () => {
  const was = { reason: 'planned', rpm: 990, customer: 'North hall', note: '' } as const

  it('stands in the boxes as it was logged, and says nothing else until something is changed', () => {
    const texts = textsOfOpening(was)
    expect(saysOtherwise(texts, was, 990)).toBe(false)
    expect(saysOtherwise(texts, was, null)).toBe(false)
    expect(saysOtherwise({ ...texts, customer: ' North hall ' }, was, 990)).toBe(false)
    expect(saysOtherwise(texts, was, 2970)).toBe(true)
    expect(saysOtherwise({ ...texts, site: 'Yard 2' }, was, 990)).toBe(true)
    expect(saysOtherwise({ ...texts, reason: 'wear' }, was, 990)).toBe(true)
  })

  it('is written as typed, without the spaces around it', () => {
    const texts = { ...blankOpening('vibration'), customer: ' Yard ', note: 'hums ' }
    expect(openingBody(texts, 1480).payload).toEqual({
      reason: 'vibration',
      rpm: 1480,
      customer: 'Yard',
      site: '',
      note: 'hums',
    })
  })
})
