/** Rows of a table that dialogs are opened on, by name: which row is picked, and what comes behind the first dialog. */
export const usePicked = <Row, Name extends string>(dialogs: Readonly<Record<Name, Ref<boolean>>>) => {
  const picked = shallowRef<Row | null>(null)
  return {
    picked,
    /** Whether any was opened yet: what stands in them is loaded then. */
    later: useLater(...(Object.values(dialogs) as Ref<boolean>[])),
    /** Opens one on a row, or on none. */
    open: (dialog: Name, row: Row | null) => {
      picked.value = row
      dialogs[dialog].value = true
    },
  }
}
