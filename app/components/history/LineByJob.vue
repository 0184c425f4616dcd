<script setup lang="ts">
import { historyWords } from '~~/shared/wording/viewWords'
import type { PastJob } from '~~/shared/api/answers'
import { movedInTrain } from '~~/core/history/movedInTrain'
import type { MachineRecord } from '~~/shared/register/machine'
import { registeredTrain } from '~~/shared/register/registeredTrain'
import { movedFigures } from '~~/shared/wording/movedFeet'
import { UNIT_NAMES } from '~~/shared/wording/figures'
import { tellingOf } from '~~/shared/wording/telling'
import DoneByJob from './DoneByJob.vue'

/** What each closed job did under the feet of every machine of the line, and who did it. */
const props = defineProps<{
  jobs: readonly PastJob[]
  machine: MachineRecord & { readonly drive: 'train' }
}>()
const session = useSession()
const telling = computed(() => tellingOf(session.units, null, session.works?.footWords))
const w = historyWords.feet
const parts = computed(() => registeredTrain(props.machine).parts)
const jobs = computed(() =>
  props.jobs.map((j) => ({
    ...j,
    rows: movedInTrain(j.moved, parts.value).map((m) => {
      const part = parts.value.byId.get(m.unit ?? '')
      const foot = part ? telling.value.of(part.machine).footNames(m.pair) : m.pair
      return {
        key: `${m.unit ?? ''} ${m.pair}`,
        place: [part?.name, foot].filter(Boolean).join(', '),
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
