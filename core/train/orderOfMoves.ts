/** One step of moving a train: this machine, and the couplings that are settled once it is done. */
export interface TrainStep {
  readonly machine: string
  /** Neither of their machines is moved after this step. By number from the first machine on. */
  readonly settles: readonly number[]
}

/**
 * Machines in an order that never undoes the last: from those that stay outward, so that every move
 * settles the coupling to a neighbour that is moved no more. Where every machine moves it begins at
 * the driven end. `machines` in order along the train, `moved` those that a plan moves.
 * Source: docs/methods/train-plan.md.
 */
export const orderOfMoves = (
  machines: readonly string[],
  moved: ReadonlySet<string>,
): readonly TrainStep[] => {
  const still = machines.flatMap((m, i) => (moved.has(m) ? [] : [i]))
  const roots = still.length > 0 ? still : [-1]
  const away = (i: number) => Math.min(...roots.map((r) => Math.abs(r - i)))
  const order = machines
    .flatMap((m, i) => (moved.has(m) ? [{ m, i }] : []))
    .sort((a, b) => away(a.i) - away(b.i) || a.i - b.i)
  const done = new Set(still)
  return order.map(({ m, i }) => {
    done.add(i)
    // Coupling number c joins machines c and c + 1.
    const settles = [i - 1, i].filter(
      (c) => c >= 0 && c + 1 < machines.length && done.has(c) && done.has(c + 1),
    )
    return { machine: m, settles }
  })
}
