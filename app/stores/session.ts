import { defineStore } from 'pinia'
import type { UnitSystem } from '~~/core/units/unitSystem'
import type { Person, Works } from '~~/shared/register/works'

const ASK_AGAIN_MS = 2500

/** Who is writing on this device, in which units, by which light, and the works' own words. */
export const useSession = defineStore('session', () => {
  const units = useLocalStorage<UnitSystem>('hc.units', 'inch')
  const authorId = useLocalStorage<string>('hc.author', '')
  const bay = useLocalStorage<'bright' | 'dim'>('hc.bay', 'bright')
  const people = shallowRef<readonly Person[]>([])
  const works = shallowRef<Works | null>(null)

  let again: ReturnType<typeof setTimeout> | null = null
  const author = computed(() => people.value.find((p) => p.id === authorId.value) ?? null)

  /** Fetches who works here and by which words; the first millwright is offered until someone chooses. */
  const meetPeople = async () => {
    const meet = async () => {
      if (people.value.length === 0) people.value = await askKeeping<readonly Person[]>('/api/people')
      if (!author.value)
        authorId.value = people.value.find((p) => p.role === 'millwright')?.id ?? people.value[0]?.id ?? ''
    }
    const learn = async () => {
      works.value ??= await askKeeping<Works>('/api/works')
    }
    try {
      await Promise.all([meet(), learn()])
    } catch (failure) {
      // Nothing can be signed by nobody: asked for again until they are there.
      again ??= setTimeout(() => {
        again = null
        void meetPeople().catch(() => null)
      }, ASK_AGAIN_MS)
      throw failure
    }
  }

  /** The works as it stands now, after its stores or rules have changed. */
  const meetWorks = async () => {
    works.value = await askKeeping<Works>('/api/works')
  }

  const personName = (id: string) => people.value.find((p) => p.id === id)?.name ?? 'Someone'
  const switchUnits = (to?: UnitSystem) => (units.value = to ?? (units.value === 'inch' ? 'metric' : 'inch'))

  return { units, authorId, author, bay, people, works, meetPeople, meetWorks, personName, switchUnits }
})
