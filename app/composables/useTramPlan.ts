import { judge } from '~~/core/judge/judge'
import {
  endOf,
  handMove,
  movesAnything,
  onlyPlane,
  planeInTurn,
  type TramMove,
} from '~~/shared/stages/tram/plan'

/** What is to be done in the step whose turn it is: by the planner where the feet are known, by hand where they are not. */
export const useTramPlan = () => {
  const job = useJob()
  const session = useSession()
  const state = computed(() => job.drum!)
  const plan = usePlanChoice()
  const plane = computed(() => planeInTurn(state.value))
  const known = computed(() => state.value.feet.untaped !== true)
  const hand = computed(() =>
    plane.value && !known.value ? handMove(state.value, plane.value, session.units) : null,
  )
  const move = computed((): TramMove | null => {
    if (!plane.value) return null
    if (hand.value) return hand.value.move
    const whole = known.value ? plan.changes(session.units) : null
    return whole && onlyPlane(whole, plane.value, session.units)
  })
  const does = computed(() => move.value !== null && movesAnything(move.value))
  const predicted = computed(() => (move.value && does.value ? endOf(state.value, move.value) : null))
  const after = computed(() =>
    predicted.value ? judge(predicted.value, state.value.tolerance, state.value.target) : null,
  )
  return {
    state,
    plan,
    plane,
    known,
    trial: computed(() => hand.value?.asked.kind === 'trial'),
    move,
    does,
    predicted,
    after,
    searching: computed(() => known.value && plan.search.state.value === 'working' && !plan.choice.value),
  }
}
