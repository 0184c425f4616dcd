/** `npm run measure`: the share of tests and the start of the calculation command. */
import { execFileSync, spawnSync } from 'node:child_process'
import { readFileSync } from 'node:fs'
import { join } from 'node:path'
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

const times = Array.from({ length: 5 }, () => {
  const from = performance.now()
  spawnSync(process.execPath, ['scripts/calc.mjs', '--list'], { cwd: ROOT })
  return performance.now() - from
}).sort((a, b) => a - b)
say(`Calculation command, start to answer: median ${Math.round(times[2])} ms`)
