import { existsSync, mkdirSync, writeFileSync } from 'node:fs'
import { spawnSync } from 'node:child_process'
import { command } from './command.mjs'
import { Stuck } from './say.mjs'

const isRoot = () => process.getuid?.() === 0
const maySudo = () => spawnSync('sudo', ['-n', 'true'], { stdio: 'ignore' }).status === 0

/** Installs Debian packages as root, or through a sudo that asks nothing; else says what to type. */
export const installDebian = async (packages) => {
  const byHand = `apt-get install --no-install-recommends ${packages.join(' ')}`
  if (!existsSync('/usr/bin/apt-get'))
    throw new Stuck(
      `${packages.join(' and ')} must be installed, and this is not a Debian system. Install it by your system’s means and start again.`,
    )
  if (!isRoot() && !maySudo())
    throw new Stuck(
      `${packages.join(' and ')} must be installed, and this account may not do so. Ask an administrator to run:\n  ${byHand}\nthen start again.`,
    )
  const apt = (args) =>
    command(isRoot() ? 'apt-get' : 'sudo', isRoot() ? args : ['-n', 'apt-get', ...args], {
      quiet: true,
      env: { ...process.env, DEBIAN_FRONTEND: 'noninteractive' },
      remedy:
        'Check that Debian’s package server can be reached and that no other installation is running, then start again.',
    })
  await apt(['update'])
  await apt(['install', '-y', '--no-install-recommends', ...packages])
}

const CLUSTER_CONFIG = '/etc/postgresql-common/createcluster.conf'

/** Keeps Debian's postgresql package from starting a cluster of its own on port 5432. */
export const forbidDefaultCluster = () => {
  if (!isRoot() || existsSync(CLUSTER_CONFIG)) return
  mkdirSync('/etc/postgresql-common', { recursive: true })
  writeFileSync(CLUSTER_CONFIG, 'create_main_cluster = false\n')
}
