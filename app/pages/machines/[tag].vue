<script setup lang="ts">
import { closingWords, pagesWords, shellWords, verdictsWords, drivesWords } from '~~/shared/wording/en'
import { historyWords } from '~~/shared/wording/viewWords'
import type { LimitSetRecord } from '~~/shared/limits/limitSet'
import dayjs from 'dayjs'
import type { HistoryAnswer, MachineAnswer } from '~~/shared/api/answers'
import { partsOf } from '~~/core/train/parts'
import type { MachineRecord } from '~~/shared/register/machine'
import { partMachine } from '~~/shared/register/partMachine'
import { urgencyWords } from '~~/shared/wording/due'
import { tellingOf } from '~~/shared/wording/telling'
import FeetNow from '~/components/history/FeetNow.vue'
import FootByFoot from '~/components/history/FootByFoot.vue'
import MachineNotes from '~/components/history/MachineNotes.vue'
import PastJobs from '~/components/history/PastJobs.vue'
import StandsAsLeft from '~/components/history/StandsAsLeft.vue'

/** The chart is as large as all else of the page and below its first screen. */
const FoundAndLeft = defineAsyncComponent(() => import('~/components/history/FoundAndLeft.vue'))
const DrumNow = defineAsyncComponent(() => import('~/components/history/DrumNow.vue'))
/** What only a drive by belts shows comes with the first of them. */
const BoltByBolt = defineAsyncComponent(() => import('~/components/history/BoltByBolt.vue'))
const GearByJob = defineAsyncComponent(() => import('~/components/history/GearByJob.vue'))
const GearNow = defineAsyncComponent(() => import('~/components/history/GearNow.vue'))
const LineByJob = defineAsyncComponent(() => import('~/components/history/LineByJob.vue'))
const TrainNow = defineAsyncComponent(() => import('~/components/history/TrainNow.vue'))
const BeltDrive = defineAsyncComponent(() => import('~/components/history/BeltDrive.vue'))
const PictureButton = defineAsyncComponent(() => import('~/components/picture/PictureButton.vue'))
const KeepMachine = defineAsyncComponent(() => import('~/components/device/KeepMachine.vue'))
const behind = useBehind()

const route = useRoute()
const session = useSession()
const tag = computed(() => String(route.params.tag))
const { data, failure, load } = useAnswer<MachineAnswer>(
  () => `/api/machines/${encodeURIComponent(tag.value)}`,
)
const { data: past, load: loadPast } = useAnswer<HistoryAnswer>(
  () => `/api/machines/${encodeURIComponent(tag.value)}/history`,
)
const { data: limitSets } = useAnswer<readonly LimitSetRecord[]>(() => '/api/limits')
const words = useWords()
const shell = shellWords(words)
const pages = pagesWords(words)
const w = pages.machine
useHead({ title: () => shell.pageTitle(tag.value) })

const under = (m: MachineAnswer['machine']) =>
  drivesWords(words).under(
    m.area,
    drivesWords(words).between(m.movableName.toLowerCase(), m.stationaryName.toLowerCase()),
    m.powerKw,
    m.rpm,
  )
/** Come back to from what is due: the job is started at once. */
const starting = ref(typeof route.query.start === 'string')
const because = computed(() =>
  route.query.start === 'hot-check' || route.query.start === 'sheave-set' ? route.query.start : 'planned',
)
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
const openJobs = computed(() => jobs.value.filter((j) => j.closedAt === null))
const openJob = computed(() => openJobs.value[0] ?? null)
/** Jobs that go on behind those that the history tells. */
const older = computed(() => {
  const told = new Set(past.value?.jobs.map((j) => j.id))
  return jobs.value.filter((j) => j.closedAt !== null && !told.has(j.id))
})
const closedJobs = computed(() => past.value?.jobs ?? [])
const last = computed(() => closedJobs.value[0] ?? null)
const lastSummary = computed(() => jobs.value.find((j) => j.id === last.value?.id) ?? null)
/** The last one that measured it tells how it was left. */
const measured = computed(() => closedJobs.value.find((j) => j.figures.length > 0) ?? null)
const { jobOf } = usePastJobs(() => (measured.value ? [measured.value.id] : []))
const leftJob = computed(() => (measured.value ? jobOf(measured.value.id) : null))
const leftAs = computed(() =>
  leftJob.value?.kind === 'coupled' && leftJob.value.state.asLeft?.coupling ? leftJob.value.state : null,
)
const leftDrum = computed(() => (leftJob.value?.kind === 'drum' ? leftJob.value.state : null))
const leftTrain = computed(() => (leftJob.value?.kind === 'train' ? leftJob.value.state : null))
const leftGear = computed(() => (leftJob.value?.kind === 'gear' ? leftJob.value.state : null))
const leftFlange = computed(() => (leftJob.value?.kind === 'flange' ? leftJob.value.state : null))
/** The couplings of a line, each as a machine of its own. */
const linked = computed(() => {
  const machine = data.value?.machine
  return machine?.drive === 'train'
    ? partsOf({ ...machine, stock: [], packLimit: 0 }).couplings.map((part) => ({
        id: part.id,
        name: part.name,
        machine: partMachine(machine, part) as MachineRecord & { readonly drive: 'coupled' },
      }))
    : []
})
const couplingNames = computed(() => Object.fromEntries(linked.value.map((p) => [p.id, p.name])))
const drawn = ref<'left' | 'dimensions'>('left')
const draws = computed(() => (leftAs.value ? drawn.value : 'dimensions'))
const comparing = ref(false)
const later = useLater(comparing, starting, changing, copying)
const days = (since: string) => Math.max(0, dayjs().startOf('day').diff(dayjs(since).startOf('day'), 'day'))
const due = computed(() => {
  const on = lastSummary.value?.nextDue?.slice(0, 10)
  return on ? urgencyWords(on, dayjs().format('YYYY-MM-DD'), tellingOf(session.units, null)) : null
})
const saved = (now: string) =>
  now === tag.value ? Promise.all([load(), loadPast()]) : navigateTo(`/machines/${now}`)
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
            <p class="stands">
              <span v-if="last"
                ><VerdictMark :mark="last.verdict" silent />
                <strong>{{ verdictsWords(words)[last.verdict] }}</strong>
                {{ historyWords.stands.left(historyWords.ago(days(last.closedAt))) }}</span
              >
              <span v-else>{{ historyWords.stands.unmeasured }}</span>
              <span v-if="due">{{ due }}</span>
            </p>
            <p v-if="data.machine.retired">{{ w.retired }}</p>
            <p v-if="notRetired" class="fault" role="alert">{{ notRetired }}</p>
          </div>
          <div class="actions">
            <PictureButton v-if="behind" :about="`${data.machine.tag} ${data.machine.name}`" />
            <KeepMachine
              v-if="behind && session.may('log')"
              :key="data.machine.tag"
              :tag="data.machine.tag"
              :name="data.machine.name"
            />
            <template v-if="session.may('register')">
              <el-button class="quiet-button" @click="copying = true">{{ w.copy }}</el-button>
              <el-button class="quiet-button" @click="changing = true">{{ w.change }}</el-button>
              <el-button v-if="data.machine.retired" class="quiet-button" @click="retire(false)">{{
                w.backToService
              }}</el-button>
              <el-button v-else class="quiet-button" @click="retiring = true">{{ w.retire }}</el-button>
            </template>
            <el-button v-if="openJob" class="next-button" @click="navigateTo(`/jobs/${openJob.id}`)">{{
              w.goOn
            }}</el-button>
            <el-button
              v-else-if="!data.machine.retired && session.may('log')"
              class="next-button"
              @click="starting = true"
              >{{ w.start }}</el-button
            >
          </div>
        </div>
        <div v-if="data.machine.drive === 'coupled'" class="stand board">
          <div class="drawn">
            <ChoiceRow
              v-if="leftAs && measured"
              v-model="drawn"
              class="pick"
              :label="historyWords.view"
              :options="[
                { value: 'left', name: closingWords(words).asLeft },
                { value: 'dimensions', name: historyWords.dimensions },
              ]"
            />
            <StandsAsLeft
              v-if="draws === 'left' && leftAs && measured"
              :state="leftAs"
              :closed-at="measured.closedAt"
            />
            <MachineDrawing v-else :machine="data.machine" :units="session.units" />
          </div>
          <FeetNow :machine="data.machine" :pack-limit="session.works?.packLimit ?? 4" />
        </div>
        <TrainNow
          v-else-if="data.machine.drive === 'train'"
          :machine="data.machine"
          :left="leftTrain"
          :closed-at="measured?.closedAt ?? null"
        />
        <DrumNow
          v-else-if="data.machine.drive === 'drum'"
          :machine="data.machine"
          :left="leftDrum"
          :closed-at="measured?.closedAt ?? null"
        />
        <FlangeNow
          v-else-if="data.machine.drive === 'flange'"
          :machine="data.machine"
          :left="leftFlange"
          :closed-at="measured?.closedAt ?? null"
        />
        <GearNow
          v-else-if="data.machine.drive === 'gear'"
          :machine="data.machine"
          :left="leftGear"
          :closed-at="measured?.closedAt ?? null"
        />
        <BeltDrive
          v-else
          :machine="data.machine"
          :jobs="past ? closedJobs : null"
          :left="lastSummary"
          @saved="load"
        />
        <div class="below">
          <FoundAndLeft v-if="behind" :jobs="closedJobs" :couplings="couplingNames" />
          <div v-else class="panel to-come" />
          <PastJobs :open="openJobs" :jobs="closedJobs" @compare="comparing = true" />
          <div class="aside">
            <template v-if="data.machine.drive === 'train'">
              <CoupledFacts
                v-for="p in linked"
                :key="p.id"
                :name="p.name"
                :limit-sets="(limitSets ?? []).filter((s) => s.inForce)"
                :machine="p.machine"
              />
            </template>
            <CoupledFacts
              v-else-if="data.machine.drive !== 'belt' && data.machine.drive !== 'gear'"
              :limit-sets="(limitSets ?? []).filter((s) => s.inForce)"
              :machine="data.machine"
            />
            <MachineNotes :jobs="closedJobs" />
          </div>
          <FootByFoot
            v-if="'feet' in data.machine"
            class="by-foot"
            :jobs="closedJobs"
            :machine="data.machine"
          />
          <BoltByBolt
            v-else-if="data.machine.drive === 'flange'"
            class="by-foot"
            :jobs="closedJobs"
            :machine="data.machine"
          />
          <LineByJob
            v-else-if="data.machine.drive === 'train'"
            class="by-foot"
            :jobs="closedJobs"
            :machine="data.machine"
          />
          <GearByJob
            v-else-if="data.machine.drive === 'gear'"
            class="by-foot"
            :jobs="closedJobs"
            :machine="data.machine"
          />
        </div>
        <template v-if="older.length > 0">
          <h2>{{ w.olderJobs }}</h2>
          <JobList :jobs="older" :empty="w.noJobs" />
        </template>
        <MoreJobs :label="w.olderJobs" :next="next" :asking="asking" :failed="failed" @more="more" />
        <LazyCompareJobs v-if="later" v-model="comparing" :jobs="closedJobs" :machine="data.machine" />
        <el-dialog
          v-model="retiring"
          :title="w.retireTitle(data.machine.tag)"
          width="min(460px, 94vw)"
          append-to-body
        >
          <p>{{ w.retireWhat }}</p>
          <el-button class="next-button" @click="retire(true)">{{ w.retire }}</el-button>
        </el-dialog>
        <LazyStartJob v-if="later" v-model="starting" :machine="data.machine" :because="because" />
        <LazyMachineForm v-if="later" v-model="changing" :machine="data.machine" @saved="saved" />
        <LazyMachineForm
          v-if="later"
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
.stands {
  display: flex;
  flex-wrap: wrap;
  gap: 2px 18px;
  margin-top: 4px;
}
.stands svg {
  margin-right: 4px;
  vertical-align: -2px;
}
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
.drawn {
  position: relative;
  min-width: 0;
}
.pick {
  float: right;
}
.below {
  display: grid;
  grid-template-columns: minmax(0, 1.25fr) minmax(0, 1fr) minmax(0, 0.85fr);
  grid-template-rows: auto 1fr;
  gap: 14px;
  margin: 14px 0;
  align-items: start;
}
.aside {
  display: grid;
  gap: 14px;
  min-width: 0;
  grid-column: 3;
  grid-row: 1 / 3;
}
.by-foot {
  grid-column: 1 / 3;
}
.to-come {
  min-height: 380px;
}
@media (max-width: 1000px) {
  .stand,
  .below {
    grid-template-columns: minmax(0, 1fr);
  }
  .aside,
  .by-foot {
    grid-column: 1;
    grid-row: auto;
  }
  .stand > :last-child {
    border-left: 0;
    border-top: 1px solid var(--dye-line);
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
