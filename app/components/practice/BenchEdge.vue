<script setup lang="ts">
import { faceGapNow, rimStepNow } from '~~/core/practice/feelers'
import { practiceBenchWords } from '~~/shared/wording/en/practiceBench'

/** Straightedge and blades at the hubs: at four places, across the rims or between the faces. */
const practice = usePractice()
const words = useWords()
const w = practiceBenchWords(words).bench
const HOURS = [
  { value: 0, name: '12' },
  { value: 90, name: '3' },
  { value: 180, name: '6' },
  { value: 270, name: '9' },
] as const
const at = ref<number>(0)
const where = ref<'under' | 'between'>('under')
const bench = computed(() => practice.coupled!.bench)
const state = computed(() => practice.coupled!.now)
const step = computed(() => rimStepNow(bench.value, state.value, at.value))
const gap = computed(() =>
  where.value === 'under'
    ? Math.abs(step.value)
    : faceGapNow(bench.value, state.value, at.value, 2 * bench.value.hubs.movable.radius),
)
/** The rims as one looks along the straightedge: the higher one carries it. */
const lift = computed(() => Math.max(-9, Math.min(9, step.value * 6)))
</script>

<template>
  <div class="edge">
    <svg
      viewBox="0 0 300 110"
      role="img"
      :aria-label="where === 'under' ? (step > 0 ? w.blade.upper : w.blade.lower) : w.blade.between"
    >
      <path d="M40 52h100v58H40z" fill="#15183F" stroke="#DCE3FF" stroke-width="1.8" />
      <path :d="`M160 ${52 - lift}h100v58h-100z`" fill="#15183F" stroke="#DCE3FF" stroke-width="1.8" />
      <path v-if="where === 'under'" :d="`M20 ${Math.min(52, 52 - lift) - 14}H280v14H20z`" fill="#DCE3FF" />
      <text x="90" y="90" fill="#A3AEE0" font-size="14" text-anchor="middle">
        {{ practice.record!.machine.stationaryName.toLowerCase() }}
      </text>
      <text x="210" y="90" fill="#A3AEE0" font-size="14" text-anchor="middle">
        {{ practice.record!.machine.movableName.toLowerCase() }}
      </text>
    </svg>
    <div class="tries">
      <el-radio-group v-model="where" :aria-label="w.blade.where">
        <el-radio-button value="under">{{ w.blade.under }}</el-radio-button>
        <el-radio-button value="between">{{ w.blade.between }}</el-radio-button>
      </el-radio-group>
      <el-radio-group v-model="at" :aria-label="w.blade.at">
        <el-radio-button v-for="h in HOURS" :key="h.value" :value="h.value">{{ h.name }}</el-radio-button>
      </el-radio-group>
      <BladeTry :gap="gap" :label="w.blade.thickness" />
      <p v-if="where === 'under'" class="note">{{ step > 0 ? w.blade.upper : w.blade.lower }}</p>
    </div>
  </div>
</template>

<style scoped>
.edge {
  display: grid;
  grid-template-columns: minmax(0, 300px) minmax(0, 1fr);
  gap: 18px;
  align-items: start;
}
.tries {
  display: grid;
  gap: 8px;
}
.note {
  font-size: 14px;
  color: var(--scribe-dim);
}
@media (max-width: 640px) {
  .edge {
    grid-template-columns: 1fr;
  }
}
</style>
