import { readFileSync } from 'node:fs'
import { describe, expect, it } from 'vitest'
import { trainPlansDrawn, trainSheet } from '../../shared/quick/trainSum'

/** The worked example of the method’s page: its input, then its result. */
const example = (): { input: object; result: { plans: { moves: { v: number }[] }[] } } => {
  const page = readFileSync('docs/methods/train-plan.md', 'utf8')
  const json = (which: string) =>
    JSON.parse(new RegExp(`\`\`\`json ${which}\\n([\\s\\S]*?)\`\`\``).exec(page)?.[1] ?? '') as never
  return { input: json('input'), result: json('result') }
}

describe('the board of a line in a quick sum', () => {
  it('draws the plans of the sum on its own train, in millimetres', () => {
    const { input, result } = example()
    const sheet = trainSheet(input)!
    expect(sheet.train.machines.map((m) => m.id)).toEqual(['motor', 'gear', 'mill'])
    const plans = trainPlansDrawn(sheet, result)
    expect(plans.map((p) => p.kind)).toEqual(['closest', 'least-work'])
    expect(plans[0]?.moves[0]).toMatchObject({ machine: 'motor', x: 0, v: result.plans[0]?.moves[0]?.v })
    const inch = trainSheet({ ...input, units: 'inch' })!
    expect(inch.train.couplings[0]?.x).toBeCloseTo(800 * 25.4, 6)
    expect(trainPlansDrawn(inch, result)[0]?.moves[0]?.v).toBeCloseTo(
      0.0254 * (result.plans[0]?.moves[0]?.v ?? 0),
      9,
    )
  })

  it('draws nothing of an input that is not whole, or has no speed for its limit', () => {
    const { input, result } = example()
    expect(trainSheet({ ...input, machines: [] })).toBeNull()
    const couplings = (input as { couplings: object[] }).couplings.map((c) => ({ ...c, rpm: undefined }))
    expect(trainSheet({ ...input, couplings })).toBeNull()
    expect(trainPlansDrawn(trainSheet(input)!, null)).toEqual([])
    expect(trainPlansDrawn(trainSheet(input)!, { ...result, plans: undefined })).toEqual([])
  })
})
