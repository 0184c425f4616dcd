import { mkdirSync, writeFileSync } from 'node:fs'

export interface StudyTable {
  readonly caption?: string
  readonly head: readonly string[]
  readonly rows: readonly (readonly string[])[]
}

export interface Study {
  readonly title: string
  readonly intro: readonly string[]
  readonly tables: readonly StudyTable[]
  readonly notes?: readonly string[]
  readonly seconds: number
}

const line = (cells: readonly string[]) => `| ${cells.join(' | ')} |`

const tableText = (table: StudyTable): string =>
  [
    ...(table.caption ? [table.caption, ''] : []),
    line(table.head),
    line(table.head.map(() => '---')),
    ...table.rows.map(line),
  ].join('\n')

/** Prints a study, and writes it to docs/studies/ with `--write`. The time taken is only printed. */
export const writeStudy = (name: string, study: Study): void => {
  const text = [
    `# ${study.title}`,
    '',
    `Written by \`npm run study:${name} -- --write\`.`,
    '',
    ...study.intro.flatMap((p) => [p, '']),
    ...study.tables.flatMap((t) => [tableText(t), '']),
    ...(study.notes ?? []).flatMap((p) => [p, '']),
  ].join('\n')
  process.stdout.write(`${text}\n${study.seconds.toFixed(1)} s\n`)
  if (!process.argv.includes('--write')) return
  const folder = new URL('../../docs/studies/', import.meta.url)
  mkdirSync(folder, { recursive: true })
  writeFileSync(new URL(`${name}.md`, folder), text.trimEnd() + '\n')
}
