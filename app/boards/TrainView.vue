<script setup lang="ts">
import type { TrainView as Laid } from '~~/shared/drawing/trainView'
import type { CouplingTold, MachineTold } from '~~/shared/stages/trainPlan/told'

/** One view of a line: bodies sheared with their axes, a gate at every coupling, brass where something moves. Plain values in. */
const props = defineProps<{
  view: Laid
  title: string
  note: string
  machines: readonly MachineTold[]
  couplings: readonly CouplingTold[]
}>()
const TONES = { in: '#58D3BE', edge: '#E9C46A', out: '#FF8FA3', unknown: '#A3AEE0' } as const
const drawn = computed(() =>
  props.view.machines.map((m) => ({ ...m, told: props.machines.find((t) => t.id === m.id)! })),
)
const gates = computed(() =>
  props.view.couplings.map((c) => ({ ...c, told: props.couplings.find((t) => t.id === c.id)! })),
)
const path = (p: readonly { x: number; y: number }[]) =>
  `M${p.map((q) => `${q.x.toFixed(1)} ${q.y.toFixed(1)}`).join('L')}`
const moved = (a: { y: number }, b: { y: number }) => Math.abs(a.y - b.y) > 1.5
/** Names keep to their own machine, and inside the sheet. */
const centre = (m: { left: number; right: number }) =>
  Math.min(Math.max((m.left + m.right) / 2, 62), props.view.width - 62)
/** Figures keep inside the sheet, clear of the names above and of what is done below. */
const least = computed(() => (props.view.plane === 'v' ? 62 : 24))
const inside = (y: number) => Math.min(Math.max(y, least.value), props.view.height - 66)
const textX = (x: number) => Math.min(Math.max(x, 66), props.view.width - 66)
const labels = computed(() =>
  gates.value.map((c) => {
    const low = c.now > c.ground
    const changes = Math.abs(c.now - c.after) > 1.5 || c.told.now !== c.told.after
    const top = Math.min(c.gate?.top ?? c.ground, c.ground, c.after, ...(low ? [] : [c.now]))
    const bottom = Math.max(c.gate?.bottom ?? c.ground, c.ground, c.after, ...(low ? [c.now] : []))
    const clear = {
      top: Math.min(c.gate?.top ?? c.ground, c.after),
      bottom: Math.max(c.gate?.bottom ?? c.ground, c.after),
    }
    return {
      ...c,
      at: textX(c.x),
      // As found beside its dot, away from the gate; where it ends on the other side of the gate.
      found: changes
        ? inside(low ? Math.max(c.now + 24, clear.bottom + 20) : Math.min(c.now - 12, clear.top - 8))
        : null,
      ends: inside(changes ? (low ? clear.top - 28 : clear.bottom + 20) : low ? bottom + 20 : top - 28),
    }
  }),
)
</script>

<template>
  <figure class="line">
    <figcaption>
      <b>{{ title }}</b> <span>{{ note }}</span>
    </figcaption>
    <svg :viewBox="`0 0 ${view.width} ${view.height}`" role="img" :aria-label="title">
      <path :d="`M0 ${view.zero}H${view.width}`" stroke="#6A74BE" stroke-dasharray="2 5" />
      <g v-for="m in drawn" :key="m.id">
        <path
          :d="m.body"
          :fill="m.told.held ? 'none' : '#2A2F6E'"
          :stroke="m.told.held ? '#A3AEE0' : '#4B57B4'"
        />
        <path :d="path(m.now)" stroke="#FFFFFF" stroke-width="2.4" />
        <path
          v-if="m.told.moves"
          :d="path(m.after)"
          stroke="#FFFFFF"
          stroke-width="2"
          stroke-dasharray="8 5"
        />
        <g v-for="f in m.feet" :key="f.id">
          <path
            v-if="moved(f.now, f.after)"
            :d="`M${f.now.x} ${f.now.y}V${f.after.y}`"
            stroke="#E0B04A"
            stroke-width="2.2"
          />
          <path
            v-if="moved(f.now, f.after)"
            :d="
              f.after.y < f.now.y
                ? `M${f.after.x - 6} ${f.after.y + 9}h12l-6 -10z`
                : `M${f.after.x - 6} ${f.after.y - 9}h12l-6 10z`
            "
            fill="#E0B04A"
          />
          <circle :cx="f.now.x" :cy="f.now.y" r="7" fill="#1F2358" stroke="#FFFFFF" stroke-width="2" />
        </g>
      </g>
      <g v-for="c in gates" :key="c.id">
        <path
          v-if="c.gate"
          :d="`M${c.x - 9} ${c.gate.top}h18m-9 0v-8M${c.x - 9} ${c.gate.bottom}h18m-9 0v8`"
          :stroke="TONES[c.told.afterVerdict]"
          stroke-width="2.2"
          fill="none"
        />
        <circle :cx="c.x" :cy="c.now" r="5" :fill="TONES[c.told.nowVerdict]" />
        <circle
          v-if="Math.abs(c.now - c.after) > 1.5"
          :cx="c.x"
          :cy="c.after"
          r="4"
          fill="none"
          :stroke="TONES[c.told.afterVerdict]"
          stroke-width="2"
        />
      </g>
      <g paint-order="stroke" stroke="#1F2358" stroke-width="5" font-size="14" text-anchor="middle">
        <g v-for="c in labels" :key="c.id">
          <text
            v-if="c.found !== null"
            :x="c.at"
            :y="c.found"
            :fill="TONES[c.told.nowVerdict]"
            class="figure"
          >
            {{ c.told.now }}
          </text>
          <text :x="c.at" :y="c.ends" :fill="TONES[c.told.afterVerdict]" class="figure">
            {{ c.told.after }}
          </text>
          <text :x="c.at" :y="c.ends + 17" fill="#A3AEE0" font-size="13">{{ c.told.limit }}</text>
        </g>
        <g v-for="m in drawn" :key="m.id">
          <template v-if="view.plane === 'v'">
            <text :x="centre(m)" y="18" fill="#FFFFFF" font-weight="700" font-size="16">
              {{ m.told.name }}
            </text>
            <text :x="centre(m)" y="37" :fill="m.told.moves ? '#E0B04A' : '#A3AEE0'">{{ m.told.note }}</text>
          </template>
          <g v-for="f in m.feet" :key="f.id">
            <template v-if="m.told.done[f.id]?.figure">
              <text :x="f.now.x" :y="view.height - 26" fill="#E0B04A" class="figure big">
                {{ m.told.done[f.id]!.figure }}
              </text>
              <text :x="f.now.x" :y="view.height - 7" fill="#DCE3FF" font-size="13">
                {{ m.told.done[f.id]!.words }}
              </text>
            </template>
          </g>
        </g>
      </g>
    </svg>
  </figure>
</template>

<style scoped>
.line {
  margin: 0;
}
figcaption {
  display: flex;
  flex-wrap: wrap;
  justify-content: space-between;
  gap: 2px 12px;
  color: var(--scribe-dim);
  font-size: 14px;
}
figcaption b {
  color: #fff;
  font-size: 16px;
}
svg {
  display: block;
  width: 100%;
}
.figure {
  font-family: var(--figures, monospace);
  font-weight: 700;
  font-size: 16px;
}
.big {
  font-size: 17px;
}
</style>
