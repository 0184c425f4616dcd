<script setup lang="ts">
import { closingWords } from '~~/shared/wording/en'
import { historyWords } from '~~/shared/wording/viewWords'
import dayjs from 'dayjs'
import type { PastJob } from '~~/shared/api/answers'
import type { NamedLine } from '~~/shared/drawing/lineBundle'
import type { MachineFields } from '~~/shared/register/machine'
import { compareJobs } from '~~/shared/wording/compareJobs'
import { tellingOf } from '~~/shared/wording/telling'

/** Two closed jobs of one machine held against each other: how they left it, and everything in words. */
const props = defineProps<{ jobs: readonly PastJob[]; machine: MachineFields }>()
const shown = defineModel<boolean>({ required: true })
const session = useSession()
const telling = computed(() => tellingOf(session.units, props.machine, session.works?.footWords))
const w = historyWords.compare
const picked = ref<[string, string]>(['', ''])
useOnShown(shown, () => {
  picked.value = [props.jobs[1]?.id ?? '', props.jobs[0]?.id ?? '']
})
const { jobOf, failed } = usePastJobs(() => (shown.value ? picked.value : []))
const pair = computed(() => {
  const [a, b] = picked.value.map(jobOf)
  return a && b ? { a, b } : null
})
const dayOf = (id: string) => dayjs(props.jobs.find((j) => j.id === id)?.closedAt).format('D MMM YYYY')
const rows = computed(() => (pair.value ? compareJobs(pair.value.a, pair.value.b, telling.value) : []))
/** Both lines as left, where both were measured by coupling. */
const drawn = computed(() => {
  const { a, b } = pair.value ?? {}
  if (a?.kind !== 'coupled' || b?.kind !== 'coupled') return null
  const [was, now] = [a.state.asLeft?.coupling, b.state.asLeft?.coupling]
  if (!was || !now) return null
  const lines: readonly NamedLine[] = [
    { look: 'before', name: dayOf(picked.value[0]), line: was },
    { look: 'now', name: dayOf(picked.value[1]), line: now },
  ]
  return { lines, feet: b.state.feet.movable, tolerance: b.state.tolerance }
})
const options = computed(() => props.jobs.map((j) => ({ id: j.id, name: dayOf(j.id) })))
const pick = (at: 0 | 1, id: string) => {
  picked.value = at === 0 ? [id, picked.value[1]] : [picked.value[0], id]
}
</script>

<template>
  <el-dialog
    v-model="shown"
    :title="w.title(machine.tag)"
    width="min(980px, 96vw)"
    append-to-body
    destroy-on-close
  >
    <div class="picks">
      <label v-for="at in [0, 1] as const" :key="at">
        <span>{{ at === 0 ? w.first : w.second }}</span>
        <el-select
          :model-value="picked[at]"
          :aria-label="at === 0 ? w.first : w.second"
          @update:model-value="pick(at, $event)"
        >
          <el-option
            v-for="o in options"
            :key="o.id"
            :value="o.id"
            :label="o.name"
            :disabled="o.id === picked[at === 0 ? 1 : 0]"
          />
        </el-select>
      </label>
    </div>
    <p v-if="failed" class="fault" role="alert">{{ failed }}</p>
    <el-skeleton v-else-if="!pair" :rows="6" animated :aria-label="w.fetching" />
    <template v-else>
      <div v-if="drawn" class="board lines">
        <h3>{{ closingWords(telling.words).asLeft }}</h3>
        <LineBundle v-bind="drawn" />
      </div>
      <table class="figures-table">
        <thead>
          <tr>
            <th scope="col" />
            <th scope="col">{{ dayOf(picked[0]) }}</th>
            <th scope="col">{{ dayOf(picked[1]) }}</th>
          </tr>
        </thead>
        <tbody>
          <tr v-for="r in rows" :key="r.name" :class="{ differs: r.differs }">
            <td>{{ r.name }}</td>
            <td>{{ r.first }}</td>
            <td>
              <span v-if="r.differs" class="visually-hidden">{{ w.differs }}</span> {{ r.second }}
            </td>
          </tr>
        </tbody>
      </table>
    </template>
  </el-dialog>
</template>

<style scoped>
.picks {
  display: grid;
  grid-template-columns: 1fr 1fr;
  gap: 16px;
  margin-bottom: 14px;
}
label > span {
  display: block;
  margin-bottom: 4px;
  font-size: 14px;
}
.lines {
  padding: 12px 16px;
  border-radius: 4px;
  background: var(--dye);
  color: var(--scribe);
  margin-bottom: 12px;
}
h3 {
  color: #fff;
  font-size: 16px;
}
td {
  width: 34%;
  vertical-align: top;
}
tr:not(.differs) td:not(:first-child) {
  color: var(--muted);
}
tr.differs td:not(:first-child) {
  font-weight: 600;
}
.fault {
  color: var(--out);
}
</style>
