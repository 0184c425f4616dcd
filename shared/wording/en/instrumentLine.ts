import type { Refusal } from '../../instruments/protocol'

/** What the program says over the line to an instrument, and about its places where it can't do what was asked. */
export const instrumentLine = {
  refused: {
    'bad-hello': 'The first line must be a hello as docs/instruments.md describes it.',
    'unknown-code':
      'That pairing code is not known here, or no longer holds. Have the job show a new one and type that.',
    'unknown-key': 'This instrument was released. Pair it again with a code that the job shows.',
    'wrong-kind': 'Another kind of instrument is awaited at that place. Pair it where its kind is asked for.',
    released: 'This instrument was released from the job.',
    'too-many': 'Too many tries or lines from here. Wait a minute, then try again.',
    flood: 'Far too many lines a second. Wait ten seconds, then come back with 20 a second.',
    garbage: 'Too many lines that can’t be read. Look at docs/instruments.md and come back.',
    silent: 'Nothing was heard for half a minute.',
    elsewhere: 'The same instrument has come back over another line.',
  } satisfies Record<Refusal, string>,
  notJson: 'That line is not JSON. Send one object a line.',
  tooLong: (bytes: number) => `That line is longer than ${bytes} bytes and was left out.`,
  tooFast: (most: number) => `More than ${most} samples a second: what was too much is left out.`,
  backInTime: 'The time of this sample lies before the one before it. It was left out.',
  jobClosed: 'This job is closed: nothing is measured in it any more.',
  tooManyAtJob: (most: number) => `A job takes ${most} instruments. Release one first.`,
  notThere: 'There is no such instrument at this job. Look at the list again.',
  noSwap: 'These two can’t change places: both need an instrument that fits at either.',
}
