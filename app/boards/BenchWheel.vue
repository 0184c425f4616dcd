<script setup lang="ts">
/** The coupling as one takes hold of it: dragged round, or turned by the arrow keys. Degrees, clockwise positive. */
const props = defineProps<{
  /** Turned since the start. */
  turned: number
  label: string
  /** Where the dials stand, in words. */
  told: string
  /** 3 and 9 are marked the wrong way round on the guard. */
  swapped?: boolean
  disabled?: boolean
}>()
const emit = defineEmits<{ turning: [by: number]; turned: [by: number] }>()

const HOURS = [
  { at: 0, text: '12' },
  { at: 90, text: '3' },
  { at: 180, text: '6' },
  { at: 270, text: '9' },
]
const marks = computed(() =>
  HOURS.map(({ at, text }) => {
    const a = (at * Math.PI) / 180
    const shown = props.swapped && (text === '3' || text === '9') ? (text === '3' ? '9' : '3') : text
    return { text: shown, x: 90 + 56 * Math.sin(a), y: 95 - 56 * Math.cos(a) }
  }),
)
/** A hand that lets go near a quarter means it. */
const NEAR = 9
const settled = (by: number): number => {
  const to = props.turned + by
  const quarter = Math.round(to / 90) * 90
  return Math.abs(to - quarter) <= NEAR ? quarter - props.turned : Math.round(by)
}

const svg = useTemplateRef<SVGSVGElement>('svg')
const held = ref<{ last: number; by: number } | null>(null)
const angleOf = (e: PointerEvent): number => {
  const box = svg.value?.getBoundingClientRect()
  if (!box) return 0
  const [x, y] = [e.clientX - box.left - box.width / 2, e.clientY - box.top - box.height / 2]
  return (Math.atan2(x, -y) * 180) / Math.PI
}
const take = (e: PointerEvent) => {
  if (props.disabled) return
  svg.value?.setPointerCapture(e.pointerId)
  held.value = { last: angleOf(e), by: 0 }
}
const drag = (e: PointerEvent) => {
  if (!held.value) return
  const now = angleOf(e)
  let step = now - held.value.last
  if (step > 180) step -= 360
  if (step < -180) step += 360
  held.value = { last: now, by: held.value.by + step }
  emit('turning', held.value.by)
}
const letGo = () => {
  const by = held.value ? settled(held.value.by) : 0
  held.value = null
  if (by !== 0) emit('turned', by)
}
const key = (e: KeyboardEvent) => {
  if (props.disabled) return
  const by = { ArrowRight: 15, ArrowUp: 15, ArrowLeft: -15, ArrowDown: -15, PageUp: 90, PageDown: -90 }[e.key]
  if (by === undefined) return
  e.preventDefault()
  e.stopPropagation()
  emit('turned', by)
}
const shownAngle = computed(() => props.turned + (held.value?.by ?? 0))
</script>

<template>
  <svg
    ref="svg"
    viewBox="0 0 180 180"
    class="wheel"
    :class="{ held, off: disabled }"
    role="slider"
    tabindex="0"
    :aria-label="label"
    :aria-valuenow="Math.round(((turned % 360) + 360) % 360)"
    aria-valuemin="0"
    aria-valuemax="360"
    :aria-valuetext="told"
    :aria-disabled="disabled"
    @pointerdown="take"
    @pointermove="drag"
    @pointerup="letGo"
    @pointercancel="letGo"
    @keydown="key"
  >
    <circle cx="90" cy="90" r="82" fill="none" stroke="#4A52A0" stroke-width="2" />
    <circle cx="90" cy="90" r="70" fill="#15183F" stroke="#DCE3FF" stroke-width="2" />
    <g class="figure" font-size="16" fill="#C3CBF2" text-anchor="middle">
      <text v-for="m in marks" :key="m.text" :x="m.x" :y="m.y">{{ m.text }}</text>
    </g>
    <g :transform="`rotate(${shownAngle} 90 90)`">
      <circle cx="90" cy="90" r="38" fill="none" stroke="#6670BE" stroke-width="2" />
      <circle
        v-for="i in 6"
        :key="i"
        cx="90"
        cy="60"
        r="5"
        fill="#2A2F78"
        stroke="#6670BE"
        :transform="`rotate(${i * 60} 90 90)`"
      />
      <path d="M86 52h8v10h-8z" fill="#DCE3FF" />
      <circle cx="90" cy="9" r="8.5" fill="#15183F" stroke="#E0B04A" stroke-width="3" />
    </g>
  </svg>
</template>

<style scoped>
.wheel {
  display: block;
  width: 100%;
  cursor: grab;
  touch-action: none;
}
.wheel.held {
  cursor: grabbing;
}
.wheel.off {
  cursor: not-allowed;
  opacity: 0.5;
}
</style>
