<script setup lang="ts">
import { practiceBenchWords } from '~~/shared/wording/en/practiceBench'
import { thickness, UNIT_NAMES } from '~~/shared/wording/figures'
import { toCore } from '~~/core/units/unitSystem'

/** A stack of feeler blades, thicker and thinner, tried in a gap: it goes in or it doesn't. */
const props = defineProps<{
  /** Millimetres. */
  gap: number
  label: string
  /** Between the faces of sheaves the gaps are wider, and go by coarser blades. */
  coarse?: boolean
}>()
const session = useSession()
const words = useWords()
const w = practiceBenchWords(words).bench.blade
/** Blades of a set, in the person's own unit: fine ones first, then coarse. */
const STEP = computed(() => (props.coarse ? { inch: 2, metric: 0.05 } : { inch: 1, metric: 0.02 }))
const MOST = computed(() => (props.coarse ? { inch: 320, metric: 8 } : { inch: 140, metric: 3.6 }))
const own = ref(session.units === 'inch' ? 10 : 0.2)
watch(
  () => session.units,
  (units) => (own.value = units === 'inch' ? 10 : 0.2),
)
const blade = computed(() => toCore(own.value, 'displacement', session.units))
const goes = computed(() => blade.value <= props.gap + 1e-9)
</script>

<template>
  <div class="try">
    <el-slider
      v-model="own"
      :min="STEP[session.units]"
      :max="MOST[session.units]"
      :step="STEP[session.units]"
      :show-tooltip="false"
      :aria-label="label"
    />
    <p role="status">
      <b class="figure">{{ thickness(blade, session.units) }} {{ UNIT_NAMES[session.units].displacement }}</b>
      <span :class="{ goes }">{{ goes ? w.goes : w.stops }}</span>
    </p>
  </div>
</template>

<style scoped>
.try {
  min-width: 150px;
  padding: 0 8px;
}
p {
  display: flex;
  gap: 10px;
  font-size: 14px;
}
b {
  color: #fff;
}
.goes {
  color: var(--scribe);
}
</style>
