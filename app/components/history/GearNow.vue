<script setup lang="ts">
import dayjs from 'dayjs'
import type { GearState } from '~~/core/jobs/gear'
import { backlashWindow, registeredZones } from '~~/core/register/gearMachine'
import { toCore } from '~~/core/units/unitSystem'
import type { MachineRecord } from '~~/shared/register/machine'
import { gearFactWords } from '~~/shared/wording/gearFacts'
import { backlashFigure, backlashWindowWords } from '~~/shared/wording/backlash'
import { gearPrepareWords } from '~~/shared/wording/en'
import { historyWords } from '~~/shared/wording/viewWords'
import { layerFigure, underBoth } from '~~/shared/wording/gearPrepare'
import { tellingOf } from '~~/shared/wording/telling'
import StandBoard from './StandBoard.vue'
/** A gearset as the register has it and as the last job left its paint: both flanks, layers, what the site says. */
const props = defineProps<{
  machine: MachineRecord & { readonly drive: 'gear' }
  left: GearState | null
  closedAt: string | null
}>()
const session = useSession()
const telling = computed(() => tellingOf(session.units, null, session.works?.footWords))
const p = computed(() => gearPrepareWords(telling.value.words))
/** What only calculation needs besides what is registered. */
const machine = computed(() => ({ ...props.machine, stock: [], packLimit: 0 }))
const zones = computed(() => props.machine.gear.leftAs ?? props.left?.contact.left?.zones ?? null)
const wanted = computed(
  () => registeredZones(props.machine.gear) ?? props.left?.contact.wanted?.zones ?? null,
)
const layer = computed(() =>
  layerFigure(
    toCore(props.machine.gear.layers.thickness, 'displacement', props.machine.units),
    telling.value,
  ),
)
const NONE = { forward: null, back: null }
const notes = computed(() =>
  (['covers', 'seals', 'waiting'] as const).flatMap((id) => {
    const said = props.machine.gear.notes[id]
    return said ? [{ name: p.value.refit[id], said }] : []
  }),
)
</script>

<template>
  <StandBoard>
    <TwoFlanks
      :zones="zones ?? NONE"
      :wanted="wanted"
      :ends="props.machine.gear.ends"
      :verdicts="left?.contact.left?.figures?.runs ?? null"
      :units="session.units"
      read-only
    />
    <p v-if="zones && closedAt" class="quiet">
      {{ historyWords.asLeft(dayjs(closedAt).format('D MMM YYYY')) }}
    </p>
    <p v-if="left?.backlash.left">
      {{ backlashFigure(left.backlash.left.worst, props.machine, telling) }},
      {{ backlashWindowWords(backlashWindow(machine), telling) }}
    </p>
    <ul>
      <li v-for="l in gearFactWords(machine, telling)" :key="l">{{ l }}</li>
    </ul>
    <template #beside>
      <div>
        <h3>{{ p.layers.title }}</h3>
        <p>{{ p.layers.registered(underBoth(props.machine.gear.layers.under), layer) }}</p>
        <dl v-if="notes.length">
          <template v-for="n in notes" :key="n.name">
            <dt>{{ n.name }}</dt>
            <dd>{{ n.said }}</dd>
          </template>
        </dl>
      </div>
    </template>
  </StandBoard>
</template>

<style scoped>
ul {
  margin: 8px 0;
  padding-left: 18px;
}
h3 {
  font-size: 16px;
  color: #fff;
}
dl {
  margin: 12px 0 0;
}
dt {
  color: var(--scribe-dim);
}
dd {
  margin: 0 0 8px;
}
.quiet {
  color: var(--scribe-dim);
}
</style>
