import type { StageId } from '~~/core/jobs/jobs'

/**
 * What is in hand at the bench: what a stage usually wants as it comes into view, else what was in hand before. Whoever
 * reaches for a tool wants to see it, so the bench unfolds.
 */
export const useBenchMode = <M extends string>(
  stage: () => StageId,
  usual: Readonly<Partial<Record<StageId, M>>>,
  first: M,
  folded: Ref<boolean>,
): Ref<M> => {
  const mode = ref(usual[stage()] ?? first) as Ref<M>
  watch(mode, () => (folded.value = false))
  watch(stage, (now) => {
    const wanted = usual[now]
    if (wanted) mode.value = wanted
  })
  return mode
}
