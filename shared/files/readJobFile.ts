import { findNodeAtLocation, parseTree, type Node, type ParseError } from 'jsonc-parser'
import { z } from 'zod'
import type { LogEntry } from '../../core/logbook/entry'
import { issuesOf } from '../calculation/issues'
import type { Issue } from '../calculation/operation'
import { readEntry } from '../logbook/entry'
import { readSnapshot, type MachineSnapshot } from '../register/machine'
import { jobFileWords } from '../wording/en'
import { OWN_END } from '../wording/words'
import { jobFile, type JobFile } from './jobFile'

/** A job as it was read from a file: every part through the door, in today's shape. */
export interface ReadJob {
  readonly job: string
  readonly works: string
  readonly people: JobFile['people']
  readonly machine: MachineSnapshot
  readonly entries: readonly LogEntry[]
  readonly photographs: JobFile['photographs']
}

/** What is wrong with a file, each fault with the line it stands in, from 1. */
export interface FileFault extends Issue {
  readonly line: number
}

export type JobFileRead = { readonly read: ReadJob } | { readonly faults: readonly FileFault[] }

/** Faults told of one file; more of them help nobody. */
const MOST = 50

/** Where a value stands in a text: its line, or that of what holds it where it is missing. */
const linesOf = (text: string, tree: Node) => {
  const starts = [0]
  for (let at = text.indexOf('\n'); at >= 0; at = text.indexOf('\n', at + 1)) starts.push(at + 1)
  const lineAt = (offset: number): number => {
    let [low, high] = [0, starts.length - 1]
    while (low < high) {
      const middle = (low + high + 1) >> 1
      if ((starts[middle] ?? 0) <= offset) low = middle
      else high = middle - 1
    }
    return low + 1
  }
  const ofPath = (path: readonly (string | number)[]): number => {
    for (let n = path.length; n > 0; n--) {
      const node = findNodeAtLocation(tree, path.slice(0, n))
      if (node) return lineAt(node.offset)
    }
    return 1
  }
  return { lineAt, ofPath }
}

const partsOf = (path: string): readonly (string | number)[] =>
  path === '' ? [] : path.split('.').map((p) => (/^\d+$/.test(p) ? Number(p) : p))

/** What the parts of a logbook must be to one another. */
const faultsBetween = (file: JobFile, entries: readonly LogEntry[]): readonly Issue[] => {
  const w = jobFileWords(OWN_END).faults
  const people = new Set(file.people.map((p) => p.id))
  const before = new Set<string>()
  return entries.flatMap((e, i) => {
    const faults: Issue[] = []
    const at = (key: string, message: string) => faults.push({ path: `entries.${i}.${key}`, message })
    if (before.has(e.id)) at('id', w.twice)
    if (e.supersedes && !before.has(e.supersedes.entry)) at('supersedes', w.correctsNothing)
    if ((e.kind === 'job-opened') !== (i === 0) && !e.supersedes)
      at('kind', i === 0 ? w.noOpening : w.opensAgain)
    if (!people.has(e.author)) at('author', w.nobody)
    if (e.second && !people.has(e.second)) at('second', w.nobody)
    if (e.receivedAt === null || !Number.isFinite(Date.parse(e.receivedAt))) at('receivedAt', w.received)
    before.add(e.id)
    return faults
  })
}

/** A text as JSON with its places; undefined where it is none, or nested beyond measure. */
const treeOf = (text: string, broken: ParseError[]): Node | undefined => {
  try {
    return parseTree(text, broken, { allowTrailingComma: false, disallowComments: true })
  } catch {
    return undefined
  }
}

/** Reads a job's file; what is wrong with it is told by the line it stands in, in the order of the file. Never throws. */
export const readJobFile = (text: string): JobFileRead => {
  const w = jobFileWords(OWN_END).faults
  const broken: ParseError[] = []
  const tree = treeOf(text, broken)
  const lines = linesOf(text, tree ?? { type: 'null', offset: 0, length: 0 })
  const [first] = broken
  if (!tree || first)
    return { faults: [{ path: '', line: lines.lineAt(first?.offset ?? 0), message: w.notJson }] }
  const told = (issues: readonly Issue[]): JobFileRead => {
    // Of one value one fault is enough.
    const first = [...new Map([...issues].reverse().map((i) => [i.path, i])).values()].reverse()
    return {
      faults: first
        .slice(0, MOST)
        .map((issue) => ({ ...issue, line: lines.ofPath(partsOf(issue.path)) }))
        .sort((a, b) => a.line - b.line),
    }
  }
  const outer = jobFile.safeParse(JSON.parse(text))
  if (!outer.success) {
    const issues = issuesOf(outer.error)
    // Of what is no job's file, or a newer one, nothing else is worth telling.
    const other = issues.find((i) => i.path === 'format' || i.path === 'version')
    return told(other ? [other] : issues)
  }
  const file = outer.data

  const faults: Issue[] = []
  const inside = <T>(path: string, read: () => T): T | undefined => {
    try {
      return read()
    } catch (failure) {
      const inner = failure instanceof z.ZodError ? issuesOf(failure) : [{ path: '', message: w.damaged }]
      faults.push(...inner.map((i) => ({ ...i, path: [path, i.path].filter(Boolean).join('.') })))
      return undefined
    }
  }
  const machine = inside('machine', () => readSnapshot(file.machineSchema, file.machine))
  const entries = file.entries.flatMap((raw, i) => inside(`entries.${i}`, () => readEntry(raw)) ?? [])
  if (!machine || faults.length > 0) return told(faults)
  const between = faultsBetween(file, entries)
  if (between.length > 0) return told(between)
  const { job, works, people, photographs } = file
  return { read: { job, works, people, machine, entries, photographs } }
}
