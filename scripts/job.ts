/**
 * `npm run -s job -- fold`: reads `{machine, entries}` on standard input, as `GET /api/jobs/:id`
 * answers it, and prints where the job stands as JSON. Needs no database. Exit 2 with the reason on
 * standard error when the input is not a job.
 */
import { z } from 'zod'
import { foldJob, type Job } from '../core/jobs/jobs'
import { figuresOf } from '../core/jobs/summary'
import { readEntry } from '../shared/logbook/entry'
import { MACHINE_SCHEMA } from '../shared/register/lifts'
import { readSnapshot } from '../shared/register/machine'
import { issuesOf } from '../shared/calculation/issues'
import { findingsOf } from '../shared/wording/findings'
import { headlinesOf } from '../shared/wording/headlines'
import { tellingOf } from '../shared/wording/telling'

const input = z.object({
  machineSchema: z.number().optional(),
  machine: z.looseObject({}),
  entries: z.array(z.unknown()),
})

const told = (job: Job, units: 'inch' | 'metric') => {
  const telling = tellingOf(units, job.state.machine)
  const findings = findingsOf(job, telling)
  const headlines = headlinesOf(job, telling)
  return {
    kind: job.kind,
    stages: job.sheet.rows.map((r) => ({
      id: r.id,
      mark: r.mark,
      finding: findings[r.id] ?? '',
      headline: headlines[r.id] ?? '',
    })),
    current: job.sheet.current,
    outcome: job.state.outcome,
    figures: figuresOf(job),
  }
}

const fail = (message: string, issues: readonly unknown[] = []) => {
  process.stderr.write(`${JSON.stringify({ error: { code: 'bad-input', message, issues } })}\n`)
  process.exitCode = 2
}

const read = async (): Promise<string> => {
  const chunks: Buffer[] = []
  for await (const chunk of process.stdin) chunks.push(chunk as Buffer)
  return Buffer.concat(chunks).toString('utf8')
}

if (process.argv[2] !== 'fold') fail('Usage: npm run -s job -- fold < job.json')
else
  try {
    const given = input.parse(JSON.parse(await read()))
    const machine = readSnapshot(given.machineSchema ?? MACHINE_SCHEMA, given.machine)
    const job = foldJob(machine, given.entries.map(readEntry))
    process.stdout.write(`${JSON.stringify(told(job, machine.units), null, 2)}\n`)
  } catch (failure) {
    if (failure instanceof z.ZodError) {
      const issues = issuesOf(failure)
      fail(issues[0]?.message ?? 'That is not a job.', issues)
    } else if (failure instanceof SyntaxError)
      fail('The input is not JSON. Check quotes, commas and brackets.')
    else fail(failure instanceof Error ? failure.message : String(failure))
  }
