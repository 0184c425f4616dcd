<script setup lang="ts">
import { historyWords } from '~~/shared/wording/viewWords'
import dayjs from 'dayjs'
import type { PastJob } from '~~/shared/api/answers'
import type { MachineFields } from '~~/shared/register/machine'
import { offsetWords } from '~~/shared/wording/directions'
import { figure, UNIT_NAMES } from '~~/shared/wording/figures'
import { capital, tellingOf } from '~~/shared/wording/telling'

/** What each closed job did at each foot pair, and who did it. */
const props = defineProps<{ jobs: readonly PastJob[]; machine: MachineFields }>()
const session = useSession()
const telling = computed(() => tellingOf(session.units, props.machine, session.works?.footWords))
const w = historyWords.feet
const raised = (mm: number) =>
  Math.abs(mm) < 1e-6 ? '' : figure(mm, 'displacement', session.units, { sign: true })
const rows = computed(() =>
  props.jobs.flatMap((j) =>
    j.moved.map((m, i) => {
      const foot = capital(telling.value.footNames(m.pair, m.machine))
      return {
        key: `${j.id} ${m.machine} ${m.pair}`,
        day: i === 0 ? dayjs(j.closedAt).format('D MMM YYYY') : '',
        job: j.id,
        foot: m.machine === 'stationary' ? w.driven(foot) : foot,
        left: raised(m.raised.left),
        right: raised(m.raised.right),
        pushed: Math.abs(m.pushed) < 1e-6 ? '' : offsetWords(m.pushed, 'h', telling.value),
        who: i === 0 ? m.by.join(', ') : m.by.join() === j.moved[0]?.by.join() ? '' : m.by.join(', '),
      }
    }),
  ),
)
</script>

<template>
  <section class="panel feet" :aria-label="w.title">
    <h2 class="title">
      {{ w.title }} <span class="muted">{{ UNIT_NAMES[session.units].displacement }}</span>
    </h2>
    <p v-if="rows.length === 0" class="muted">{{ w.none }}</p>
    <div v-else class="scroll" tabindex="0">
      <table class="figures-table">
        <thead>
          <tr>
            <th scope="col">{{ historyWords.trend.day }}</th>
            <th scope="col" class="name">{{ w.foot }}</th>
            <th scope="col">{{ w.left }}</th>
            <th scope="col">{{ w.right }}</th>
            <th scope="col">{{ w.pushed }}</th>
            <th scope="col" class="name">{{ w.who }}</th>
          </tr>
        </thead>
        <tbody>
          <tr v-for="r in rows" :key="r.key" :class="{ first: r.day }">
            <td class="day">
              <NuxtLink v-if="r.day" :to="`/jobs/${r.job}`">{{ r.day }}</NuxtLink>
            </td>
            <td class="name">{{ r.foot }}</td>
            <td class="figure">{{ r.left }}</td>
            <td class="figure">{{ r.right }}</td>
            <td class="pushed">{{ r.pushed }}</td>
            <td class="name muted">{{ r.who }}</td>
          </tr>
        </tbody>
      </table>
    </div>
  </section>
</template>

<style scoped>
.feet {
  padding: 14px 16px;
  min-width: 0;
}
h2.title {
  margin: 0 0 6px;
  font-size: 17px;
}
h2 .muted {
  font-weight: 400;
  font-size: 14px;
}
.scroll {
  overflow-x: auto;
}
tr:not(.first) td {
  border-top: 0;
}
.day,
.pushed {
  white-space: nowrap;
}
th.name,
td.name {
  text-align: left;
  padding-left: 14px;
}
</style>
