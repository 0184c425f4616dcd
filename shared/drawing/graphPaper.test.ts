import { describe, expect, it } from 'vitest'
import { graphPaper, graphScale, type GraphSheet } from './graphPaper'

const sheet = (more: Partial<GraphSheet> = {}): GraphSheet => ({
  title: 'CP-11 <Clay> & mill',
  units: 'inch',
  feet: [
    { id: 'inboard', name: 'inboard', x: 12 * 25.4, v: 0.3, h: 0 },
    { id: 'outboard', name: 'outboard', x: 34.5 * 25.4, v: 0.4, h: -0.2 },
  ],
  found: { offset: { v: -0.2, h: 0.1 }, slope: { v: -0.0005, h: 0.0001 } },
  target: { offset: { v: 0.1, h: 0 }, slope: { v: 0, h: 0 } },
  predicted: { offset: { v: 0.1, h: 0 }, slope: { v: 0, h: 0 } },
  words: {
    views: { v: 'Side view', h: 'Top view' },
    scale: (along, across) => `One division: ${along} along, ${across} across`,
    found: 'found',
    target: 'target',
    planned: 'planned',
    coupling: 'coupling',
    move: (f, plane) => (plane === 'v' ? `add ${f.v}` : `push ${f.h}`),
  },
  ...more,
})
const numbers = (svg: string, pattern: RegExp) =>
  [...svg.matchAll(pattern)].map((m) => m.slice(1).map(Number))

describe('graph paper', () => {
  it('takes the finest round scale that holds the machine and its lines', () => {
    expect(graphScale(sheet())).toEqual({ along: 0.5, across: 2.5 })
    const longer = sheet({ feet: sheet().feet.map((f) => ({ ...f, x: 4 * f.x })) })
    expect(graphScale(longer).along).toBeGreaterThan(graphScale(sheet()).along)
    const worse = sheet({ found: { offset: { v: -4, h: 0.1 }, slope: { v: 0, h: 0 } } })
    expect(graphScale(worse).across).toBeGreaterThan(graphScale(sheet()).across)
    expect(graphScale(sheet({ units: 'metric' }))).toEqual({ along: 10, across: 0.04 })
  })

  it('stands to scale: feet as far apart on paper as the divisions say', () => {
    const { along } = graphScale(sheet())
    const circles = numbers(graphPaper(sheet()), /<circle cx="([\d.]+)" cy="([\d.]+)"/g)
    expect(circles.length).toBe(4)
    expect(circles[1]![0]! - circles[0]![0]!).toBeCloseTo((22.5 / along) * 2.54, 2)
  })

  it('draws up what is high, and keeps everything on the paper', () => {
    const svg = graphPaper(sheet())
    const [inboard, outboard] = numbers(svg, /<circle cx="([\d.]+)" cy="([\d.]+)"/g)
    // The outboard end hangs lower: further down the sheet.
    expect(outboard![1]!).toBeGreaterThan(inboard![1]!)
    for (const [x, y] of numbers(svg, /[ML]([\d.-]+) ([\d.-]+)/g)) {
      expect(x! >= 0 && x! <= 297).toBe(true)
      expect(y! >= 0 && y! <= 210).toBe(true)
    }
  })

  it('is a sheet of its own size, with its words made safe', () => {
    const svg = graphPaper(sheet())
    expect(svg).toContain('width="297mm" height="210mm"')
    expect(svg).toContain('CP-11 &lt;Clay&gt; &amp; mill. One division: 0.5 in along, 2.5 mil across')
    expect(svg).toContain('inboard, 12 in')
    expect(svg).toContain('push -0.2')
    for (const [tag] of svg.matchAll(/<[a-z]+ [^>]*>/g)) {
      const names = [...tag.matchAll(/ ([a-z-]+)="/g)].map((m) => m[1])
      expect(new Set(names).size, tag).toBe(names.length)
    }
  })
})
