<script setup lang="ts">
import type { FlangeState } from '~~/core/jobs/flange'
import type { Misalignment } from '~~/core/frame/planes'
import { judge } from '~~/core/judge/judge'
import { flangeDrawing } from '~~/shared/drawing/flangeClock'
import { clockwardWords } from '~~/shared/wording/directions'

/** A measured flange drawn: how it leans on the clock and from the side, and where it stands at the coupling. */
const props = defineProps<{ state: FlangeState; coupling: Misalignment }>()
const session = useSession()
const telling = useTelling()
const limits = useFlangeLimits(() => props.state)
const drawing = computed(() =>
  flangeDrawing(props.state.shape.bolts, [], props.coupling, {
    limit: limits.value.offset,
    tiltLimit: limits.value.tilt,
  }),
)
const inside = computed(() => {
  const judged = judge(props.coupling, props.state.tolerance, props.state.target).quantities
  return judged.every((q) => !q.name.startsWith('offset') || q.verdict !== 'out')
})
const tilt = computed(() => Math.hypot(props.coupling.slope.v ?? 0, props.coupling.slope.h ?? 0))
</script>

<template>
  <div class="stands">
    <FlangeClock
      :drawing="drawing"
      :units="session.units"
      :inside="inside"
      :hub="clockwardWords(coupling.offset, 'displacement', telling).split(' ')[0]"
    />
    <FlangeSide
      :tilt="tilt"
      :after="null"
      :limit="limits.tilt"
      :toward="drawing.lean?.toward ?? 0"
      :units="session.units"
      :stationary-name="String('stationaryName' in state.machine ? state.machine.stationaryName : '')"
    />
  </div>
</template>

<style scoped>
.stands {
  display: grid;
  grid-template-columns: minmax(0, 1.8fr) minmax(0, 1fr);
  gap: 16px;
  height: 390px;
}
</style>
