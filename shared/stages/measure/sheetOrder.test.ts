import { describe, expect, it } from 'vitest'
import { METHOD_FORMS } from '../../methods/forms'
import { readQuickEntry, sheetOrder, sheetPositions } from './sheetOrder'

const ORDER = sheetOrder(['rim', 'face'], [0, 90, 180, 270], 'dials')

describe('figures typed in the sheet’s order', () => {
  it('go to their boxes: circle by circle, then after the turn', () => {
    const { figures, missing, extra } = readQuickEntry('0 -2.5 -23 -20.5\n0 1 3.5 2.5; 0 0', ORDER, 'inch')
    expect(figures.map((f) => [f.box.circle, f.box.clock, f.value])).toEqual([
      ['rim', 0, 0],
      ['rim', 90, -2.5],
      ['rim', 180, -23],
      ['rim', 270, -20.5],
      ['face', 0, 0],
      ['face', 90, 1],
      ['face', 180, 3.5],
      ['face', 270, 2.5],
      ['rim', null, 0],
      ['face', null, 0],
    ])
    expect([missing, extra]).toEqual([[], []])
  })

  it('say which are missing, which are too many, and which can’t be read', () => {
    const short = readQuickEntry('0 -2.5 x', ORDER, 'inch')
    expect([short.missing.length, short.figures[2]?.value]).toEqual([7, null])
    expect(readQuickEntry('1 2 3 4 5 6 7 8 9 10 11', ORDER, 'inch').extra).toEqual(['11'])
  })

  it('take units and decimal commas as the boxes do', () => {
    const { figures } = readQuickEntry('0 -2.25 mil 0,05 mm 45 thou', ORDER, 'inch')
    expect(figures.map((f) => Number(f.value?.toFixed(4)))).toEqual([0, -2.25, 1.9685, 45])
  })

  it('a second face dial’s row goes by its own clock', () => {
    const order = sheetOrder(['rim', 'face1', 'face2'], [0, 90], 'dials')
    expect(order.slice(4, 6).map((b) => b.clock)).toEqual([180, 270])
  })

  it.each(Object.values(METHOD_FORMS).map((f) => [f.method, f] as const))('%s has an order', (_, form) => {
    const circles = form.circles({})
    const order = sheetOrder(circles, sheetPositions(form.reads), form.reads)
    expect(order).toHaveLength(
      circles.length * sheetPositions(form.reads).length + (form.reads === 'dials' ? circles.length : 0),
    )
  })
})
