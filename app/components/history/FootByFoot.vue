<script setup lang="ts">
import { historyWords } from '~~/shared/wording/viewWords'
import type { PastJob } from '~~/shared/api/answers'
import type { MachineFields } from '~~/shared/register/machine'
import { offsetWords } from '~~/shared/wording/directions'
import { figure, UNIT_NAMES } from '~~/shared/wording/figures'
import { capital, tellingOf } from '~~/shared/wording/telling'
import DoneByJob from './DoneByJob.vue'

/** What each closed job did at each foot pair, and who did it. */
const props = defineProps<{ jobs: readonly PastJob[]; machine: MachineFields }>()
const session = useSession()
const telling = computed(() => tellingOf(session.units, props.machine, session.works?.footWords))
const w = historyWords.feet
const raised = (mm: number) =>
  Math.abs(mm) < 1e-6 ? '' : figure(mm, 'displacement', session.units, { sign: true })
const jobs = computed(() =>
  props.jobs.map((j) => ({
    ...j,
    rows: j.moved.map((m) => {
      const foot = capital(telling.value.footNames(m.pair, m.machine))
      return {
        key: `${m.machine} ${m.pair}`,
        place: m.machine === 'stationary' ? w.driven(foot) : foot,
        figures: [
          raised(m.raised.left),
          raised(m.raised.right),
          Math.abs(m.pushed) < 1e-6 ? '' : offsetWords(m.pushed, 'h', telling.value),
        ],
        by: m.by,
      }
    }),
  })),
)
</script>

<template>
  <DoneByJob
    :title="w.title"
    :unit="UNIT_NAMES[session.units].displacement"
    :none="w.none"
    :head="[w.foot, w.left, w.right, w.pushed]"
    :jobs="jobs"
  />
</template>
