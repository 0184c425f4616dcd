<script setup lang="ts">
import { shellWords } from '~~/shared/wording/en'
import { limitSetWords } from '~~/shared/wording/viewWords'
import type { MachineSummary } from '~~/shared/api/answers'
import type { CoupledFields } from '~~/shared/register/coupledMachine'
import { blankLimits, starterCopy, textsOfLimits, type LimitTexts } from '~~/shared/limits/form'
import type { LimitSetRecord } from '~~/shared/limits/limitSet'
import NearestWins from '~/components/limits/NearestWins.vue'

/** Tables of limits, which of them rules a machine, and how they are changed. */
const words = useWords()
const session = useSession()
const w = limitSetWords
useHead({ title: shellWords(words).pageTitle(w.title) })
const {
  data,
  failure,
  load,
  tables: sets,
  holding: inForce,
  editing,
  importing,
  later,
  known,
  begin,
  edit,
  refused,
  hold: force,
} = useKeptTables<LimitSetRecord, LimitTexts>({
  address: '/api/limits',
  holds: (set) => set.inForce,
  held: (set, inForce) => ({ ...set, inForce }),
  blank: () => blankLimits(session.units),
})
const { data: register } = useAnswer<readonly MachineSummary[]>(() => '/api/machines')

const machines = computed(() =>
  (register.value ?? []).filter(
    (m): m is MachineSummary & CoupledFields => m.drive === 'coupled' && !m.retired,
  ),
)
const kinds = computed(() => [...new Set(machines.value.map((m) => m.couplingKind))].sort())
const picked = ref('')
/** The one asked for, or the first that goes by the tables. */
const machine = computed(
  () =>
    machines.value.find((m) => m.tag === picked.value) ??
    machines.value.find((m) => m.tolerance.form === 'speed-rule') ??
    machines.value[0] ??
    null,
)
const files = () => import('~~/shared/limits/files')
const csv = useFileLink(later, 'text/csv', async () => {
  const all = sets.value
  return (await files()).limitsToCsv(all)
})
const json = useFileLink(later, 'application/json', async () => {
  const all = sets.value
  return (await files()).limitsToJson(all)
})
const copied = (set: LimitSetRecord): LimitTexts => ({
  ...textsOfLimits(set),
  name: w.copyOf(set.name),
  inForce: false,
})
const speeds = (set: LimitSetRecord) => {
  const last = set.rows[set.rows.length - 1]
  return `${w.rowsOf(set.rows.length)}, ${last?.upTo == null ? w.everySpeed : w.row(String(last.upTo))}`
}
</script>

<template>
  <div class="page">
    <div class="head">
      <h1>{{ w.title }}</h1>
      <NuxtLink to="/limits/belts">{{ w.beltLimits }}</NuxtLink>
      <NuxtLink to="/limits/sections">{{ w.sections }}</NuxtLink>
      <el-button tag="a" class="quiet-button" :href="csv" download="limits.csv">{{
        w.files.csvOut
      }}</el-button>
      <el-button tag="a" class="quiet-button" :href="json" download="limits.json">{{
        w.files.jsonOut
      }}</el-button>
      <el-button v-if="session.may('limits')" class="quiet-button" @click="importing = true">{{
        w.files.in
      }}</el-button>
      <el-button
        v-if="session.may('limits')"
        class="quiet-button"
        @click="edit(starterCopy(session.units))"
        >{{ w.copyStarter }}</el-button
      >
      <el-button
        v-if="session.may('limits')"
        class="quiet-button"
        @click="edit(blankLimits(session.units))"
        >{{ w.add }}</el-button
      >
    </div>
    <LoadState :waiting="!data" :failure="failure" @again="load">
      <section v-if="machine" class="nearest board" :aria-label="w.nearest">
        <div class="pick">
          <h2>{{ w.nearest }}</h2>
          <el-select
            :model-value="machine.tag"
            class="machine"
            filterable
            :aria-label="w.machine"
            @update:model-value="picked = $event"
          >
            <el-option v-for="m in machines" :key="m.tag" :value="m.tag" :label="`${m.tag} ${m.name}`" />
          </el-select>
        </div>
        <NearestWins :machine="machine" :sets="inForce" />
        <p class="detail">{{ w.nearestDetail }}</p>
      </section>
      <h2>{{ w.sets }}</h2>
      <p v-if="refused" class="fault" role="alert">{{ refused }}</p>
      <el-empty v-if="sets.length === 0" class="panel" :image-size="1" :description="w.none" />
      <el-table v-else :data="[...sets]" class="panel sets">
        <el-table-column :label="w.columns.name" min-width="190">
          <template #default="{ row }"
            ><strong>{{ row.name }}</strong
            ><br /><span class="muted">{{ row.revision ? w.revision(row.revision) : '' }}</span></template
          >
        </el-table-column>
        <el-table-column :label="w.columns.for" min-width="130">
          <template #default="{ row }">{{ row.level === 'works' ? w.forWorks : row.coupling }}</template>
        </el-table-column>
        <el-table-column :label="w.columns.source" prop="source" min-width="200" />
        <el-table-column :label="w.columns.rows" min-width="130">
          <template #default="{ row }">{{ speeds(row as LimitSetRecord) }}</template>
        </el-table-column>
        <el-table-column :label="w.columns.force" width="130">
          <template #default="{ row }">
            <span class="force"
              ><VerdictMark :mark="row.inForce ? 'done' : 'todo'" />
              {{ row.inForce ? w.inForce : w.notInForce }}</span
            >
          </template>
        </el-table-column>
        <el-table-column v-if="session.may('limits')" width="250">
          <template #default="{ row }">
            <el-button
              link
              class="text-button"
              @click="edit(textsOfLimits(row as LimitSetRecord), row as LimitSetRecord)"
              >{{ w.change }}</el-button
            >
            <el-button link class="text-button" @click="edit(copied(row as LimitSetRecord))">{{
              w.copy
            }}</el-button>
            <el-button link class="text-button" @click="force(row as LimitSetRecord, !row.inForce)">{{
              row.inForce ? w.takeOut : w.putInForce
            }}</el-button>
          </template>
        </el-table-column>
      </el-table>
      <p class="muted stays">{{ w.stays }}</p>
    </LoadState>
    <LazyLimitSetForm
      v-if="later"
      v-model="editing"
      :begin="begin"
      :known="known"
      :in-force="inForce"
      :kinds="kinds"
      @saved="load"
    />
    <LazyLimitFiles v-if="later" v-model="importing" :known="sets" @taken="load" />
  </div>
</template>

<style scoped>
.head {
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  gap: 12px;
  margin-bottom: 18px;
}
.head h1 {
  flex: 1;
}
.nearest {
  background: var(--dye);
  color: var(--scribe);
  border-radius: 4px;
  padding: 16px 20px;
  margin-bottom: 22px;
}
.pick {
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  justify-content: space-between;
  gap: 10px 20px;
  margin-bottom: 12px;
}
.nearest h2 {
  margin: 0;
  color: #fff;
}
.machine {
  width: 300px;
}
.detail {
  margin-top: 12px;
  color: var(--scribe-dim);
  font-size: 14px;
}
h2 {
  margin-bottom: 8px;
}
.force {
  display: inline-flex;
  align-items: center;
  gap: 6px;
}
.sets :deep(.cell) {
  line-height: 1.4;
}
.stays {
  margin-top: 10px;
  font-size: 14px;
}
.fault {
  color: var(--out);
}
</style>
