import { describe, expect, it } from 'vitest'
import { STARTER_SECTIONS } from '../../core/belt/sections'
import { OWN_END } from '../wording/words'
import { readSectionsFile, sectionsToCsv } from './files'
import { blankSection, convertSection, readSection, textsOfSection } from './form'
import type { SectionFields, SectionRecord } from './section'

const SECTION: SectionFields = {
  section: 'B',
  construction: 'notched',
  source: 'Orrin Vale chart 4',
  units: 'metric',
  topWidth: 17,
  height: 11,
  mass: 0.19,
  smallestSheave: 100,
  stiffness: null,
  spanOver: 64,
  rows: [
    { from: 100, to: 140, speed: { from: 0, to: 10 }, force: { new: [30, 35], 'run-in': [22, 27] } },
    { from: 140, to: null, speed: null, force: { new: [34, 40], 'run-in': null } },
  ],
  inUse: true,
}
const KNOWN: SectionRecord = { ...SECTION, id: 'one', version: 3 }

describe('belt sections as a file', () => {
  it('come back as they were saved, and say what would change', () => {
    const plain = { ...SECTION, construction: null, rows: [] }
    const text = sectionsToCsv([SECTION, plain])
    const read = readSectionsFile(`\uFEFF${text}`, [KNOWN])
    expect(read.faults).toEqual([])
    expect(read.sections.map((s) => s.fields)).toEqual([SECTION, plain])
    expect(read.sections.map((s) => s.is)).toEqual(['same', 'new'])
    const changed = readSectionsFile(text.replaceAll('0.19', '"0,2"'), [KNOWN]).sections[0]
    expect(changed).toMatchObject({ is: 'changed', known: { version: 3 }, fields: { mass: 0.2 } })
  })

  it('say what is wrong with its line and column, or its section, and what columns are missing', () => {
    const text = sectionsToCsv([SECTION])
    expect(readSectionsFile(text.replace('0.19', 'light'), []).faults[0]?.at).toBe('line 2, mass')
    const upside = readSectionsFile(text.replace('30,35', '35,30'), [])
    expect(upside.sections).toEqual([])
    expect(upside.faults[0]?.at).toContain('B notched')
    expect(upside.faults[0]?.message).toContain('above the lower')
    expect(readSectionsFile('a,b\r\n1,2', []).faults[0]?.message).toContain('section, source, units')
    expect(readSectionsFile('  ', []).faults).toHaveLength(1)
    expect(readSectionsFile(text.replace('metric', 'cubits'), []).faults[0]?.at).toContain('units')
  })

  it('keep a spreadsheet from running what a source says', () => {
    expect(sectionsToCsv([{ ...SECTION, source: '=1+1' }])).toContain("'=1+1")
  })
})

describe('the boxes of a belt section', () => {
  it('give back what is known, in both units', () => {
    expect(readSection(textsOfSection(SECTION), OWN_END).fields).toEqual(SECTION)
    const inch = convertSection(textsOfSection(SECTION), 'inch')
    expect(inch.boxes.topWidth).toBe('0.6693')
    const back = readSection(convertSection(inch, 'metric'), OWN_END).fields
    expect(back?.rows[0]?.force.new?.[0]).toBeCloseTo(30, 1)
    expect(back?.rows[0]?.speed?.to).toBeCloseTo(10, 1)
    expect(back?.spanOver).toBe(64)
  })

  it('say at each box what is wrong or missing', () => {
    const texts = textsOfSection(SECTION)
    texts.boxes.mass = 'heavy'
    texts.rows[0]!.newHigh = '20'
    texts.rows[1]!.to = '120'
    texts.source = ' '
    const { fields, unread, faults } = readSection(texts, OWN_END)
    expect(fields).toBeNull()
    expect(Object.keys(unread)).toEqual(['mass'])
    expect(Object.keys(faults).sort()).toEqual(['mass', 'rows.0.newHigh', 'rows.1.to', 'source'])
    texts.rows[1]!.newLow = texts.rows[1]!.newHigh = ''
    expect(readSection(texts, OWN_END).faults['rows.1.runInHigh']).toContain('Give the forces')
    expect(readSection(blankSection('inch'), OWN_END).faults).toHaveProperty('section')
  })

  it('begin from a starting value, whose source is to be said anew', () => {
    const texts = textsOfSection(STARTER_SECTIONS[0]!)
    expect(readSection(texts, OWN_END).faults).toHaveProperty('source')
    expect(readSection({ ...texts, source: 'Maker’s sheet' }, OWN_END).fields?.section).toBe('Z')
  })
})
