<script setup lang="ts">
import { historyWords } from '~~/shared/wording/viewWords'
import type { PastJob } from '~~/shared/api/answers'
import type { MachineRecord } from '~~/shared/register/machine'
import { registeredFlange } from '~~/core/register/flangeMachine'
import { clockFace } from '~~/shared/wording/clockFace'
import { towardWords } from '~~/shared/wording/directions'
import { figure, UNIT_NAMES } from '~~/shared/wording/figures'
import { tellingOf } from '~~/shared/wording/telling'
import DoneByJob from './DoneByJob.vue'

/** What each closed job laid under each bolt of a flange, how far it was pushed, and who did it. */
const props = defineProps<{
  jobs: readonly PastJob[]
  machine: MachineRecord & { readonly drive: 'flange' }
}>()
const session = useSession()
const telling = computed(() => tellingOf(session.units, props.machine))
const w = historyWords.bolts
const clockOf = computed(() => {
  const { bolts } = registeredFlange({ ...props.machine, stock: [], packLimit: 0 })
  return (bolt: string) => clockFace(bolts.find((b) => b.id === bolt)?.clock ?? 0)
})
const jobs = computed(() =>
  props.jobs.map(({ id, closedAt, flange }) => ({
    id,
    closedAt,
    rows: flange
      ? [
          ...flange.bolts.map((b) => ({
            key: b.bolt,
            place: w.at(clockOf.value(b.bolt)),
            figures: [figure(b.raised, 'displacement', session.units, { sign: true }), ''],
            by: b.by,
          })),
          ...(Math.hypot(flange.pushed.v, flange.pushed.h) > 1e-6
            ? [
                {
                  key: 'whole',
                  place: w.whole,
                  figures: ['', towardWords(flange.pushed, 'displacement', telling.value)],
                  by: flange.by,
                },
              ]
            : []),
        ]
      : [],
  })),
)
</script>

<template>
  <DoneByJob
    :title="w.title"
    :unit="UNIT_NAMES[session.units].displacement"
    :none="w.none"
    :head="[w.bolt, w.raised, historyWords.feet.pushed]"
    :jobs="jobs"
  />
</template>
