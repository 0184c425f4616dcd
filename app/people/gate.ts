/** What the server's no leads to: somebody signs in, or a second person stands by. Asked by whoever talks to the server, answered by the views. */

/** What a second person is asked to stand by. */
export interface SecondAsked {
  /** The id of an entry, or one made for a request. */
  readonly act: string
  /** The kind of entry, or the name of the route. */
  readonly what: string
  /** In words. */
  readonly about: string
  /** The person whose PIN was shown; null where nobody stood by. */
  readonly settle: (second: string | null) => void
}

/** When the device was at work last: touched, or spoken to by an instrument of the job in view. */
export const touched = { at: Date.now() }

const waiting: (() => void)[] = []

export const gate = {
  /** Who asks to be told that nobody is signed in. */
  turnedAway: () => {},
  /** Somebody else than who writes is asked for their PIN: what they wrote waits. */
  asksFor: shallowRef<string | null>(null),
  second: shallowRef<SecondAsked | null>(null),
}

/** Until somebody has signed in. */
export const untilSignedIn = (): Promise<void> => {
  gate.turnedAway()
  return new Promise((resolve) => waiting.push(resolve))
}

/** Somebody has signed in: whoever waited goes on. */
export const letIn = (): void => {
  for (const go of waiting.splice(0)) go()
}

/** Asks a second person to stand by; the id of who did, or null. */
export const askSecond = (asked: Omit<SecondAsked, 'settle'>): Promise<string | null> =>
  new Promise((settle) => {
    gate.second.value?.settle(null)
    gate.second.value = {
      ...asked,
      settle: (second) => {
        gate.second.value = null
        settle(second)
      },
    }
  })
