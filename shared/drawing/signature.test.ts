import { describe, expect, it } from 'vitest'
import { GLASS, MOST_POINTS, MOST_STROKES, type Strokes } from '../../core/stages/close/glass'
import { customerSigned, customerStands, NOBODY_SIGNED } from '../stages/close/customer'
import { beginStroke, leadStroke, signaturePath, signatureSvg } from './signature'

describe('a signature on glass', () => {
  it('is drawn stroke by stroke, in whole parts of the glass', () => {
    let drawn: Strokes = beginStroke([], 10.4, 20.6)
    drawn = leadStroke(drawn, 30, 40)
    drawn = beginStroke(drawn, 500, 100)
    expect(drawn).toEqual([
      [10, 21, 30, 40],
      [500, 100],
    ])
    expect(signaturePath(drawn)).toBe('M10 21L30 40M500 100L500 100')
    expect(signatureSvg(drawn)).toContain('viewBox="0 0 1000 300"')
  })

  it('stays on the glass, and leaves out what hardly moved', () => {
    const drawn = leadStroke(beginStroke([], -5, 9000), 2, GLASS.height)
    expect(drawn).toEqual([[0, GLASS.height]])
    expect(leadStroke([], 3, 3)).toEqual([])
  })

  it('takes no more than the record does', () => {
    let drawn: Strokes = []
    for (let n = 0; n < MOST_STROKES + 5; n++) drawn = beginStroke(drawn, n, n)
    expect(drawn).toHaveLength(MOST_STROKES)
    for (let n = 0; n < MOST_POINTS + 50; n++) drawn = leadStroke(drawn, (n % 2) * 900, 10)
    expect(drawn.flat()).toHaveLength(2 * MOST_POINTS)
  })
})

describe('a customer who signs', () => {
  const signed = { name: ' R. Ash ', strokes: [[1, 2]], over: ['It is left in band.'] }

  it('has signed what stood above the glass, and not what was written since', () => {
    expect(customerStands(NOBODY_SIGNED, ['It is left in band.'])).toBe('open')
    expect(customerStands(signed, ['It is left in band.'])).toBe('signed')
    expect(customerStands(signed, ['It is left in band.', 'Remarks: guard loose'])).toBe('stale')
  })

  it('goes into the closing by name and hand; half a signature does not', () => {
    expect(customerSigned(signed)).toEqual({ name: 'R. Ash', strokes: [[1, 2]] })
    expect(customerSigned({ ...signed, over: [] })).toBeNull()
  })
})
