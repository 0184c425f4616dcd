import { spawnSync } from 'node:child_process'
import { mkdirSync, rmSync, writeFileSync } from 'node:fs'
import { createServer, type AddressInfo } from 'node:net'
import { join } from 'node:path'
import { afterEach, describe, expect, it } from 'vitest'
import { command } from '../../scripts/local/command.mjs'
import { fingerprint, isFresh, markFresh } from '../../scripts/local/freshness.mjs'
import { LOCAL, ROOT } from '../../scripts/local/paths.mjs'
import { requireWritable } from '../../scripts/local/postgres.mjs'
import { lockStart } from '../../scripts/local/startLock.mjs'
import { requirePort } from '../../scripts/local/webServer.mjs'

const scratch = join(LOCAL, 'scratch-of-tests')
afterEach(() => {
  for (const left of [scratch, join(LOCAL, 'scratch.lock'), join(LOCAL, 'scratch.stamp')])
    rmSync(left, { recursive: true, force: true })
})

describe('starting', () => {
  it('says which port is taken and how to take another', async () => {
    const other = createServer()
    await new Promise<void>((done) => other.listen(0, '127.0.0.1', done))
    const { port } = other.address() as AddressInfo
    await expect(requirePort(port)).rejects.toThrow(`Port ${port} is taken by another program.`)
    await expect(requirePort(port)).rejects.toThrow(`HC_PORT=${port + 1} npm run demo`)
    await new Promise((done) => other.close(done))
    await expect(requirePort(port)).resolves.toBeUndefined()
  })

  it('happens once at a time, and a lock left by a dead process is no lock', () => {
    mkdirSync(LOCAL, { recursive: true })
    const unlock = lockStart('scratch')
    expect(() => lockStart('scratch')).toThrow(/already running here/)
    unlock()
    writeFileSync(join(LOCAL, 'scratch.lock'), '4194304')
    lockStart('scratch')()
  })

  it('does a step again only when what it reads has changed', () => {
    mkdirSync(scratch, { recursive: true })
    const name = scratch.slice(ROOT.length + 1)
    writeFileSync(join(scratch, 'a'), 'one')
    const before = fingerprint(name)
    expect(isFresh('scratch', before)).toBe(false)
    markFresh('scratch', before)
    expect(isFresh('scratch', fingerprint(name))).toBe(true)
    writeFileSync(join(scratch, 'a'), 'two')
    expect(isFresh('scratch', fingerprint(name))).toBe(false)
    writeFileSync(join(scratch, 'b'), '')
    expect(fingerprint(name)).not.toBe(before)
  })

  it('says what failed with its last lines and the remedy, and knows a full disk', async () => {
    const fail = (script: string) =>
      command(process.execPath, ['-e', script], { quiet: true, remedy: 'Do this.' })
    await expect(fail('console.error("the reason"); process.exit(3)')).rejects.toThrow(
      /the reason[\s\S]*ended with 3\. Do this\./,
    )
    await expect(fail('console.error("ENOSPC: no space"); process.exit(1)')).rejects.toThrow(
      'The disk is full. Make room and start again.',
    )
    await expect(command('/no/such/program', [], { remedy: 'Install it.' })).rejects.toThrow(
      /could not be started.*Install it\./,
    )
  })

  it('says when a folder can’t be written to', () => {
    mkdirSync(scratch, { recursive: true })
    writeFileSync(join(scratch, 'file'), '')
    expect(() => requireWritable(join(scratch, 'file', 'below'))).toThrow(/can’t be written to/)
  })
})

describe('the database commands', () => {
  const run = (script: string, env: Record<string, string>) =>
    spawnSync(process.execPath, ['--import', 'tsx', join('scripts', script)], {
      cwd: ROOT,
      encoding: 'utf8',
      env: { PATH: process.env.PATH, ...env },
    })

  it.each(['migrate.ts', 'seed.ts'])(
    '%s says plainly when there is no address, or nobody at it',
    (script) => {
      const without = run(script, {})
      expect(without.status).toBe(1)
      expect(without.stderr).toMatch(/^DATABASE_URL is not set\./)
      const odd = run(script, { DATABASE_URL: 'mysql://x' })
      expect(odd.stderr).toMatch(/^DATABASE_URL must begin with postgres:\/\//)
      const dead = run(script, { DATABASE_URL: 'postgres://x:y@127.0.0.1:9/z' })
      expect(dead.status).toBe(1)
      expect(dead.stderr).toMatch(/^The database at DATABASE_URL does not answer\./)
    },
  )
})
