<script setup lang="ts">
import { planeOf } from '~~/shared/stages/tram/drawing'
import { historyWords } from '~~/shared/wording/viewWords'
import dayjs from 'dayjs'
import { drumWords } from '~~/shared/wording/en'
import { toCore } from '~~/core/units/unitSystem'
import type { DrumState } from '~~/core/jobs/drum'
import type { MachineRecord } from '~~/shared/register/machine'
import { drumFactWords } from '~~/shared/wording/drum'
import { drumRunoutLimit, findingOfDrum } from '~~/shared/wording/drumTrue'
import { misalignmentWords } from '~~/shared/wording/directions'
import { capital } from '~~/shared/wording/capital'
import { pairName, tellingOf } from '~~/shared/wording/telling'
import FeetNow from './FeetNow.vue'
import StandBoard from './StandBoard.vue'
/** A motor beside its drum as the register has it, how the last job left it and its drum, and what lies under its feet. */
const props = defineProps<{
  machine: MachineRecord & { readonly drive: 'drum' }
  left: DrumState | null
  closedAt: string | null
}>()
const session = useSession()
const telling = computed(() => tellingOf(session.units, props.machine, session.works?.footWords))
const w = computed(() => drumWords(telling.value.words))
const line = computed(() => props.left?.asLeft?.coupling ?? null)
const feet = computed(() =>
  props.machine.feet.movable.flatMap((f) =>
    f.x === null ? [] : [toCore(f.x, 'distance', props.machine.units)],
  ),
)
const names = computed(() => props.machine.feet.movable.map((f) => pairName(telling.value, f)))
</script>

<template>
  <StandBoard>
    <div class="views">
      <TramView
        v-for="plane in ['v', 'h'] as const"
        :key="plane"
        :plane="plane"
        :now="planeOf(line, plane)"
        :after="null"
        :feet="feet"
        :foot-names="names"
        :notes="[]"
      />
    </div>
    <ul>
      <li v-for="l in drumFactWords(machine, telling)" :key="l">{{ l }}</li>
    </ul>
    <template v-if="line && left && closedAt">
      <h3>{{ historyWords.asLeft(dayjs(closedAt).format('D MMM YYYY')) }}</h3>
      <p>{{ capital(misalignmentWords(line, false, telling)) }}</p>
      <p v-if="left.drum.verdict">
        {{ w.stepSays(w.steps['drum-runout'].name, findingOfDrum(left.drum, telling).toLowerCase() + '.') }}
        {{ drumRunoutLimit(left.drum, telling) }}
      </p>
    </template>
    <template #beside>
      <FeetNow :machine="machine" :pack-limit="session.works?.packLimit ?? 4" />
    </template>
  </StandBoard>
</template>

<style scoped>
.views {
  display: grid;
  grid-template-columns: 1fr 1fr;
  gap: 18px;
}
ul {
  margin: 8px 0;
  padding-left: 18px;
}
h3 {
  font-size: 15px;
  color: #fff;
}
@media (max-width: 640px) {
  .views {
    grid-template-columns: 1fr;
  }
}
</style>
