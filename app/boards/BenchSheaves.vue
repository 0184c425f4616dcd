<script setup lang="ts">
import { driveBenchWords } from '~~/shared/wording/en/driveBench'
import type { EdgeShows } from '~~/core/simulate/edgeOnSheaves'
import { otherSheave, type SheavePlace } from '~~/core/register/beltMachine'

export type BladePlace = 'referenceFar' | 'referenceNear' | 'otherNear' | 'otherFar' | 'middle'

/** Sheave faces from above with an edge across them: light shows under it where it does not touch. No digits. */
const props = defineProps<{
  edgeOn: SheavePlace
  shows: EdgeShows
  /** The edge is shifted to a mark: the gap at the other's hub is what counts. */
  shifted: boolean
  radius: Readonly<Record<SheavePlace, number>>
  centre: number
  names: Readonly<Record<SheavePlace, string>>
  at: BladePlace
}>()
const emit = defineEmits<{ pick: [place: BladePlace] }>()
const w = driveBenchWords(useWords()).edge
const W = 640
const EDGE = 52
/** Pixels a millimetre of gap, and the most that is drawn. */
const [ACROSS, MOST] = [9, 46]
const along = computed(() => (W - 60) / (props.centre + props.radius.motor + props.radius.driven))
const hub = computed(() => ({
  motor: 30 + props.radius.motor * along.value,
  driven: W - 30 - props.radius.driven * along.value,
}))
const half = (p: SheavePlace) => Math.max(34, props.radius[p] * along.value)
const depth = (gap: number) => Math.min(MOST, gap * ACROSS)
const faces = computed(() =>
  (['motor', 'driven'] as const).map((place) => {
    const under = place === props.edgeOn
    const near = under ? props.shows.reference.near : props.shows.other.near
    const far = under ? props.shows.reference.far : props.shows.other.far
    const way = place === 'motor' ? 1 : -1
    const x = hub.value[place]
    return {
      place,
      x,
      near: { x: x + way * half(place), y: EDGE + depth(near), gap: near },
      far: { x: x - way * half(place), y: EDGE + depth(far), gap: far },
    }
  }),
)
const TOUCHES = 0.05
const places = computed(() => {
  const list = faces.value.flatMap(({ place, near, far }) => {
    const under = place === props.edgeOn
    return [
      { id: (under ? 'referenceFar' : 'otherFar') as BladePlace, ...far },
      { id: (under ? 'referenceNear' : 'otherNear') as BladePlace, ...near },
    ]
  })
  const other = hub.value[otherSheave(props.edgeOn)]
  return props.shifted
    ? [
        ...list,
        {
          id: 'middle' as BladePlace,
          x: other,
          y: EDGE + depth(props.shows.middle),
          gap: props.shows.middle,
        },
      ]
    : list
})
const said = (gap: number) => (gap < TOUCHES ? w.touch : w.light)
</script>

<template>
  <svg :viewBox="`0 0 ${W} 172`" role="group" :aria-label="w.from">
    <path
      v-for="f in faces"
      :key="f.place"
      :d="`M${f.far.x} ${f.far.y}L${f.near.x} ${f.near.y}V150H${f.far.x}z`"
      fill="#2A2F6E"
      stroke="#DCE3FF"
      stroke-width="1.8"
    />
    <text
      v-for="f in faces"
      :key="`n${f.place}`"
      :x="f.x"
      y="138"
      fill="#C3CBF2"
      font-size="15"
      text-anchor="middle"
    >
      {{ names[f.place] }}
    </text>
    <path
      v-for="f in faces"
      :key="`l${f.place}`"
      :d="`M${f.far.x} ${EDGE}H${f.near.x}L${f.near.x} ${f.near.y}L${f.far.x} ${f.far.y}z`"
      fill="#F2E6BE"
      opacity="0.55"
    />
    <path :d="`M8 30H${W - 8}V${EDGE}H8z`" fill="#DCE3FF" />
    <g
      v-for="p in places"
      :key="p.id"
      role="button"
      tabindex="0"
      class="place"
      :aria-pressed="p.id === at"
      :aria-label="`${w.tryAt(w.places[p.id])}: ${said(p.gap)}`"
      @click="emit('pick', p.id)"
      @keydown.enter.prevent="emit('pick', p.id)"
      @keydown.space.prevent="emit('pick', p.id)"
    >
      <circle :cx="p.x" :cy="EDGE" r="24" fill="transparent" />
      <circle
        :cx="p.x"
        :cy="EDGE"
        r="17"
        fill="none"
        :stroke="p.id === at ? '#E0B04A' : '#FFFFFF'"
        :stroke-width="p.id === at ? 3 : 2"
        :stroke-dasharray="p.gap < TOUCHES ? undefined : '5 4'"
      />
      <text
        :x="Math.max(48, Math.min(W - 48, p.x))"
        y="18"
        fill="#FFFFFF"
        font-size="14"
        text-anchor="middle"
      >
        {{ said(p.gap) }}
      </text>
    </g>
  </svg>
</template>

<style scoped>
svg {
  display: block;
  width: 100%;
}
.place {
  cursor: pointer;
}
.place:focus-visible {
  outline: 2px solid var(--brass-on-dye);
}
</style>
