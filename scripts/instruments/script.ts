import { readFileSync } from 'node:fs'
import { z } from 'zod'
import type { BenchAct } from '../../core/practice/acts'
import type { Room } from './pages'

const line = z.object({
  /** Seconds after the line before. */
  after: z.number().min(0).max(3600),
  act: z.looseObject({ act: z.string() }),
})

/**
 * Plays a list of what hands do, one JSON object a line: `{"after": 2, "act": {"act": "turn", "by": 90}}`. The same
 * list moves the same machine the same way.
 */
export const playScript = async (room: Room, file: string): Promise<void> => {
  const lines = readFileSync(file, 'utf8')
    .split('\n')
    .filter((text) => text.trim() !== '')
    .map((text) => line.parse(JSON.parse(text)))
  for (const { after, act } of lines) {
    await new Promise((resolve) => setTimeout(resolve, after * 1000))
    const refused = await room.bench.do(act as unknown as BenchAct)
    if (refused) process.stderr.write(`${act.act}: ${refused}\n`)
  }
}
