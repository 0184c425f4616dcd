<script setup lang="ts">
import type { ActRefusal } from '~~/core/practice/acts'
import type { StageId } from '~~/core/jobs/jobs'
import { BENCH_FEET, footPlace } from '~~/core/practice/bench'
import { dialsOn } from '~~/core/practice/benchDials'
import { machineNames } from '~~/shared/wording/machineNames'
import { practiceBenchWords } from '~~/shared/wording/en/practiceBench'
import { loadedAhead } from '~/stages/ahead'
import BenchDials from './BenchDials.vue'
import { useBenchMode } from '~/practice/useBenchMode'
import BenchFrame from './BenchFrame.vue'

const BenchEdge = loadedAhead(() => import('./BenchEdge.vue'))
const BenchFeet = loadedAhead(() => import('./BenchFeet.vue'))
const BenchJacks = loadedAhead(() => import('./BenchJacks.vue'))
const BenchRun = loadedAhead(() => import('./BenchRun.vue'))

/** The machine of a try and what hands can do at it: dials, feet, straightedge, jacking bolts, a run. */
const props = defineProps<{ stage: StageId }>()
const folded = defineModel<boolean>('folded', { required: true })
const practice = usePractice()
const words = useWords()
const w = practiceBenchWords(words).bench
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
const mode = useBenchMode<Mode>(() => props.stage, USUAL, 'dials', folded)
const modes = computed(() => MODES.map((value) => ({ value, name: w.modes[value] })))
const refused = computed(() => {
  const why = practice.refused
  return why && why in w.refused ? w.refused[why as ActRefusal] : ''
})
const bench = computed(() => practice.coupled!.bench)
const state = computed(() => practice.coupled!.shown)
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
  w.machine(
    state.value.made ? w.madeUp : w.open,
    state.value.loose.size > 0 ? w.someLoose : w.bolted,
    w.plate(bench.value.plate),
  ),
)
const pipe = computed(() => (bench.value.pipe ? (state.value.pipeSlack ? 'slack' : 'bolted') : 'bolted'))
</script>

<template>
  <BenchFrame v-model:folded="folded" v-model:mode="mode" :modes="modes" :refused="refused">
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
      :plate="w.plate(bench.plate)"
    />
    <BenchDials v-if="mode === 'dials'" :letters="LETTERS" />
    <BenchFeet v-else-if="mode === 'feet'" />
    <BenchEdge v-else-if="mode === 'edge'" />
    <BenchJacks v-else-if="mode === 'jacks'" />
    <BenchRun v-else />
  </BenchFrame>
</template>
