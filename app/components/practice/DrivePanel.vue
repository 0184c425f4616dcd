<script setup lang="ts">
import type { DriveRefusal } from '~~/core/practice/drive/driveActs'
import type { StageId } from '~~/core/jobs/jobs'
import { driveBenchWords } from '~~/shared/wording/en/driveBench'
import { loadedAhead } from '~/stages/ahead'
import { useBenchMode } from '~/practice/useBenchMode'
import BenchFrame from './BenchFrame.vue'

const DriveEdge = loadedAhead(() => import('./DriveEdge.vue'))
const DriveBase = loadedAhead(() => import('./DriveBase.vue'))
const DriveBelts = loadedAhead(() => import('./DriveBelts.vue'))
const DriveRun = loadedAhead(() => import('./DriveRun.vue'))

/** The belt drive of a try and what hands can do at it: edge and blades, base and screws, belts and gauge, a run. */
const props = defineProps<{ stage: StageId }>()
const folded = defineModel<boolean>('folded', { required: true })
const practice = usePractice()
const words = useWords()
const w = driveBenchWords(words)
const MODES = ['edge', 'base', 'belts', 'run'] as const
type Mode = (typeof MODES)[number]

/** What hands are wanted for at each stage. */
const USUAL: Partial<Record<StageId, Mode>> = {
  'slack-off': 'base',
  inspect: 'belts',
  square: 'base',
  'line-up': 'edge',
  fit: 'belts',
  tension: 'belts',
  tighten: 'base',
  run: 'run',
}
const mode = useBenchMode<Mode>(() => props.stage, USUAL, 'edge', folded)
const state = computed(() => practice.drive!.now)
const modes = computed(() => MODES.map((value) => ({ value, name: w.modes[value] })))
const refused = computed(() => {
  const why = practice.refused
  return why && why in w.refused ? w.refused[why as DriveRefusal] : ''
})
const told = computed(() =>
  w.drive(state.value.beltsOn ? w.beltsOn : w.beltsOff, state.value.tight ? w.baseTight : w.baseLoose),
)
</script>

<template>
  <BenchFrame v-model:folded="folded" v-model:mode="mode" :modes="modes" :refused="refused">
    <p class="told" role="status">{{ told }}</p>
    <DriveEdge v-if="mode === 'edge'" />
    <DriveBase v-else-if="mode === 'base'" />
    <DriveBelts v-else-if="mode === 'belts'" />
    <DriveRun v-else />
  </BenchFrame>
</template>

<style scoped>
.told {
  font-size: 14px;
  color: var(--scribe-dim);
  margin: 2px 0 6px;
}
</style>
