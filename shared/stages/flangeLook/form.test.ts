import { describe, expect, it } from 'vitest'
import { TestFlange, TEST_FLANGE } from '../../../core/jobs/testFlange'
import { tellingOf } from '../../wording/telling'
import { asRegistered, readBoltShims, readSpigot } from './form'

const T = tellingOf('inch', { drive: 'flange' })
const found = () => {
  const existing = [[5, 2], [], [], [], [], [], [], []]
  const job = new TestFlange({ ...TEST_FLANGE, flange: { ...TEST_FLANGE.flange, existing } }).open(980)
  return job.state
}
const read = (shims: Record<string, { leaves: string; marks: string }>) => {
  const { boltsFound, shape } = found()
  return readBoltShims({ shims }, boltsFound, shape.bolts, T)
}

describe('what lies under the bolts as typed', () => {
  it('is logged bolt by bolt, none where none lies', () => {
    expect(
      read({ '1': { leaves: '5 + 2', marks: 'A, B' }, '2': { leaves: 'none', marks: '' } }),
    ).toMatchObject({
      questions: [],
      payload: {
        bolts: [
          {
            bolt: '1',
            leaves: [
              { thickness: 5, mark: 'A' },
              { thickness: 2, mark: 'B' },
            ],
          },
          { bolt: '2', leaves: [] },
        ],
      },
    })
  })

  it('asks once where it is not what the register has, and says at the bolt what it can’t read', () => {
    expect(read({ '1': { leaves: '10', marks: '' } }).questions[0]).toMatch(/The bolt at 12/)
    expect(read({ '3': { leaves: 'x', marks: '' } }).faults['3']).toMatch(/number/)
    expect(read({ '3': { leaves: '', marks: 'A' } }).faults['3']).toBeTruthy()
    expect(read({}).payload).toBeNull()
  })

  it('fills in what is registered, in the units that are shown', () => {
    const { boltsFound } = found()
    expect(asRegistered(boltsFound, 'inch')['1']).toEqual({ leaves: '5 + 2', marks: '' })
    expect(asRegistered(boltsFound, 'metric')['1']?.leaves).toBe('0.127 + 0.0508')
    expect(asRegistered(boltsFound, 'inch')['2']?.leaves).toBe('0')
  })
})

describe('a spigot as felt', () => {
  it('is tight without a play, or loose with one that may be unknown', () => {
    expect(readSpigot({ fit: 'tight', play: '7', words: '' }, T).payload).toMatchObject({
      fit: 'tight',
      play: null,
    })
    expect(readSpigot({ fit: 'loose', play: '12', words: '' }, T).payload).toMatchObject({ play: 12 })
    expect(readSpigot({ fit: 'loose', play: '', words: '' }, T).payload).toMatchObject({ play: null })
    expect(readSpigot({ fit: '', play: '', words: '' }, T).payload).toBeNull()
    expect(readSpigot({ fit: 'loose', play: 'much', words: '' }, T).fault).toMatch(/number/)
    expect(readSpigot({ fit: 'loose', play: '-2', words: '' }, T).payload).toBeNull()
  })
})
