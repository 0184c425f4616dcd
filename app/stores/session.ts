import { defineStore } from 'pinia'
import { leaveTo, type Leave, type Right } from '~~/core/logbook/may'
import type { UnitSystem } from '~~/core/units/unitSystem'
import type { SessionAnswer } from '~~/shared/people/answers'
import type { Person, Works } from '~~/shared/register/works'
import { keepCopy } from '~/device/copies'
import { gate, letIn } from '~/people/gate'

const ASK_AGAIN_MS = 2500
const SESSION = '/api/session'
const NOBODY: SessionAnswer = { current: null, known: [], first: false, note: null }

/** Who is writing on this device, in which units, by which light, and the works' own words. */
export const useSession = defineStore('session', () => {
  const units = useLocalStorage<UnitSystem>('hc.units', 'inch')
  /** Who wrote last on this device: while it is locked or out of reach, still theirs. */
  const authorId = useLocalStorage<string>('hc.author', '')
  const bay = useLocalStorage<'bright' | 'dim'>('hc.bay', 'bright')
  const people = shallowRef<readonly Person[]>([])
  const works = shallowRef<Works | null>(null)
  const device = shallowRef<SessionAnswer | null>(null)
  /** Counts who signed in: what waited for that looks at it. */
  const signedIn = ref(0)
  /** Nobody could be asked for a PIN: whoever wrote last went on. */
  const wentOn = ref(false)

  let again: ReturnType<typeof setTimeout> | null = null
  const author = computed(
    () =>
      device.value?.current ??
      people.value.find((p) => p.id === authorId.value) ??
      device.value?.known.find((p) => p.id === authorId.value) ??
      null,
  )
  /** Whether somebody may see and write; null until the server has said. */
  const entered = computed(() => device.value && (device.value.current !== null || wentOn.value))
  /** Whether who is writing may do this: alone, with a second person, or not. */
  const leave = (right: Right): Leave => (author.value ? leaveTo(author.value.role, right) : 'no')

  /** Whether who is writing may do this at all, alone or with a second person. */
  const may = (right: Right): boolean => leave(right) !== 'no'

  const take = (answer: SessionAnswer) => {
    const before = device.value?.current
    device.value = answer
    void keepCopy(SESSION, answer)
    if (!answer.current) return
    wentOn.value = false
    authorId.value = answer.current.id
    if (answer.current.id !== before?.id) signedIn.value++
    letIn()
    // A customer knows nobody here.
    if (answer.current.role !== 'customer') void meetPeople().catch(() => null)
  }
  /** Asks who is known here; while the server is away, as it was last. */
  const learn = async () => {
    try {
      take(await askKeeping<SessionAnswer>(SESSION))
    } catch {
      device.value ??= NOBODY
    }
  }
  gate.turnedAway = () => {
    if (entered.value === false) return
    wentOn.value = false
    device.value = { ...(device.value ?? NOBODY), current: null }
    void learn()
  }
  // Another tab of this device passed it on.
  watch(authorId, (id) => {
    if (device.value?.current && device.value.current.id !== id) void learn()
  })

  const post = async (path: string, body: object = {}) =>
    take(await askServer<SessionAnswer>(SESSION + path, { method: 'POST', body }))
  /** Locks the device; while the server is away nobody could unlock it, so it stays open. */
  const lock = () => post('/lock').catch(() => null)
  const goOn = () => {
    wentOn.value = true
  }

  /** Fetches who works here and by which words. */
  const meetPeople = async () => {
    const meet = async () => {
      if (people.value.length === 0) people.value = await askKeeping<readonly Person[]>('/api/people')
    }
    const know = async () => {
      works.value ??= await askKeeping<Works>('/api/works')
    }
    try {
      await Promise.all([meet(), know()])
    } catch (failure) {
      // Nothing can be signed by nobody: asked for again until they are there.
      again ??= setTimeout(() => {
        again = null
        void meetPeople().catch(() => null)
      }, ASK_AGAIN_MS)
      throw failure
    }
  }
  /** People as they are now, after one of them has changed. */
  const meetAgain = async () => {
    people.value = await askKeeping<readonly Person[]>('/api/people')
  }

  /** The works as it stands now, after its stores or rules have changed. */
  const meetWorks = async () => {
    works.value = await askKeeping<Works>('/api/works')
  }

  const personName = (id: string) => people.value.find((p) => p.id === id)?.name ?? 'Someone'
  const switchUnits = (to?: UnitSystem) => (units.value = to ?? (units.value === 'inch' ? 'metric' : 'inch'))

  return {
    units,
    authorId,
    author,
    bay,
    people,
    works,
    device,
    signedIn,
    entered,
    leave,
    may,
    learn,
    post,
    lock,
    goOn,
    meetPeople,
    meetAgain,
    meetWorks,
    personName,
    switchUnits,
  }
})
