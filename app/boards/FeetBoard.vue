<script setup lang="ts">
import { softFootWords, verdictsWords } from '~~/shared/wording/en'
import type { UnitSystem } from '~~/core/units/unitSystem'
import type { DrawnFoot } from '~~/shared/stages/feet/drawing'
import { CORNERS, cornerKey, type Corner } from '~~/shared/stages/feet/form'
import { figure, pack } from '~~/shared/wording/figures'

/**
 * The feet from above, as the observer stands: behind the far end, looking at the coupling, which is at the
 * top; left is left. Each foot has its box where it stands, under it its pack and its rise to one scale; the
 * frame stands between them.
 */
const props = defineProps<{
  /** Row by row from the coupling end, the left foot before the right one. */
  feet: readonly DrawnFoot[]
  step: 'gaps' | 'rises'
  rises: Readonly<Record<string, string>>
  corners: Readonly<Record<string, string>>
  faults: Readonly<Record<string, string>>
  locked: boolean
  stationaryName: string
  farName: string
  units: UnitSystem
}>()
const emit = defineEmits<{
  enter: [key: string]
  'update:rise': [key: string, text: string]
  'update:corner': [key: string, text: string]
}>()
const words = useWords()
const w = softFootWords(words)
const verdicts = verdictsWords(words)
const map = useTemplateRef<HTMLElement>('map')
const boxes = (inside: string) => [
  ...(map.value?.querySelectorAll<HTMLInputElement>(`${inside} input`) ?? []),
]
defineExpose({
  focus: (key: string) => boxes(`[data-foot="${key}"]`)[0]?.focus(),
  /** Goes to the corner after the one that is being typed; false behind the last. */
  focusNextCorner: () => {
    const all = boxes('.corners')
    const next = all[all.findIndex((box) => box === document.activeElement) + 1]
    next?.focus()
    return next !== undefined
  },
})

const short = (f: DrawnFoot) => f.name || f.place
const d = (x: number) => figure(x, 'displacement', props.units)
/** The tallest pack with its rise, for the one scale of all. */
const tallest = computed(() =>
  Math.max(
    0.4,
    ...props.feet.map(
      (f) => [...f.pack, ...f.putIn].reduce((s, t) => s + t, 0) + Math.max(f.rise ?? 0, f.before ?? 0),
    ),
  ),
)
const colour = { in: '#58D3BE', edge: '#F0C060', out: '#FF8FA3' } as const
const shims = (f: DrawnFoot) =>
  f.putIn.length > 0
    ? w.view.goesIn(pack(f.putIn, props.units))
    : f.takenOut.length > 0
      ? w.view.comesOut(pack(f.takenOut, props.units))
      : ''
const otherEnd = useOtherEnd()
const seen = useRowsSeen()
const rows = computed(() => seen(props.feet))
const cornersOf = (f: DrawnFoot): readonly Corner[] => {
  const corners = f.left
    ? CORNERS
    : (['inboardInner', 'inboardOuter', 'outboardInner', 'outboardOuter'] as const)
  return seen(corners)
}
const ends = computed(() => {
  const machine = props.stationaryName.toLowerCase()
  return otherEnd
    ? { top: w.view.farEndOver(props.farName), bottom: w.view.standHere(machine) }
    : { top: `${machine} · ${w.view.couplingEnd}`, bottom: w.view.farEnd(props.farName) }
})
</script>

<template>
  <div ref="map" class="map" :class="step">
    <p class="way">{{ ends.top }}</p>
    <div class="frame"><slot /></div>
    <div
      v-for="f in rows"
      :key="f.key"
      class="foot"
      :class="f.left === otherEnd ? 'right' : 'left'"
      :data-foot="f.key"
      role="group"
      :aria-label="f.name ? w.name(f.name, f.place) : f.place"
    >
      <h3>
        <strong v-if="f.name">{{ f.name }}</strong> {{ f.place }}
        <span class="ordinal">{{ w.view.ordinals[f.order] }}</span>
      </h3>
      <template v-if="step === 'rises'">
        <NumberBox
          :model-value="rises[f.key] ?? ''"
          :label="w.view.rise(short(f))"
          hide-label
          measure="displacement"
          :units="units"
          on-dye
          big
          :disabled="locked"
          :note="faults[f.key] ?? ''"
          :note-is-fault="f.key in faults"
          @update:model-value="emit('update:rise', f.key, $event)"
          @enter="emit('enter', f.key)"
        />
        <p class="mark">
          <template v-if="f.mark"
            ><VerdictMark :mark="f.mark" on-dye />
            <span :style="{ color: colour[f.mark] }">{{ verdicts[f.mark] }}</span></template
          >
          <span v-if="f.before !== null" class="dim figure">{{ w.view.before(d(f.before)) }}</span>
        </p>
      </template>
      <div v-else class="corners">
        <NumberBox
          v-for="c in cornersOf(f)"
          :key="c"
          :model-value="corners[cornerKey(f.key, c)] ?? ''"
          :label="w.view.corner(short(f), w.view.corners[c])"
          hide-label
          measure="displacement"
          :units="units"
          on-dye
          :disabled="locked"
          :note="faults[cornerKey(f.key, c)] ?? ''"
          :note-is-fault="cornerKey(f.key, c) in faults"
          @update:model-value="emit('update:corner', cornerKey(f.key, c), $event)"
          @enter="emit('enter', f.key)"
        />
      </div>
      <div v-if="step === 'rises'" class="pack">
        <LeafStack
          :pack="f.pack"
          :put-in="f.putIn"
          :taken-out="f.takenOut"
          :tallest="tallest"
          :rise="f.rise"
          :before="f.before"
          :sole="f.mark ? colour[f.mark] : undefined"
        />
        <p>
          <span class="dim figure">{{ pack(f.pack, units) }}</span>
          <span v-if="f.gap !== null" class="gap figure">{{ w.view.gapFelt(d(f.gap)) }}</span>
          <strong v-if="shims(f)" class="wants">{{ shims(f) }}</strong>
        </p>
      </div>
    </div>
    <p class="way">{{ ends.bottom }}</p>
  </div>
</template>

<style scoped>
.map {
  flex: 1;
  display: grid;
  grid-template-columns: minmax(0, 1.05fr) minmax(110px, 0.8fr) minmax(0, 1.05fr);
  grid-auto-rows: auto;
  gap: 8px 22px;
  align-content: space-evenly;
}
.way {
  grid-column: 1 / -1;
  text-align: center;
  color: var(--scribe-dim);
  font-size: 14px;
}
.frame {
  grid-column: 2;
  grid-row: 2 / span 2;
  align-self: center;
  height: 100%;
}
.frame :deep(svg) {
  width: 100%;
  height: 100%;
  max-height: 460px;
}
.foot {
  min-width: 0;
  align-self: center;
}
.foot.left {
  grid-column: 1;
}
.foot.right {
  grid-column: 3;
}
h3 {
  display: flex;
  gap: 8px;
  align-items: baseline;
  font-size: 15px;
  font-weight: 400;
  color: var(--scribe-dim);
}
h3 strong {
  font-size: 19px;
  color: #fff;
}
.ordinal {
  margin-left: auto;
  border: 1px solid var(--scribe-dim);
  border-radius: 16px;
  padding: 1px 9px;
  font-size: 13px;
}
.mark {
  display: flex;
  gap: 8px;
  align-items: center;
  min-height: 26px;
  font-size: 15px;
  flex-wrap: wrap;
  white-space: nowrap;
}
.mark .dim {
  margin-left: auto;
}
.dim {
  color: var(--scribe-dim);
}
.corners {
  display: grid;
  grid-template-columns: 1fr 1fr;
  gap: 6px;
}
.pack {
  display: grid;
  grid-template-columns: minmax(64px, 104px) minmax(0, 1fr);
  gap: 10px;
  align-items: end;
  margin-top: 6px;
}
.pack svg {
  width: 100%;
  height: 104px;
}
.pack p {
  display: grid;
  font-size: 14px;
  overflow-wrap: anywhere;
}
.gaps {
  grid-template-columns: minmax(0, 1fr) minmax(120px, 170px) minmax(0, 1fr);
}
.gap {
  color: var(--scribe);
}
.wants {
  color: var(--brass-on-dye);
  font-size: 17px;
}
@media (max-height: 790px) {
  .pack svg {
    height: 64px;
  }
}
@media (max-width: 640px) {
  .map {
    grid-template-columns: minmax(0, 1fr) minmax(0, 1fr);
    gap: 10px 12px;
  }
  .frame {
    display: none;
  }
  .foot {
    align-self: start;
  }
  .foot.left {
    grid-column: 1;
  }
  .foot.right {
    grid-column: 2;
  }
  .pack {
    grid-template-columns: 1fr;
    gap: 2px;
  }
}
</style>
