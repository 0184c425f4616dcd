<script setup lang="ts">
import { levelWords, verdictsWords } from '~~/shared/wording/en'
import type { MachineRole } from '~~/core/plan/pairNames'
import type { UnitSystem } from '~~/core/units/unitSystem'
import { ROLES, type LevelTexts } from '~~/shared/stages/level/form'

/** Both shafts from the side with a level on each: the driven one at the left, the coupling in the middle. A feeler lies under the low end. */
defineProps<{
  texts: LevelTexts
  faults: Readonly<Record<string, string>>
  notes: Readonly<Record<string, string>>
  /** Turn as drawn, degrees, the far end up positive; null where the shaft isn't read. */
  tilts: Readonly<Record<MachineRole, number | null>>
  found: Readonly<Record<MachineRole, string>>
  marks: Readonly<Record<MachineRole, 'in' | 'edge' | 'out' | null>>
  names: Readonly<Record<MachineRole, string>>
  units: UnitSystem
  locked: boolean
}>()
const emit = defineEmits<{
  text: [role: MachineRole, box: 'feeler' | 'divisions' | 'reversed', text: string]
  low: [role: MachineRole, end: 'coupling' | 'far']
  enter: [role: MachineRole]
}>()
const words = useWords()
const w = levelWords(words)
const verdicts = verdictsWords(words)
const MIDDLE = { stationary: 170, movable: 510 } as const
/** Degrees to turn the drawing by: the driven machine's far end is at the left. */
const turn = (role: MachineRole, tilt: number | null) => (role === 'movable' ? -1 : 1) * (tilt ?? 0)
/** Where the feeler lies: under the level's end that is low. */
const feelerX = (role: MachineRole, tilt: number) => {
  const right = role === 'movable' ? tilt < 0 : tilt > 0
  return MIDDLE[role] + (right ? 62 : -78)
}
</script>

<template>
  <div class="level">
    <svg viewBox="0 0 680 190" aria-hidden="true">
      <path class="ground" d="M20 172H320M360 172H660" />
      <g
        v-for="role in ROLES"
        :key="role"
        :transform="`rotate(${turn(role, tilts[role])} ${MIDDLE[role]} 96)`"
        :class="{ unread: tilts[role] === null }"
      >
        <rect class="body" :x="MIDDLE[role] - 96" y="56" width="192" height="104" rx="4" />
        <rect class="shaft" :x="MIDDLE[role] - 140" y="86" width="290" height="20" />
        <rect
          class="hub"
          :x="role === 'movable' ? MIDDLE[role] - 152 : MIDDLE[role] + 128"
          y="68"
          width="24"
          height="56"
        />
        <text :x="MIDDLE[role]" y="140">{{ names[role] }}</text>
      </g>
      <g v-for="role in ROLES" :key="role">
        <!-- The level is brought true by the feeler; the shaft under it is not. -->
        <rect class="tool" :x="MIDDLE[role] - 80" y="22" width="160" height="24" rx="3" />
        <rect class="vial" :x="MIDDLE[role] - 26" y="28" width="52" height="12" rx="6" />
        <circle class="bubble" :cx="MIDDLE[role]" cy="34" r="5" />
        <rect
          v-if="texts.by === 'feeler' && tilts[role] !== null && tilts[role] !== 0"
          class="feeler"
          :x="feelerX(role, tilts[role]!)"
          y="46"
          width="16"
          height="10"
        />
      </g>
    </svg>
    <div class="shafts">
      <section v-for="role in ROLES" :key="role" :data-shaft="role">
        <h3>{{ w.view.shaft(names[role]) }}</h3>
        <div v-if="texts.by === 'feeler'" class="boxes">
          <NumberBox
            :model-value="texts.shafts[role].feeler"
            :label="w.view.feeler(names[role])"
            on-dye
            measure="displacement"
            :units="units"
            :disabled="locked"
            :note="faults[`feeler.${role}`] ?? ''"
            :note-is-fault="`feeler.${role}` in faults"
            @update:model-value="emit('text', role, 'feeler', $event)"
            @enter="emit('enter', role)"
          />
          <ChoiceRow
            :model-value="texts.shafts[role].low"
            :label="w.view.low(names[role])"
            show-label
            on-dye
            :disabled="locked"
            :options="
              (role === 'movable' ? (['coupling', 'far'] as const) : (['far', 'coupling'] as const)).map(
                (end) => ({
                  value: end,
                  name: w.view.lows[end],
                }),
              )
            "
            @update:model-value="emit('low', role, $event)"
          />
        </div>
        <div v-else class="boxes">
          <NumberBox
            v-for="box in ['divisions', 'reversed'] as const"
            :key="box"
            :model-value="texts.shafts[role][box]"
            :label="box === 'divisions' ? w.view.divisions(names[role]) : w.view.reversed"
            on-dye
            signed
            measure="plain"
            :units="units"
            :disabled="locked"
            :note="faults[`${box}.${role}`] ?? notes[`${box}.${role}`] ?? ''"
            :note-is-fault="`${box}.${role}` in faults"
            @update:model-value="emit('text', role, box, $event)"
            @enter="emit('enter', role)"
          />
        </div>
        <p v-if="found[role]" class="found">
          {{ found[role] }}
          <span v-if="marks[role]"
            ><VerdictMark :mark="marks[role]!" on-dye /> {{ verdicts[marks[role]!] }}</span
          >
        </p>
      </section>
    </div>
  </div>
</template>

<style scoped>
.level > svg {
  width: 100%;
  max-height: 230px;
}
.ground {
  stroke: var(--scribe-dim);
}
.body {
  fill: #24296a;
  stroke: var(--scribe);
}
.shaft,
.hub {
  fill: #2d3380;
  stroke: var(--scribe);
}
.unread rect {
  stroke: var(--scribe-dim);
}
text {
  fill: var(--scribe);
  font-size: 15px;
  text-anchor: middle;
}
.tool {
  fill: #3a4196;
  stroke: var(--scribe);
}
.vial {
  fill: var(--dye-deep);
  stroke: var(--scribe-dim);
}
.bubble {
  fill: var(--scribe);
}
.feeler {
  fill: var(--brass-on-dye);
}
.shafts {
  display: grid;
  grid-template-columns: 1fr 1fr;
  gap: 20px;
  margin-top: 12px;
}
h3 {
  font-size: 16px;
  color: #fff;
}
h3::first-letter {
  text-transform: uppercase;
}
.boxes {
  display: grid;
  gap: 8px;
  margin-top: 6px;
}
.found {
  margin-top: 10px;
  font: 17px/1.4 var(--figures);
}
.found span {
  display: block;
  font: 14px/1.5 var(--text);
}
@media (max-width: 640px) {
  .shafts {
    grid-template-columns: 1fr;
  }
}
</style>
