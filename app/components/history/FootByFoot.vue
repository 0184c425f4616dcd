<script setup lang="ts">
import { historyWords } from '~~/shared/wording/viewWords'
import type { PastJob } from '~~/shared/api/answers'
import type { MachineFields } from '~~/shared/register/machine'
import { movedFigures } from '~~/shared/wording/movedFeet'
import { UNIT_NAMES } from '~~/shared/wording/figures'
import { capital } from '~~/shared/wording/capital'
import { tellingOf } from '~~/shared/wording/telling'
import DoneByJob from './DoneByJob.vue'

/** What each closed job did at each foot pair, and who did it. */
const props = defineProps<{ jobs: readonly PastJob[]; machine: MachineFields }>()
const session = useSession()
const telling = computed(() => tellingOf(session.units, props.machine, session.works?.footWords))
const w = historyWords.feet
const jobs = computed(() =>
  props.jobs.map((j) => ({
    ...j,
    rows: j.moved.map((m) => {
      const foot = capital(telling.value.footNames(m.pair, m.machine))
      return {
        key: `${m.machine} ${m.pair}`,
        place: m.machine === 'stationary' ? w.driven(foot) : foot,
        figures: movedFigures(m, telling.value),
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
