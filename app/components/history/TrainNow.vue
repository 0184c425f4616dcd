<script setup lang="ts">
import dayjs from 'dayjs'
import type { Plane } from '~~/core/frame/planes'
import type { TrainState } from '~~/core/jobs/train'
import { staysPut } from '~~/core/register/trainMachine'
import { toCore } from '~~/core/units/unitSystem'
import { registeredTrain } from '~~/shared/register/registeredTrain'
import { bothViews, type TrainDrawn } from '~~/shared/drawing/trainView'
import { drawnTrain, leftFigures, leftTrain } from '~~/shared/stages/trainPlan/drawing'
import { couplingsTold } from '~~/shared/stages/trainPlan/told'
import type { MachineRecord } from '~~/shared/register/machine'
import { trainWords } from '~~/shared/wording/en'
import { pack, UNIT_NAMES } from '~~/shared/wording/figures'
import { capital } from '~~/shared/wording/capital'
import { tellingOf } from '~~/shared/wording/telling'
import { historyWords } from '~~/shared/wording/viewWords'
import StandBoard from './StandBoard.vue'

/** A line as the register has it and as the last job left it: every machine, every coupling, what lies under the feet. */
const props = defineProps<{
  machine: MachineRecord & { readonly drive: 'train' }
  left: TrainState | null
  closedAt: string | null
}>()
const session = useSession()
const telling = computed(() => tellingOf(session.units, null, session.works?.footWords))
const w = computed(() => trainWords(telling.value.words))
const train = computed(() => registeredTrain(props.machine))
/** As the last job left it; straight, with its distances, where none has measured it. */
const drawn = computed((): TrainDrawn => {
  const left = props.left && leftTrain(props.left)
  return left
    ? { ...left, machines: left.machines.map((m) => ({ ...m, now: m.after })) }
    : drawnTrain(train.value.input, [], 0)
})
const views = computed(() => bothViews(drawn.value).filter((v) => props.left !== null || v.plane === 'v'))
/** As left, and nothing before it. */
const figures = computed(() =>
  (props.left ? leftFigures(props.left) : []).map((f) => ({
    ...f,
    now: f.after,
    nowVerdict: f.afterVerdict,
  })),
)
const machines = computed(() =>
  props.machine.machines.map((m) => ({
    id: m.id,
    name: m.name,
    note: staysPut(m) ? w.value.plan.held.register : '',
    held: staysPut(m),
    moves: false,
    done: {},
  })),
)
/** A line that nobody measured yet is drawn with the names of its couplings. */
const couplings = (plane: Plane) =>
  props.left
    ? couplingsTold(figures.value, drawn.value, plane, telling.value)
    : props.machine.couplings.map((c) => ({
        id: c.id,
        now: c.name,
        after: c.name,
        nowVerdict: 'unknown' as const,
        afterVerdict: 'unknown' as const,
        limit: '',
      }))
const small = (t: readonly number[]) =>
  pack(
    t.map((x) => toCore(x, 'displacement', props.machine.units)),
    session.units,
  )
const under = computed(() =>
  train.value.parts.machines.map((part) => ({
    id: part.id,
    name: part.name,
    lines: part.machine.feet.movable.map((f) =>
      w.value.report.pairs(
        capital(telling.value.of(part.machine).footNames(f.id)),
        small(f.existing.left),
        small(f.existing.right),
      ),
    ),
  })),
)
</script>

<template>
  <StandBoard>
    <TrainView
      v-for="v in views"
      :key="v.plane"
      :view="v.view"
      :title="w.plan.views[v.plane]"
      :note="left ? w.closing.drawnLeft(v.times) : ''"
      :machines="machines"
      :couplings="couplings(v.plane)"
    />
    <p v-if="left && closedAt" class="quiet">
      {{ historyWords.asLeft(dayjs(closedAt).format('D MMM YYYY')) }}
    </p>
    <template #beside>
      <div>
        <h3>{{ w.closing.packs }}, {{ UNIT_NAMES[session.units].displacement }}</h3>
        <template v-for="m in under" :key="m.id">
          <p class="name">{{ m.name }}</p>
          <p v-for="l in m.lines" :key="l" class="pack">{{ l }}</p>
        </template>
      </div>
    </template>
  </StandBoard>
</template>

<style scoped>
h3 {
  font-size: 16px;
  color: #fff;
}
.name {
  color: var(--scribe-dim);
  margin-top: 8px;
}
.pack {
  margin: 2px 0;
}
.quiet {
  color: var(--scribe-dim);
}
</style>
