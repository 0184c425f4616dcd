<script setup lang="ts">
import type { StageId } from '~~/core/jobs/jobs'
import { BENCH_FEET, footPlace } from '~~/core/practice/bench'
import { dialsOn } from '~~/core/practice/benchDials'
import { machineNames } from '~~/shared/wording/machineNames'
import { practiceWords } from '~~/shared/wording/en/practice'
import { loadedAhead } from '~/stages/ahead'
import BenchDials from './BenchDials.vue'

const BenchEdge = loadedAhead(() => import('./BenchEdge.vue'))
const BenchFeet = loadedAhead(() => import('./BenchFeet.vue'))
const BenchJacks = loadedAhead(() => import('./BenchJacks.vue'))
const BenchRun = loadedAhead(() => import('./BenchRun.vue'))

/** The machine of a try and what hands can do at it: dials, feet, straightedge, jacking bolts, a run. */
const props = defineProps<{ stage: StageId }>()
const folded = defineModel<boolean>('folded', { required: true })
const practice = usePractice()
const words = useWords()
const w = practiceWords(words).bench
const MODES = ['dials', 'feet', 'edge', 'jacks', 'run'] as const
type Mode = (typeof MODES)[number]

/** What hands are wanted for at each stage. */
const USUAL: Partial<Record<StageId, Mode>> = {
  look: 'dials',
  feet: 'feet',
  'rough-in': 'edge',
  move: 'feet',
  prove: 'dials',
  'hot-check': 'run',
  'set-up': 'dials',
  'as-found': 'dials',
  're-measure': 'dials',
}
const mode = ref<Mode>(USUAL[props.stage] ?? 'dials')
/** Whoever reaches for a tool wants to see it. */
watch(mode, () => (folded.value = false))
watch(
  () => props.stage,
  (stage) => {
    const usual = USUAL[stage]
    if (usual) mode.value = usual
  },
)
const bench = computed(() => practice.bench!)
const state = computed(() => practice.shown!)
const names = computed(() => machineNames({ machine: practice.record?.machine ?? {} }))
const mount = computed(() => state.value.mount)
const bar = computed(() =>
  mount.value?.method === 'rim-face' ? mount.value.given.rim.carriedBy : ('movable' as const),
)
const LETTERS: Readonly<Record<string, string>> = {
  rim: 'R',
  face: 'F',
  face1: 'F',
  face2: 'G',
  onStationary: 'P',
  onMovable: 'M',
}
const feet = computed(() =>
  BENCH_FEET.filter((f) => footPlace(f).side === 'left').map((f) => ({
    name: `f${f}`,
    leaves: state.value.packs[f].map((l) => l.real),
    loose: state.value.loose.has(f),
  })),
)
const told = computed(() =>
  w.machine(state.value.made ? w.madeUp : w.open, state.value.loose.size > 0 ? w.someLoose : w.bolted),
)
const pipe = computed(() => (bench.value.pipe ? (state.value.pipeSlack ? 'slack' : 'bolted') : 'bolted'))
</script>

<template>
  <section class="stand" :aria-label="w.title">
    <div class="head">
      <el-radio-group v-model="mode" :aria-label="w.mode">
        <el-radio-button v-for="m in MODES" :key="m" :value="m">{{ w.modes[m] }}</el-radio-button>
      </el-radio-group>
      <el-button class="dye-button fold" :aria-expanded="!folded" @click="folded = !folded">{{
        folded ? w.unfold : w.fold
      }}</el-button>
      <p v-if="practice.refused" class="refused" role="alert">{{ w.refused[practice.refused] }}</p>
    </div>
    <template v-if="!folded">
      <BenchMachine
        :label="told"
        :names="names"
        :made="state.made"
        :guarded="state.guarded"
        :clock="dialsOn(state).length ? state.turned : null"
        :dials="dialsOn(state).map((c) => LETTERS[c] ?? c)"
        :bar="bar"
        :feet="feet"
        :pipe="pipe"
      />
      <BenchDials v-if="mode === 'dials'" :letters="LETTERS" />
      <BenchFeet v-else-if="mode === 'feet'" />
      <BenchEdge v-else-if="mode === 'edge'" />
      <BenchJacks v-else-if="mode === 'jacks'" />
      <BenchRun v-else />
    </template>
  </section>
</template>

<style scoped>
.stand {
  height: 100%;
  min-height: 0;
  overflow: auto;
  margin: 0;
  padding: 8px 14px 8px;
  color: var(--scribe);
  outline: 2px dashed var(--dye-line);
  outline-offset: -6px;
}
.head {
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  gap: 6px 14px;
}
.fold {
  margin-left: auto;
}
.refused {
  flex-basis: 100%;
  flex: 1;
  color: var(--brass-on-dye);
  font-weight: 600;
}
.stand :deep(.machine) {
  max-width: 620px;
  margin: 2px auto;
}
</style>
