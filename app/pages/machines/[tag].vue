<script setup lang="ts">
import type { MachineAnswer } from '~~/shared/api/answers'
import { settleTolerance } from '~~/core/judge/tolerance'
import { toleranceToCore } from '~~/core/judge/toleranceUnits'
import { judgedQuantities } from '~~/core/judge/quantities'
import { toCore } from '~~/core/units/unitSystem'
import { figure, pack, UNIT_NAMES } from '~~/shared/wording/figures'
import { quantityName } from '~~/shared/wording/quantities'
import { toleranceSource } from '~~/shared/wording/tolerances'

const route = useRoute()
const session = useSession()
const tag = computed(() => String(route.params.tag))
const { data, failure, load } = useAnswer<MachineAnswer>(
  () => `/api/machines/${encodeURIComponent(tag.value)}`,
)
useHead({ title: () => `${tag.value} · Hushed Caliper` })

const starting = ref(false)
const changing = ref(false)
const openJob = computed(() => data.value?.jobs.find((j) => j.closedAt === null) ?? null)
const limits = computed(() => {
  const m = data.value?.machine
  if (!m) return []
  const settled = settleTolerance(toleranceToCore(m.tolerance, m.units), m.rpm)
  return judgedQuantities(settled).map((q) => {
    const kind = q.terms[0]?.kind ?? 'displacement'
    const [low, high] = q.terms[0]?.band ?? [null, null]
    const show = (v: number | null) => figure(v, kind, session.units, { sign: true })
    return {
      name: quantityName(q.name),
      text:
        low !== null && high !== null && low === -high
          ? `±${figure(high, kind, session.units)}`
          : `${show(low)} to ${show(high)}`,
      unit: UNIT_NAMES[session.units][kind],
    }
  })
})
const mm = (t: number) => toCore(t, 'displacement', data.value?.machine.units ?? 'inch')
</script>

<template>
  <div class="page">
    <LoadState :waiting="!data" :failure="failure" @again="load">
      <template v-if="data">
        <div class="head">
          <div>
            <h1>{{ data.machine.tag }} {{ data.machine.name }}</h1>
            <p class="muted">
              {{ data.machine.area }} · {{ data.machine.movableName.toLowerCase() }} to
              {{ data.machine.stationaryName.toLowerCase() }} ·
              {{ data.machine.couplingKind.toLowerCase() }} · {{ data.machine.powerKw }} kW ·
              {{ data.machine.rpm }} rpm
            </p>
          </div>
          <div class="actions">
            <button type="button" class="quiet-button" @click="changing = true">Change the register</button>
            <NuxtLink v-if="openJob" :to="`/jobs/${openJob.id}`" class="next-button"
              >Go on with the open job</NuxtLink
            >
            <button v-else type="button" class="next-button" @click="starting = true">Start a job</button>
          </div>
        </div>
        <div class="two">
          <MachineDrawing :machine="data.machine" />
          <div class="facts panel">
            <h2>Under the feet</h2>
            <table class="figures-table">
              <thead>
                <tr>
                  <th>{{ UNIT_NAMES[session.units].displacement }}</th>
                  <th>left</th>
                  <th>right</th>
                </tr>
              </thead>
              <tbody>
                <tr v-for="f in data.machine.feet" :key="f.id">
                  <td>{{ f.id === 'inboard' ? 'Inboard' : 'Outboard' }}</td>
                  <td class="figure">{{ pack(f.existing.left.map(mm), session.units) }}</td>
                  <td class="figure">{{ pack(f.existing.right.map(mm), session.units) }}</td>
                </tr>
              </tbody>
            </table>
            <h2>Limits</h2>
            <table class="figures-table">
              <tbody>
                <tr v-for="l in limits" :key="l.name">
                  <td>{{ l.name }}</td>
                  <td class="figure">{{ l.text }} {{ l.unit }}</td>
                </tr>
              </tbody>
            </table>
            <p class="muted source">{{ toleranceSource(data.machine.tolerance, data.machine.rpm) }}</p>
          </div>
        </div>
        <h2>Jobs</h2>
        <JobList :jobs="data.jobs" empty="No job yet on this machine." />
        <StartJob v-model="starting" :machine="data.machine" />
        <MachineForm v-model="changing" :machine="data.machine" @changed="load" />
      </template>
    </LoadState>
  </div>
</template>

<style scoped>
.head {
  display: flex;
  justify-content: space-between;
  align-items: start;
  gap: 20px;
  margin-bottom: 18px;
}
.actions {
  display: flex;
  gap: 12px;
  flex: none;
}
.actions .next-button {
  width: auto;
  min-width: 180px;
}
.two {
  display: grid;
  grid-template-columns: 1fr 380px;
  gap: 18px;
}
.facts {
  padding: 4px 18px 16px;
}
.facts h2 {
  margin: 14px 0 4px;
}
.source {
  margin-top: 8px;
  font-size: 14px;
}
@media (max-width: 1000px) {
  .two {
    grid-template-columns: 1fr;
  }
}
@media (max-width: 760px) {
  .head {
    flex-direction: column;
  }
}
</style>
