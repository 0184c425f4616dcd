<script setup lang="ts">
import dayjs from 'dayjs'
import { RUNS } from '~~/core/gear/contactFigures'
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
import { zoneTexts } from '~~/shared/wording/gearContact'

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
const notes = computed(() =>
  (['covers', 'seals', 'waiting'] as const).flatMap((id) => {
    const said = props.machine.gear.notes[id]
    return said ? [{ name: p.value.refit[id], said }] : []
  }),
)
</script>

<template>
  <div class="stand board">
    <div class="drawn">
      <div class="flanks">
        <ToothZone
          v-for="run in RUNS"
          :key="run"
          :run="run"
          :zone="zones?.[run] ?? null"
          :texts="zoneTexts(zones?.[run] ?? null)"
          :wanted="wanted?.[run] ?? null"
          :ends="props.machine.gear.ends"
          :off="null"
          :verdict="left?.contact.left?.figures?.runs[run] ?? null"
          :faults="{}"
          :units="session.units"
          disabled
          read-only
        />
      </div>
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
    </div>
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
  </div>
</template>

<style scoped>
.stand {
  display: grid;
  grid-template-columns: minmax(0, 1fr) 330px;
  background: var(--dye);
  color: var(--scribe);
  border-radius: 4px;
}
.stand > * {
  padding: 14px 18px;
}
.stand > :last-child {
  border-left: 1px solid var(--dye-line);
}
.flanks {
  display: grid;
  grid-template-columns: 1fr 1fr;
  gap: 18px;
}
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
@media (max-width: 1000px) {
  .stand {
    grid-template-columns: minmax(0, 1fr);
  }
  .stand > :last-child {
    border-left: 0;
    border-top: 1px solid var(--dye-line);
  }
}
@media (max-width: 640px) {
  .flanks {
    grid-template-columns: 1fr;
  }
}
</style>
