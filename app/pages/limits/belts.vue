<script setup lang="ts">
import type { MachineSummary } from '~~/shared/api/answers'
import type { BeltLimitsRecord } from '~~/shared/beltLimits/beltLimits'
import { blankBeltLimits, textsOfBeltLimits, type BeltLimitTexts } from '~~/shared/beltLimits/form'
import { BELT_QUANTITIES } from '~~/shared/beltLimits/tiers'
import type { BeltFields } from '~~/shared/register/beltMachine'
import { drivesWords, shellWords } from '~~/shared/wording/en'
import { beltLimitWords, limitSetWords } from '~~/shared/wording/viewWords'
import BeltTiers from '~/components/limits/BeltTiers.vue'

/** What belt drives are judged by, which figure rules one of them, and how the works' are changed. */
const words = useWords()
const session = useSession()
const w = beltLimitWords
useHead({ title: shellWords(words).pageTitle(w.title) })
const {
  data,
  failure,
  load,
  tables,
  holding: inForce,
  editing,
  later,
  known,
  begin,
  edit,
  refused,
  hold: force,
} = useKeptTables<BeltLimitsRecord, BeltLimitTexts>({
  address: '/api/belt-limits',
  holds: (limits) => limits.inForce,
  held: (limits, inForce) => ({ ...limits, inForce }),
  blank: () => blankBeltLimits(session.units),
})
const { data: register } = useAnswer<readonly MachineSummary[]>(() => '/api/machines')
const machines = computed(() =>
  (register.value ?? []).filter((m): m is MachineSummary & BeltFields => m.drive === 'belt' && !m.retired),
)
const picked = ref('')
const machine = computed(
  () => machines.value.find((m) => m.tag === picked.value) ?? machines.value[0] ?? null,
)
const kindOf = ({ kind }: BeltLimitsRecord) => (kind ? drivesWords(words).beltKinds[kind] : w.everyKind)
const says = (l: BeltLimitsRecord) =>
  BELT_QUANTITIES.filter((q) => (q === 'new' || q === 'run-in' ? l.factors[q] : l[q]) !== null)
    .map((q, i) => (i === 0 ? w.quantities[q] : w.quantities[q].toLowerCase()))
    .join(', ')
</script>

<template>
  <div class="page">
    <div class="head">
      <h1>{{ w.title }}</h1>
      <NuxtLink to="/limits">{{ limitSetWords.title }}</NuxtLink>
      <NuxtLink to="/limits/sections">{{ limitSetWords.sections }}</NuxtLink>
      <el-button
        v-if="session.may('limits')"
        class="quiet-button"
        @click="edit(blankBeltLimits(session.units))"
        >{{ w.add }}</el-button
      >
    </div>
    <p class="muted intro">{{ w.intro }}</p>
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
        <BeltTiers :machine="machine" :limits="inForce" />
      </section>
      <h2>{{ w.written }}</h2>
      <p v-if="refused" class="fault" role="alert">{{ refused }}</p>
      <p v-if="tables.length === 0" class="muted">{{ w.none }}</p>
      <el-table v-else :data="[...tables]" class="panel">
        <el-table-column :label="w.columns.kind" min-width="95">
          <template #default="{ row }"
            ><strong>{{ kindOf(row as BeltLimitsRecord) }}</strong></template
          >
        </el-table-column>
        <el-table-column :label="w.columns.says" min-width="140">
          <template #default="{ row }">{{ says(row as BeltLimitsRecord) }}</template>
        </el-table-column>
        <el-table-column :label="w.columns.source" prop="source" min-width="150" />
        <el-table-column :label="w.columns.force" width="115">
          <template #default="{ row }">
            <span class="force"
              ><VerdictMark :mark="row.inForce ? 'done' : 'todo'" silent />
              {{ row.inForce ? w.inForce : w.aside }}</span
            >
          </template>
        </el-table-column>
        <el-table-column v-if="session.may('limits')" width="220">
          <template #default="{ row }">
            <el-button
              link
              class="text-button"
              @click="edit(textsOfBeltLimits(row as BeltLimitsRecord), row as BeltLimitsRecord)"
              >{{ w.change }}</el-button
            >
            <el-button link class="text-button" @click="force(row as BeltLimitsRecord, !row.inForce)">{{
              row.inForce ? w.takeOut : w.putInForce
            }}</el-button>
          </template>
        </el-table-column>
      </el-table>
      <p class="muted stays">{{ w.stays }}</p>
    </LoadState>
    <LazyBeltLimitForm
      v-if="later"
      v-model="editing"
      :begin="begin"
      :known="known"
      :in-force="inForce"
      @saved="load"
    />
  </div>
</template>

<style scoped>
.head {
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  gap: 12px;
}
.head h1 {
  flex: 1;
}
.intro {
  max-width: 78ch;
  margin: 8px 0 14px;
}
.nearest {
  background: var(--dye);
  color: var(--scribe);
  border-radius: 4px;
  padding: 14px 18px;
  margin-bottom: 20px;
}
.pick {
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  justify-content: space-between;
  gap: 10px 20px;
  margin-bottom: 8px;
}
.nearest h2 {
  margin: 0;
  color: #fff;
}
.machine {
  width: 300px;
}
h2 {
  margin-bottom: 8px;
}
.force {
  display: inline-flex;
  align-items: center;
  gap: 6px;
}
.stays {
  margin-top: 10px;
  font-size: 14px;
}
.fault {
  color: var(--out);
}
</style>
