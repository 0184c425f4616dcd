<script setup lang="ts">
import { pushingWords } from '~~/shared/wording/en'
import type { DrawnEnd } from '~~/shared/stages/move/pushDrawing'
import { fromFarEnd } from '~~/shared/stages/plan/packs'
import { RULER } from '~~/shared/stages/move/pushDrawing'
import { hourOf } from '~~/shared/wording/directions'
import { figure, UNIT_NAMES } from '~~/shared/wording/figures'
import { capital } from '~~/shared/wording/capital'
import { pairName, type Telling } from '~~/shared/wording/telling'

/**
 * The movable machine from above while it is pushed: at each end what is still to go, large, on a ruler
 * whose mark slides as the machine does; at its feet the screw to slacken and the one to push.
 */
const props = defineProps<{
  /** Of each machine, from the coupling outward. */
  ends: readonly DrawnEnd[]
  texts: Readonly<Record<string, string>>
  faults: Readonly<Record<string, string>>
  locked: boolean
  telling: Telling
}>()
const emit = defineEmits<{ enter: []; 'update:text': [pair: string, text: string] }>()
const w = computed(() => pushingWords(props.telling.words))
const unit = computed(() => UNIT_NAMES[props.telling.units].displacement)
const d = (x: number) => figure(Math.abs(x), 'displacement', props.telling.units)
/** How far a bolt can go in its hole as it is drawn. */
const HOLE = 40
const seen = useRowsSeen()
const rows = computed(() =>
  seen(fromFarEnd(props.ends)).map((e) => {
    const turned = hourOf(1, props.telling) === '9'
    const x = (at: number) => (turned ? RULER - at : at)
    const name = capital(pairName(props.telling, e))
    const past = e.left < 0 && !e.there
    const hour = hourOf(past ? -e.way : e.way, props.telling)
    return {
      ...e,
      name,
      count: d(e.left),
      label: e.there ? w.value.there(name) : (past ? w.value.beyond : w.value.toGo)(name, unit.value, hour),
      // It is pushed from the side it comes from.
      push: (hour === '3' ? 'left' : 'right') as 'left' | 'right',
      bolt: HOLE * (turned ? 1 - e.bolt : e.bolt),
      boltEnds: HOLE * (turned ? 1 - e.boltEnds : e.boltEnds),
      zero: x(e.zero),
      mark: x(e.mark),
      from: x(e.from),
      ticks: e.ticks.map((t) => ({ ...t, at: x(t.at) })),
    }
  }),
)
/** On a phone the counts alone: the ledger names the screws. */
const narrow = useMediaQuery('(max-width: 640px)')
const brass = '#E0B04A'
/** As they are called by whoever looks, from either end. */
const HOURS = { left: '9', right: '3' }
</script>

<template>
  <div class="push">
    <section v-for="e in rows" :key="e.key" class="end" :class="{ turn: e.turn }" :aria-label="e.label">
      <h3>{{ e.label }}</h3>
      <svg
        :viewBox="narrow ? '136 0 388 128' : '0 0 660 128'"
        role="img"
        :aria-label="`${e.label}: ${e.count}`"
      >
        <g v-for="side in ['left', 'right'] as const" :key="side">
          <g :transform="side === 'left' ? '' : 'translate(660 0) scale(-1 1)'" fill="none">
            <g v-if="!e.there" :stroke="e.turn ? brass : '#8F9AD6'" stroke-width="1.6">
              <rect x="2" y="40" width="12" height="26" />
              <path d="M14 47h44M14 59h44" />
              <path d="M18 47l6 12M28 47l6 12M38 47l6 12M48 47l6 12" />
            </g>
            <rect x="62" y="30" width="76" height="46" rx="4" stroke="#8F9AD6" />
            <rect x="74" y="46" width="52" height="15" rx="7.5" fill="#12163F" stroke="#C9D0F5" />
          </g>
          <g :transform="`translate(${side === 'left' ? 80 : 540} 53.5)`" fill="none">
            <circle :cx="e.bolt" r="5.5" stroke="#FFFFFF" stroke-width="1.6" />
            <circle
              v-if="!e.there"
              :cx="e.boltEnds"
              r="5.5"
              :stroke="e.turn ? brass : '#C9D0F5'"
              stroke-width="1.4"
              stroke-dasharray="2 2"
            />
          </g>
          <text
            v-if="!e.there"
            :x="side === 'left' ? 2 : 658"
            y="28"
            :text-anchor="side === 'left' ? 'start' : 'end'"
            class="say"
            :class="{ now: e.turn }"
          >
            {{ e.push === side ? w.push : w.slacken }}
          </text>
        </g>
        <text x="330" y="66" text-anchor="middle" class="count" :class="{ now: e.turn, there: e.there }">
          {{ e.count }}
        </text>
        <g :transform="`translate(${330 - RULER / 2} 104)`">
          <path :d="`M0 0H${RULER}`" stroke="#8F9AD6" />
          <g v-for="t in e.ticks" :key="t.label">
            <path :d="`M${t.at} 0v-7`" stroke="#8F9AD6" />
            <text :x="t.at" y="18" text-anchor="middle" class="tick">{{ t.label }}</text>
          </g>
          <path :d="`M${e.zero} 4v-22`" stroke="#58D3BE" stroke-width="3" />
          <path
            v-if="e.from !== e.mark"
            :d="`M${e.from} -4H${e.mark}`"
            stroke="#C9D0F5"
            stroke-dasharray="3 3"
          />
          <path :d="`M${e.mark} -2l-8 -16h16z`" :fill="e.turn ? brass : '#FFFFFF'" />
          <text :x="-12" y="4" text-anchor="end" class="hour">{{ HOURS.left }}</text>
          <text :x="RULER + 12" y="4" class="hour">{{ HOURS.right }}</text>
        </g>
        <text x="100" y="94" text-anchor="middle" class="tick">
          {{ e.push === 'right' ? w.room(d(e.room)) : '' }}
        </text>
        <text x="560" y="94" text-anchor="middle" class="tick">
          {{ e.push === 'left' ? w.room(d(e.room)) : '' }}
        </text>
      </svg>
      <div class="box">
        <NumberBox
          :model-value="texts[e.key] ?? ''"
          :label="w.countNow(e.name)"
          measure="displacement"
          :units="telling.units"
          signed
          big
          on-dye
          :disabled="locked"
          :note="faults[e.key]"
          :note-is-fault="faults[e.key] !== undefined"
          @update:model-value="emit('update:text', e.key, $event)"
          @enter="emit('enter')"
        />
      </div>
    </section>
  </div>
</template>

<style scoped>
.push {
  display: grid;
  gap: 4px;
}
.end {
  display: grid;
  grid-template-columns: minmax(0, 1fr) 140px;
  gap: 0 14px;
  align-items: center;
  border-top: 1px solid var(--dye-line);
  padding-top: 6px;
}
h3 {
  grid-column: 1;
  text-align: center;
  font-size: 15px;
  color: var(--scribe);
}
.turn h3 {
  color: var(--brass-on-dye);
}
svg {
  grid-column: 1;
  width: 100%;
  max-height: 160px;
}
.box {
  grid-column: 2;
  grid-row: 1 / 3;
}
.box :deep(label) {
  color: var(--scribe-dim);
}
.count {
  font-family: var(--figures);
  font-size: 68px;
  font-weight: 700;
  fill: #dfe3ff;
  letter-spacing: -3px;
}
.count.now {
  fill: var(--brass-on-dye);
}
.count.there {
  fill: #58d3be;
}
.say,
.hour,
.tick {
  font-size: 14px;
  fill: var(--scribe);
}
.tick {
  fill: var(--scribe-dim);
  font-size: 13px;
}
.say.now {
  fill: var(--brass-on-dye);
  font-weight: 700;
}
@media (max-width: 640px) {
  .end {
    grid-template-columns: minmax(0, 1fr);
  }
  .box {
    grid-column: 1;
    grid-row: auto;
  }
}
</style>
