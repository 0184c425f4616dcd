import { spawnSync } from 'node:child_process'
import { describe, expect, it } from 'vitest'
import { OPERATIONS } from '../../shared/calculation/operations'
import { caseOperations, expectMatches, readCases } from './cases'

const calc = (args: readonly string[], input = '') => {
  const { status, stdout, stderr } = spawnSync('npm', ['run', '-s', 'calc', '--', ...args], {
    input,
    encoding: 'utf8',
    env: { PATH: process.env.PATH, HOME: process.env.HOME },
  })
  return {
    status,
    stdout,
    stderr: stderr
      .split('\n')
      .filter((l) => !l.startsWith('npm warn'))
      .join('\n'),
  }
}

describe('the calculation command', () => {
  it('answers every worked case, in order, through one batch', () => {
    const cases = caseOperations().flatMap((o) => readCases(o))
    expect(cases.length).toBeGreaterThan(100)
    const lines = cases.map((c, id) => JSON.stringify({ id, operation: c.operation, input: c.input }))
    const { status, stdout } = calc(['--batch'], lines.join('\n'))
    const answers = stdout
      .trim()
      .split('\n')
      .map((l) => JSON.parse(l) as { id: number; result: unknown })
    expect(status).toBe(0)
    expect(answers.map((a) => a.id)).toEqual(cases.map((_, i) => i))
    cases.forEach((c, i) => expectMatches(answers[i]?.result, c.expect, c.tolerance, `${c.operation} ${i}`))
  })

  it('keeps a batch going past lines it can’t use', () => {
    const good = {
      id: 'good',
      operation: 'level',
      input: { units: 'inch', feeler: 5, boltSpacing: 20, supportedLength: 10 },
    }
    const lines = [
      '{',
      '7',
      JSON.stringify({ id: 1, operation: 'guess', input: {} }),
      JSON.stringify({ id: 2, operation: 'level' }),
      '',
      JSON.stringify(good),
    ]
    const { status, stdout } = calc(['--batch'], lines.join('\n'))
    const answers = stdout
      .trim()
      .split('\n')
      .map((l) => JSON.parse(l) as { id: unknown; result?: unknown; error?: { code: string } })
    expect(status).toBe(0)
    expect(answers.map((a) => a.id)).toEqual([null, null, 1, 2, 'good'])
    expect(answers.map((a) => a.error?.code)).toEqual([
      'bad-input',
      'bad-input',
      'unknown-operation',
      'bad-input',
      undefined,
    ])
    expect(answers[4]?.result).toEqual({ shim: 10 })
  })

  it('answers one operation on stdout, and lists and describes them', () => {
    const one = calc(
      ['level'],
      JSON.stringify({ units: 'inch', feeler: 5, boltSpacing: 20, supportedLength: 10 }),
    )
    expect(one).toEqual({ status: 0, stdout: '{"shim":10}\n', stderr: '' })
    const listed = calc(['--list']).stdout
    for (const { name } of OPERATIONS) expect(listed).toContain(`${name}\t`)
    expect(JSON.parse(calc(['judge', '--schema']).stdout)).toMatchObject({
      type: 'object',
      required: expect.arrayContaining(['units', 'tolerance']),
    })
  })

  it.each([
    ['bad input', ['level'], '{"units":"inch"}', 'bad-input'],
    ['something that is not JSON', ['level'], '{', 'bad-input'],
    [
      'positions that can’t carry a result',
      ['fit-readings'],
      '{"units":"inch","readings":[{"clock":0,"value":0},{"clock":90,"value":1}]}',
      'refused',
    ],
    ['an unknown operation', ['guess'], '{}', 'unknown-operation'],
  ])('%s: exit 2, nothing on stdout, the error on stderr', (_, args, input, code) => {
    const { status, stdout, stderr } = calc(args, input)
    expect(status).toBe(2)
    expect(stdout).toBe('')
    const { error } = JSON.parse(stderr) as {
      error: { code: string; message: string; issues: { path: string; message: string }[] }
    }
    expect(error.code).toBe(code)
    expect(error.issues[0]?.message).toMatch(/^[A-Z].*[.?]$/)
  })
})
