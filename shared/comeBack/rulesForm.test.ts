import { describe, expect, it } from 'vitest'
import { NO_RULES } from '../../core/comeBack/rules'
import { OWN_END } from '../wording/words'
import { readRules, textsOfRules } from './rulesForm'

const read = (more: object) => readRules({ ...textsOfRules(), ...more }, OWN_END)

describe('the boxes of the works’ rules', () => {
  it('give back what was said, and nothing where nothing stands', () => {
    const rules = { ...NO_RULES, hotCheckDays: 14, regularHours: 8000 }
    expect(readRules(textsOfRules(rules), OWN_END)).toEqual({ rules, faults: {} })
    expect(read({}).rules).toEqual(NO_RULES)
  })

  it('take figures as every other box does', () => {
    expect(read({ regularMonths: ' 6 ', firstWeeksDays: '14+7' }).rules).toMatchObject({
      regularMonths: 6,
      firstWeeksDays: 21,
    })
  })

  it('say at each box what is wrong', () => {
    const { rules, faults } = read({ hotCheckDays: 'soon', regularMonths: '0', hoursPerWeek: '12.5' })
    expect(rules).toBeNull()
    expect(Object.keys(faults).sort()).toEqual(['hotCheckDays', 'hoursPerWeek', 'regularMonths'])
    for (const sentence of Object.values(faults)) expect(sentence).toMatch(/^[A-Z].*[.?]$/)
  })
})
