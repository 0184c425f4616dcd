<script setup lang="ts">
import { LEVERS } from '~~/core/gear/levers'
import { historyWords } from '~~/shared/wording/viewWords'
import type { PastJob } from '~~/shared/api/answers'
import type { MachineRecord } from '~~/shared/register/machine'
import { layersWords } from '~~/shared/wording/backlash'
import { backlashWords, gearWords } from '~~/shared/wording/en'
import { UNIT_NAMES } from '~~/shared/wording/figures'
import { endOf, leverName, shiftFigure } from '~~/shared/wording/gearContact'
import { capital } from '~~/shared/wording/capital'
import { tellingOf } from '~~/shared/wording/telling'
import DoneByJob from './DoneByJob.vue'

/** What each closed job shifted along the teeth and laid under the blocks, and who did it. */
const props = defineProps<{
  jobs: readonly PastJob[]
  machine: MachineRecord & { readonly drive: 'gear' }
}>()
const session = useSession()
const telling = computed(() => tellingOf(session.units, null))
const w = historyWords.gears
const jobs = computed(() =>
  props.jobs.map(({ id, closedAt, gear }) => ({
    id,
    closedAt,
    rows: gear
      ? [
          ...LEVERS.flatMap((lever) => {
            const by = gear.shifted[lever]
            return Math.abs(by) < 1e-6
              ? []
              : [
                  {
                    key: lever,
                    place: capital(leverName(lever, props.machine, telling.value)),
                    figures: [
                      gearWords(telling.value.words).toward(
                        shiftFigure(by, telling.value),
                        endOf(props.machine, by),
                      ),
                    ],
                    by: gear.by,
                  },
                ]
          }),
          ...gear.layers.flatMap((n, i) =>
            n === 0
              ? []
              : [
                  {
                    key: `block ${i}`,
                    place: backlashWords(telling.value.words).blockName(i + 1),
                    figures: [layersWords(n, telling.value)],
                    by: gear.by,
                  },
                ],
          ),
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
    :head="[w.what, w.by]"
    :jobs="jobs"
  />
</template>
