/** Tables of the works of which one holds for each name: listed, opened in their form, put to hold or taken out. */
export const useKeptTables = <
  Table extends { readonly id: string; readonly version: number },
  Texts extends object,
>(of: {
  readonly address: '/api/limits' | '/api/sections' | '/api/belt-limits'
  readonly holds: (table: Table) => boolean
  /** The same table, holding or not. */
  readonly held: (table: Table, on: boolean) => object
  readonly blank: () => Texts
}) => {
  const { data, failure, load } = useAnswer<readonly Table[]>(() => of.address)
  const tables = computed(() => data.value ?? [])
  const holding = computed(() => tables.value.filter(of.holds))
  const editing = ref(false)
  const importing = ref(false)
  const later = useLater(editing, importing)
  const known = shallowRef<Table | null>(null)
  const begin = shallowRef<Texts>(of.blank())
  const edit = (texts: Texts, table: Table | null = null) => {
    begin.value = texts
    known.value = table
    editing.value = true
  }
  /** Why the last one could not be changed; empty when it was. */
  const refused = ref('')
  const hold = async (table: Table, on: boolean) => {
    refused.value = ''
    const { id, ...body } = of.held(table, on) as Table
    try {
      await askServer(`${of.address}/${id}`, { method: 'PUT', body })
    } catch (error) {
      if (!(error instanceof ApiFailure)) throw error
      refused.value = error.message
    }
    await load()
  }
  return {
    data,
    failure,
    load,
    tables,
    holding,
    editing,
    importing,
    later,
    known,
    begin,
    edit,
    refused,
    hold,
  }
}
