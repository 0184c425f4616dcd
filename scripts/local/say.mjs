/** Progress and trouble, in plain lines. */
export const say = (line) => process.stdout.write(`${line}\n`)

/** Thrown when a start can't go on; its message is a sentence with the remedy. */
export class Stuck extends Error {}

/** Runs main and turns a Stuck into its sentence and exit code 1. */
export const run = async (main) => {
  try {
    process.exitCode = (await main()) ?? 0
  } catch (trouble) {
    if (trouble instanceof Stuck) process.stderr.write(`\n${trouble.message}\n`)
    else if (trouble?.code === 'ENOSPC')
      process.stderr.write('\nThe disk is full. Make room and start again.\n')
    else process.stderr.write(`\n${trouble?.stack ?? trouble}\n`)
    process.exitCode = 1
  }
}

/** Runs a step and says how long it took. */
export const timed = async (label, step) => {
  const from = Date.now()
  say(`${label} ...`)
  const result = await step()
  say(`${label}: done in ${((Date.now() - from) / 1000).toFixed(1)} s`)
  return result
}
