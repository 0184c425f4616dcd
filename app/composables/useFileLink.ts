/**
 * A link to a file that this device writes; none until it is written. What writes it is loaded once
 * `later` says so, not with the view. What `write` reads before it waits is followed: the file is written anew.
 */
export const useFileLink = (
  later: Readonly<Ref<boolean>>,
  type: 'text/csv' | 'application/json',
  write: () => Promise<string>,
): Readonly<Ref<string | undefined>> =>
  computedAsync(
    async () => (later.value ? `data:${type};charset=utf-8,${encodeURIComponent(await write())}` : undefined),
    undefined,
    { onError: () => null },
  )
