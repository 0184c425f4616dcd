import { defineStore } from 'pinia'
import type { UnitSystem } from '~~/core/units/unitSystem'
import type { Person } from '~~/shared/register/works'

/** Who is writing on this device, in which units, by which light. */
export const useSession = defineStore('session', () => {
  const units = useLocalStorage<UnitSystem>('hc.units', 'inch')
  const authorId = useLocalStorage<string>('hc.author', '')
  const bay = useLocalStorage<'bright' | 'dim'>('hc.bay', 'bright')
  const people = shallowRef<readonly Person[]>([])

  const author = computed(() => people.value.find((p) => p.id === authorId.value) ?? null)

  /** Fetches who works here; the first one is offered until someone chooses. */
  const meetPeople = async () => {
    if (people.value.length === 0) people.value = await askServer<readonly Person[]>('/api/people')
    if (!author.value)
      authorId.value = people.value.find((p) => p.role === 'millwright')?.id ?? people.value[0]?.id ?? ''
  }

  const personName = (id: string) => people.value.find((p) => p.id === id)?.name ?? 'Someone'
  const switchUnits = (to?: UnitSystem) => (units.value = to ?? (units.value === 'inch' ? 'metric' : 'inch'))

  return { units, authorId, author, bay, people, meetPeople, personName, switchUnits }
})
