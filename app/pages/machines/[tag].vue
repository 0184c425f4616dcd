<script setup lang="ts">
import type { LimitSetRecord } from '~~/shared/limits/limitSet'
import type { MachineAnswer } from '~~/shared/api/answers'

const route = useRoute()
const session = useSession()
const tag = computed(() => String(route.params.tag))
const { data, failure, load } = useAnswer<MachineAnswer>(
  () => `/api/machines/${encodeURIComponent(tag.value)}`,
)
const { data: limitSets } = useAnswer<readonly LimitSetRecord[]>(() => '/api/limits')
const { shell, pages } = useWords()
const w = pages.machine
useHead({ title: () => shell.pageTitle(tag.value) })

const under = (m: MachineAnswer['machine']) =>
  w.under(m.area, w.drive(m.movableName.toLowerCase(), m.stationaryName.toLowerCase()), m.powerKw, m.rpm)
const starting = ref(false)
const changing = ref(false)
const copying = ref(false)
const { jobs, next, more, asking, failed } = useMoreJobs(
  () => data.value?.jobs ?? null,
  () => `/api/jobs?machine=${encodeURIComponent(tag.value)}`,
)
/** Out of service, or back into it. */
const notRetired = ref('')
const retiring = ref(false)
const retire = async (retired: boolean) => {
  const machine = data.value?.machine
  if (!machine) return
  retiring.value = false
  notRetired.value = ''
  const { id: _, ...record } = machine
  try {
    await askServer(`/api/machines/${encodeURIComponent(tag.value)}`, {
      method: 'PUT',
      body: { ...record, retired },
    })
  } catch (error) {
    if (!(error instanceof ApiFailure)) throw error
    notRetired.value = error.message
  }
  await load()
}
const openJob = computed(() => jobs.value.find((j) => j.closedAt === null) ?? null)
const saved = (now: string) => (now === tag.value ? load() : navigateTo(`/machines/${now}`))
</script>

<template>
  <div class="page">
    <LoadState :waiting="!data" :failure="failure" @again="load">
      <template v-if="data">
        <div class="head">
          <div>
            <h1>{{ data.machine.tag }} {{ data.machine.name }}</h1>
            <p class="muted">
              {{ under(data.machine) }}
            </p>
            <p v-if="data.machine.retired">{{ w.retired }}</p>
            <p v-if="notRetired" class="fault" role="alert">{{ notRetired }}</p>
          </div>
          <div class="actions">
            <el-button class="quiet-button" @click="copying = true">{{ w.copy }}</el-button>
            <el-button class="quiet-button" @click="changing = true">{{ w.change }}</el-button>
            <el-button v-if="data.machine.retired" class="quiet-button" @click="retire(false)">{{
              w.backToService
            }}</el-button>
            <el-button v-else class="quiet-button" @click="retiring = true">{{ w.retire }}</el-button>
            <el-button v-if="openJob" class="next-button" @click="navigateTo(`/jobs/${openJob.id}`)">{{
              w.goOn
            }}</el-button>
            <el-button v-else-if="!data.machine.retired" class="next-button" @click="starting = true">{{
              w.start
            }}</el-button>
          </div>
        </div>
        <div class="two">
          <MachineDrawing
            v-if="data.machine.drive === 'coupled'"
            :machine="data.machine"
            :units="session.units"
          />
          <BeltDrawing v-else :machine="data.machine" :units="session.units" />
          <CoupledFacts
            v-if="data.machine.drive === 'coupled'"
            :limit-sets="(limitSets ?? []).filter((s) => s.inForce)"
            :machine="data.machine"
          />
          <BeltFacts v-else :machine="data.machine" />
        </div>
        <h2>{{ w.jobs }}</h2>
        <JobList :jobs="jobs" :empty="w.noJobs" />
        <MoreJobs :label="w.olderJobs" :next="next" :asking="asking" :failed="failed" @more="more" />
        <el-dialog
          v-model="retiring"
          :title="w.retireTitle(data.machine.tag)"
          width="min(460px, 94vw)"
          append-to-body
        >
          <p>{{ w.retireWhat }}</p>
          <el-button class="next-button" @click="retire(true)">{{ w.retire }}</el-button>
        </el-dialog>
        <StartJob v-model="starting" :machine="data.machine" />
        <MachineForm v-model="changing" :machine="data.machine" @saved="saved" />
        <MachineForm
          v-model="copying"
          :machine="null"
          :like="data.machine"
          @saved="navigateTo(`/machines/${$event}`)"
        />
      </template>
    </LoadState>
  </div>
</template>

<style scoped>
.fault {
  color: var(--out);
}
.head {
  display: flex;
  justify-content: space-between;
  align-items: start;
  gap: 20px;
  margin-bottom: 18px;
}
.actions {
  display: flex;
  flex-wrap: wrap;
  justify-content: flex-end;
  gap: 12px;
  flex: 1 1 auto;
}
.actions .next-button {
  width: auto;
  min-width: 180px;
}
.two {
  display: grid;
  grid-template-columns: minmax(0, 1fr) 380px;
  gap: 18px;
}
@media (max-width: 1000px) {
  .two {
    grid-template-columns: minmax(0, 1fr);
  }
}
@media (max-width: 760px) {
  .head {
    flex-direction: column;
  }
  .actions {
    flex-wrap: wrap;
  }
}
</style>
