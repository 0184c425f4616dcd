<script setup lang="ts">
import { directionsWords, roughInWords, verdictsWords } from '~~/shared/wording/en'
import type { Plane } from '~~/core/frame/planes'
import type { UnitSystem } from '~~/core/units/unitSystem'
import type { DrawnHubs } from '~~/shared/stages/roughIn/drawing'
import { placesOf } from '~~/shared/stages/roughIn/drawing'
import { placeKey, type Quarter, type RoughTexts } from '~~/shared/stages/roughIn/form'
import { hourName } from '~~/shared/wording/directions'

/** The hubs in one plane, with a box where each feeler goes in: between the faces, and under the straightedge. */
const props = defineProps<{
  plane: Plane
  hubs: DrawnHubs
  texts: RoughTexts
  faults: Readonly<Record<string, string>>
  notes: Readonly<Record<string, string>>
  units: UnitSystem
  locked: boolean
  stationaryName: string
  movableName: string
  dim?: boolean
  /** What was found: `38 mil low`, and how it is judged. */
  found: string
  opens: string
  mark: 'in' | 'edge' | 'out' | null
}>()
const emit = defineEmits<{
  figure: [key: string, text: string]
  went: [key: string, went: 'in' | 'stops']
  lies: [clock: Quarter, on: 'stationary' | 'movable']
  enter: [key: string]
}>()
const words = useWords()
const roughIn = roughInWords(words)
const verdicts = verdictsWords(words)
const directions = directionsWords(words)
const w = roughIn.view
const telling = useTelling()
const places = computed(() => placesOf(props.plane))
const steps = computed(
  () => (props.texts.four ? places.value : places.value.slice(0, 1)) as readonly Quarter[],
)
const hour = (clock: number) => hourName(clock, telling.value)
const note = (key: string) => props.faults[key] ?? props.notes[key] ?? ''
const boxes = useTemplateRef<HTMLElement>('plane')
defineExpose({
  focus: (key: string) => boxes.value?.querySelector<HTMLElement>(`[data-place="${key}"] input`)?.focus(),
})
</script>

<template>
  <div ref="plane" class="plane">
    <div class="draw">
      <HubsView
        :hubs="hubs"
        :stationary-name="stationaryName"
        :movable-name="movableName"
        :title="directions.views[plane]"
        :dim="dim"
      />
      <div class="gaps">
        <div v-for="clock in places" :key="clock" class="gap" :data-place="placeKey('gap', clock)">
          <span aria-hidden="true">{{ hour(clock) }}</span>
          <NumberBox
            v-if="texts.how === 'measured'"
            :model-value="texts.figures[placeKey('gap', clock)] ?? ''"
            :label="w.gap(hour(clock))"
            hide-label
            on-dye
            measure="displacement"
            :units="units"
            :disabled="locked"
            :note="note(placeKey('gap', clock))"
            :note-is-fault="placeKey('gap', clock) in faults"
            @update:model-value="emit('figure', placeKey('gap', clock), $event)"
            @enter="emit('enter', placeKey('gap', clock))"
          />
          <ChoiceRow
            v-else
            :model-value="texts.went[placeKey('gap', clock)] ?? ''"
            :label="w.gap(hour(clock))"
            on-dye
            :disabled="locked"
            :options="[
              { value: 'in', name: w.went.in },
              { value: 'stops', name: w.went.stops },
            ]"
            @update:model-value="emit('went', placeKey('gap', clock), $event as 'in' | 'stops')"
          />
        </div>
        <p class="opens">{{ opens }}</p>
      </div>
    </div>
    <div class="steps">
      <div v-for="clock in steps" :key="clock" class="step" :data-place="placeKey('step', clock)">
        <NumberBox
          v-if="texts.how === 'measured'"
          :model-value="texts.figures[placeKey('step', clock)] ?? ''"
          :label="w.step(hour(clock))"
          on-dye
          measure="displacement"
          :units="units"
          :disabled="locked"
          :note="note(placeKey('step', clock))"
          :note-is-fault="placeKey('step', clock) in faults"
          @update:model-value="emit('figure', placeKey('step', clock), $event)"
          @enter="emit('enter', placeKey('step', clock))"
        />
        <ChoiceRow
          v-else
          :model-value="texts.went[placeKey('step', clock)] ?? ''"
          :label="w.step(hour(clock))"
          show-label
          on-dye
          :disabled="locked"
          :options="[
            { value: 'in', name: w.went.in },
            { value: 'stops', name: w.went.stops },
          ]"
          @update:model-value="emit('went', placeKey('step', clock), $event as 'in' | 'stops')"
        />
        <ChoiceRow
          :model-value="texts.lies[clock] ?? 'stationary'"
          :label="w.lies"
          on-dye
          :disabled="locked"
          :options="[
            { value: 'stationary', name: w.on(stationaryName) },
            { value: 'movable', name: w.on(movableName) },
          ]"
          @update:model-value="emit('lies', clock, $event)"
        />
      </div>
      <p v-if="found" class="found" :class="dim ? '' : (mark ?? '')">
        {{ found }}
        <span v-if="dim">{{ w.waits }}</span>
        <span v-else-if="mark"><VerdictMark :mark="mark" on-dye /> {{ verdicts[mark] }}</span>
      </p>
    </div>
  </div>
</template>

<style scoped>
.plane {
  display: grid;
  grid-template-columns: minmax(0, 1fr) minmax(150px, 30%);
  gap: 16px;
  align-items: center;
}
.draw {
  position: relative;
  aspect-ratio: 430 / 200;
  max-height: 186px;
  margin: 0 auto;
  width: 100%;
  max-width: 400px;
}
.gaps {
  position: absolute;
  left: 35%;
  width: 29.5%;
  top: 20%;
  bottom: 16%;
  display: flex;
  flex-direction: column;
  justify-content: space-between;
}
.gap {
  display: grid;
  grid-template-columns: 22px minmax(0, 1fr);
  align-items: center;
  order: 1;
}
.gap + .gap {
  order: 3;
}
.gap > span {
  justify-self: end;
  padding-right: 3px;
  color: var(--scribe-dim);
  font-family: var(--figures);
}
.opens {
  order: 2;
  text-align: center;
  font-size: 14px;
  color: var(--scribe);
}
.steps {
  display: grid;
  gap: 10px;
}
.step {
  display: grid;
  gap: 6px;
}
.found {
  font-size: 17px;
  font-family: var(--figures);
}
.found span {
  display: block;
  font: 400 14px/1.5 var(--text);
  color: var(--scribe-dim);
}
.found.in span {
  color: var(--in-on-dye);
}
.found.edge span {
  color: var(--edge-on-dye);
}
.found.out span {
  color: var(--out-on-dye);
}
@media (max-width: 640px) {
  .plane {
    grid-template-columns: minmax(0, 1fr);
  }
  .steps {
    grid-template-columns: 1fr 1fr;
    align-items: start;
  }
  .gaps {
    left: 31%;
    width: 35%;
  }
  .gap > span {
    background: var(--dye);
  }
}
</style>
