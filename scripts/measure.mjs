/** `npm run measure`: the figures worth knowing: script bytes of the job view, share of tests, start of the calculation command. */
import { execFileSync, spawnSync } from 'node:child_process'
import { readFileSync, readdirSync } from 'node:fs'
import { join } from 'node:path'
import { gzipSync } from 'node:zlib'
import { ROOT } from './local/paths.mjs'
import { say } from './local/say.mjs'

const files = execFileSync('git', ['ls-files', '*.ts', '*.vue', '*.mjs', '*.js', '*.css', '*.sql'], {
  cwd: ROOT,
  encoding: 'utf8',
})
  .trim()
  .split('\n')
const lines = (list) =>
  list.reduce((n, f) => n + readFileSync(join(ROOT, f), 'utf8').split('\n').length - 1, 0)
const tests = files.filter((f) => /\.test\.|\.spec\.|^tests\//.test(f))
say(`Tests: ${lines(tests)} of ${lines(files)} lines, ${Math.round((100 * lines(tests)) / lines(files))} %`)

// The job page and everything it imports, followed through the built chunks.
const client = join(ROOT, '.output', 'public', '_nuxt')
const chunks = readdirSync(client).filter((f) => f.endsWith('.js'))
const text = (chunk) => readFileSync(join(client, chunk), 'utf8')
const entry =
  chunks.find((c) => /__NUXT__|useNuxtApp|nuxt-root/.test(text(c)) && text(c).length > 100_000) ?? chunks[0]
const job = chunks.filter((c) => /stagesOfThisJob/.test(text(c)))
const seen = new Set()
const follow = (chunk) => {
  if (seen.has(chunk)) return
  seen.add(chunk)
  for (const [, name] of text(chunk).matchAll(
    /from\s*["']\.\/([^"']+\.js)["']|import\s*["']\.\/([^"']+\.js)["']/g,
  ))
    if (name) follow(name)
}
;[entry, ...job].forEach(follow)
const bytes = [...seen].reduce((n, c) => n + gzipSync(readFileSync(join(client, c))).length, 0)
say(`Job view: ${seen.size} scripts, ${Math.round(bytes / 1000)} kB gzip`)

const times = Array.from({ length: 5 }, () => {
  const from = performance.now()
  spawnSync(process.execPath, ['scripts/calc.mjs', '--list'], { cwd: ROOT })
  return performance.now() - from
}).sort((a, b) => a - b)
say(`Calculation command, start to answer: median ${Math.round(times[2])} ms`)
