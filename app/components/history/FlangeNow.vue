<script setup lang="ts">
import { flangeWords } from '~~/shared/wording/en'
import { historyWords } from '~~/shared/wording/viewWords'
import dayjs from 'dayjs'
import type { FlangeState } from '~~/core/jobs/flange'
import { registeredFlange, registeredLeaves } from '~~/core/register/flangeMachine'
import { flangeDrawing } from '~~/shared/drawing/flangeClock'
import type { MachineRecord } from '~~/shared/register/machine'
import { flangeFactWords } from '~~/shared/wording/flange'
import { misalignmentWords } from '~~/shared/wording/directions'
import { capital } from '~~/shared/wording/capital'
import { tellingOf } from '~~/shared/wording/telling'

/** A motor on its flange as the register has it: what lies under its bolts, and how the last job left it. */
const props = defineProps<{
  machine: MachineRecord & { readonly drive: 'flange' }
  left: FlangeState | null
  closedAt: string | null
}>()
const session = useSession()
const telling = computed(() => tellingOf(session.units, props.machine))
const w = computed(() => flangeWords(telling.value.words))
/** The register’s record is all that its flange needs of a machine. */
const kept = computed(() => ({ ...props.machine, stock: [], packLimit: 0 }))
const drawing = computed(() => {
  const leaves = registeredLeaves(kept.value)
  return flangeDrawing(
    registeredFlange(kept.value).bolts,
    leaves.map((l) => l.reduce((s, t) => s + t, 0)),
    null,
    { leaves },
  )
})
const where = computed(() =>
  props.left?.asLeft?.coupling
    ? capital(misalignmentWords(props.left.asLeft.coupling, false, telling.value))
    : '',
)
</script>

<template>
  <div class="stand board">
    <div class="drawn">
      <h2>
        {{ w.facts.title }} <span>{{ w.view.fromAbove }}</span>
      </h2>
      <FlangeClock class="clock" :drawing="drawing" :units="session.units" lying />
    </div>
    <div class="facts">
      <ul>
        <li v-for="line in flangeFactWords(kept, telling)" :key="line">{{ line }}</li>
      </ul>
      <template v-if="where && closedAt">
        <h3>{{ historyWords.asLeft(dayjs(closedAt).format('D MMM YYYY')) }}</h3>
        <p>{{ where }}</p>
      </template>
    </div>
  </div>
</template>

<style scoped>
.stand {
  display: grid;
  grid-template-columns: minmax(0, 1.3fr) minmax(0, 1fr);
  gap: 18px;
  padding: 14px 18px;
  background: var(--dye);
  color: var(--scribe);
}
h2 {
  margin: 0;
  color: #fff;
  font-size: 17px;
}
h2 span {
  font-size: 14px;
  font-weight: 400;
  color: var(--scribe-dim);
}
.clock {
  height: 420px;
}
.facts ul {
  margin: 30px 0 0;
  padding: 0;
  list-style: none;
}
.facts li {
  padding: 5px 0;
  border-bottom: 1px solid var(--dye-line);
}
h3 {
  margin: 16px 0 4px;
  font-size: 16px;
  color: #fff;
}
@media (max-width: 640px) {
  .stand {
    grid-template-columns: 1fr;
  }
}
</style>
