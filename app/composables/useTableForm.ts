import { newId } from '~/device/newId'

/**
 * A dialog that writes one table of the works or changes a known one: what stands in its boxes, what is wrong with
 * them, and the sending. What can't be read is said at once, what is missing once it was tried.
 */
export const useTableForm = <Texts extends object, Fields extends object>(of: {
  readonly shown: Ref<boolean>
  /** What the boxes begin with. */
  readonly begin: () => Texts
  /** The one that is changed; null for a new one. */
  readonly known: () => { readonly id: string; readonly version: number } | null
  readonly read: (texts: Texts) => {
    readonly fields: Fields | null
    readonly unread: Readonly<Record<string, string>>
    readonly faults: Readonly<Record<string, string>>
  }
  readonly address: '/api/limits' | '/api/sections' | '/api/belt-limits'
  readonly saved: () => void
}) => {
  const begun = () => structuredClone(toRaw(of.begin()))
  const texts = ref(begun()) as Ref<Texts>
  const tried = ref(false)
  /** A new one keeps its id over a second try. */
  const id = ref(newId())
  const { working, message, refused, clear, send } = useSending()
  useOnShown(of.shown, () => {
    texts.value = begun()
    id.value = of.known()?.id ?? newId()
    tried.value = false
    clear()
  })
  const read = computed(() => of.read(texts.value))
  const fault = (path: string): string =>
    refused.value[path] ?? (tried.value ? read.value.faults : read.value.unread)[path] ?? ''
  const save = async () => {
    tried.value = true
    const { fields } = read.value
    if (!fields) return
    const known = of.known()
    const taken = await send(() =>
      known
        ? askServer(`${of.address}/${known.id}`, {
            method: 'PUT',
            body: { ...fields, version: known.version },
          })
        : askServer(of.address, { method: 'POST', body: { ...fields, id: id.value } }),
    )
    if (!taken) return
    of.shown.value = false
    of.saved()
  }
  return { texts, fault, working, message, save }
}
