import { connect, type Socket } from 'node:net'

export type Heard = Record<string, unknown>

/** The end of a line at which an instrument speaks, as a stranger would write one in an evening. */
export class LineTalker {
  readonly heard: Heard[] = []
  ended = false
  #rest = ''
  readonly #waiting: (() => void)[] = []

  private constructor(private readonly socket: Socket) {
    socket.setEncoding('utf8')
    socket.on('data', (text: string) => {
      const lines = (this.#rest + text).split('\n')
      this.#rest = lines.pop() ?? ''
      for (const line of lines) this.heard.push(JSON.parse(line) as Heard)
      this.#wake()
    })
    socket.on('close', () => {
      this.ended = true
      this.#wake()
    })
    socket.on('error', () => null)
  }

  static call = (port: number): Promise<LineTalker> =>
    new Promise((resolve, reject) => {
      const socket = connect({ host: '127.0.0.1', port, noDelay: true }, () =>
        resolve(new LineTalker(socket)),
      )
      socket.once('error', reject)
    })

  #wake() {
    for (const woken of this.#waiting.splice(0)) woken()
  }

  say(line: unknown): boolean {
    return this.socket.write(`${typeof line === 'string' ? line : JSON.stringify(line)}\n`)
  }
  /** Bytes as they are, without an end of line. */
  raw(bytes: string): void {
    this.socket.write(bytes)
  }
  hangUp(): void {
    this.socket.destroy()
  }

  /** The first thing heard that fits; fails after a while. */
  async hear(fits: (heard: Heard) => boolean, ms = 5000): Promise<Heard> {
    const until = Date.now() + ms
    for (;;) {
      const found = this.heard.find(fits)
      if (found) return found
      if (Date.now() > until) throw new Error(`Not heard: ${JSON.stringify(this.heard)}`)
      await Promise.race([
        new Promise<void>((woken) => this.#waiting.push(woken)),
        new Promise((late) => setTimeout(late, 100)),
      ])
    }
  }
  async end(ms = 5000): Promise<void> {
    const until = Date.now() + ms
    while (!this.ended && Date.now() < until) await new Promise((r) => setTimeout(r, 20))
    if (!this.ended) throw new Error('The line was not closed.')
  }
}

/** A head as it introduces itself. */
export const headHello = (more: object = {}) => ({
  hello: 1,
  kind: 'head',
  serial: 'H-0001',
  unit: 'mm',
  graduation: 0.001,
  calibrated: '2030-01-31',
  ...more,
})
