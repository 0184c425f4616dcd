<script setup lang="ts">
import { targetsWords } from '~~/shared/wording/en'
import type { MachineRole } from '~~/core/plan/pairNames'
import type { UnitSystem } from '~~/core/units/unitSystem'
import type { Remark } from '~~/shared/forms/typed'
import { GROWTH_SHEET, type DrawnGrowth } from '~~/shared/stages/target/drawing'
import {
  pairKey,
  type GrowingPair,
  type RiseBox,
  type RiseTexts,
  type TargetTexts,
} from '~~/shared/stages/target/form'
import { capital } from '~~/shared/wording/capital'

/** Both machines from the side, cold and as they run, and under each foot pair how it grows. */
const props = defineProps<{
  texts: TargetTexts
  drawn: DrawnGrowth
  remarks: Readonly<Record<string, Remark>>
  /** What each pair rises by, in words; empty while it is not known. By `pairKey`. */
  rises: Readonly<Record<string, string>>
  names: Readonly<Record<MachineRole, string>>
  footName: (pair: GrowingPair) => string
  /** Machines nothing was given for. */
  still: readonly MachineRole[]
  units: UnitSystem
  locked: boolean
}>()
const emit = defineEmits<{
  like: [machine: MachineRole]
  rise: [pair: string, texts: Partial<RiseTexts>]
  distance: [pair: string, text: string]
}>()
const words = useWords()
const w = targetsWords(words).view
const { width: W, height: H } = GROWTH_SHEET
const sides = computed(() =>
  (['stationary', 'movable'] as const).map((machine) => ({
    machine,
    pairs: props.drawn.pairs.filter((p) => p.pair.machine === machine).map((p) => p.pair),
  })),
)
/** A machine's rises are worked out or typed, all of them alike. */
const howOf = (pairs: readonly GrowingPair[]) => (pairs[0] ? restOf(pairs[0]).how : 'heat')
const restOf = (pair: GrowingPair) => props.texts.feet[pairKey(pair)]!
const box = (pair: GrowingPair, at: RiseBox, measure: 'displacement' | 'distance' | 'plain') => {
  const remark = props.remarks[`${pairKey(pair)}.${at}`]
  const rest = restOf(pair)
  const key = pairKey(pair)
  return {
    modelValue: at === 'x' ? (props.texts.distances[key] ?? '') : rest[at],
    measure,
    units: props.units,
    onDye: true,
    signed: at !== 'height' && at !== 'x' && at !== 'alpha',
    disabled: props.locked,
    note: remark?.text ?? '',
    noteIsFault: remark?.fault ?? false,
    'onUpdate:modelValue': (typed: string) => {
      if (at === 'x') emit('distance', key, typed)
      else emit('rise', key, { [at]: typed })
    },
  }
}
const degrees = computed(() => (props.units === 'inch' ? '°F' : '°C'))
</script>

<template>
  <div class="growth">
    <p class="note">{{ drawn.times === null ? '' : w.taller(`${drawn.times}×`) }}</p>
    <svg :viewBox="`0 0 ${W} ${H}`" role="img" :aria-label="w.title">
      <path :d="`M0 ${drawn.zero}H${W}`" stroke="#8F9AD6" stroke-dasharray="9 4 2 4" />
      <path
        :d="`M${drawn.coupling - 6} ${drawn.zero - 20}v40M${drawn.coupling + 6} ${drawn.zero - 20}v40`"
        stroke="#A3AEE0"
      />
      <g v-for="p in drawn.pairs" :key="pairKey(p.pair)">
        <path :d="`M${p.x} ${drawn.zero}V${H - 22}`" stroke="#8F9AD6" />
        <path :d="`M${p.x - 10} ${H - 22}h20l5 8h-30z`" fill="#DCE3FF" />
      </g>
      <path
        v-for="l in drawn.running"
        :key="l.role"
        :d="`M${l.x1} ${l.y1}L${l.x2} ${l.y2}`"
        stroke="#FFFFFF"
        stroke-width="2.4"
      />
      <path
        v-if="drawn.target"
        class="target"
        :d="`M${drawn.target.x1} ${drawn.target.y1}L${drawn.target.x2} ${drawn.target.y2}`"
      />
      <g font-size="14" paint-order="stroke" stroke="#1F2358" stroke-width="5">
        <text x="4" :y="drawn.zero + 18" fill="#A3AEE0">{{ w.coldLine }}</text>
        <text v-if="drawn.running[0]" x="4" :y="drawn.running[0].y1 - 8" fill="#FFFFFF">
          {{ w.runs }}
        </text>
        <text
          v-if="drawn.target"
          :x="W - 4"
          :y="drawn.target.y2 + (drawn.target.y2 > drawn.zero && drawn.target.y2 < H - 46 ? 20 : -8)"
          text-anchor="end"
          fill="#E0B04A"
        >
          {{ w.setTo }}
        </text>
      </g>
    </svg>
    <div class="machines">
      <section v-for="{ machine, pairs } in sides" :key="machine" :aria-label="names[machine]">
        <h3>
          {{ capital(names[machine]) }}
          <el-button
            v-if="!locked && !still.includes(machine)"
            link
            class="text-button on-dye"
            @click="emit('like', machine)"
            >{{ w.same }}</el-button
          >
        </h3>
        <ChoiceRow
          :model-value="howOf(pairs)"
          :label="w.how"
          show-label
          on-dye
          :disabled="locked"
          :options="[
            { value: 'heat', name: w.byHeat },
            { value: 'typed', name: w.byRise },
          ]"
          @update:model-value="pairs.forEach((p) => emit('rise', pairKey(p), { how: $event }))"
        />
        <p v-if="still.includes(machine)" class="note">{{ w.growsNot(names[machine]) }}</p>
        <div class="pairs" :style="{ '--pairs': pairs.length }">
          <fieldset v-for="pair in pairs" :key="pairKey(pair)">
            <legend>{{ capital(footName(pair)) }}</legend>
            <NumberBox v-if="pair.x === null" v-bind="box(pair, 'x', 'distance')" :label="w.distance" />
            <template v-if="restOf(pair).how === 'heat'">
              <MaterialPick
                :model-value="restOf(pair).material"
                :disabled="locked"
                @update:model-value="
                  emit('rise', pairKey(pair), { material: $event as RiseTexts['material'] })
                "
              />
              <NumberBox
                v-if="restOf(pair).material === 'own'"
                v-bind="box(pair, 'alpha', 'plain')"
                :label="`${w.alpha}, 10⁻⁶`"
              />
              <NumberBox v-bind="box(pair, 'height', 'distance')" :label="w.height" />
              <NumberBox v-bind="box(pair, 'running', 'plain')" :label="`${w.running}, ${degrees}`" />
            </template>
            <NumberBox v-else v-bind="box(pair, 'rise', 'displacement')" :label="w.rise" />
            <NumberBox v-bind="box(pair, 'side', 'displacement')" :label="w.side" />
            <p class="rise figure">{{ rises[pairKey(pair)] }}</p>
          </fieldset>
        </div>
      </section>
    </div>
  </div>
</template>

<style scoped>
svg {
  display: block;
  width: 100%;
}
.target {
  stroke: var(--brass-on-dye);
  stroke-width: 2;
  stroke-dasharray: 8 5;
}
.note {
  color: var(--scribe-dim);
  font-size: 14px;
  min-height: 1.4em;
}
.machines {
  display: grid;
  grid-template-columns: 1fr 1fr;
  gap: 20px;
}
h3 {
  display: flex;
  flex-wrap: wrap;
  justify-content: space-between;
  align-items: center;
  gap: 4px 10px;
  color: #fff;
  font-size: 16px;
  min-height: 44px;
}
.pairs {
  display: grid;
  margin-top: 10px;
  grid-template-columns: repeat(2, minmax(0, 1fr));
  gap: 12px;
}
fieldset {
  border: 0;
  margin: 0;
  padding: 0;
  display: grid;
  gap: 8px;
  align-content: start;
  min-width: 0;
}
legend {
  color: var(--scribe);
  font-weight: 600;
  padding: 0 0 4px;
}
.rise {
  color: var(--scribe);
  font-size: 15px;
  min-height: 1.4em;
}
.on-dye {
  color: var(--scribe);
  font-size: 14px;
}
@media (max-width: 640px) {
  .machines {
    grid-template-columns: 1fr;
  }
}
</style>
