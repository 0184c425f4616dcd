<script setup lang="ts">
import { STARTER_SECTIONS, type BeltSection } from '~~/core/belt/sections'
import { CONVERSIONS, fromCore, toCore } from '~~/core/units/unitSystem'
import { blankSection, textsOfSection, type SectionTexts } from '~~/shared/sections/form'
import type { SectionRecord } from '~~/shared/sections/section'
import { shellWords } from '~~/shared/wording/en'
import { recordWords, sectionWords } from '~~/shared/wording/viewWords'

/** Belt sections: what the works has written of them, and the starting values behind that. */
const words = useWords()
const session = useSession()
const w = sectionWords
useHead({ title: shellWords(words).pageTitle(w.title) })
const {
  data,
  failure,
  load,
  tables: own,
  holding: inUse,
  editing,
  importing,
  later,
  known,
  begin,
  edit,
  refused,
  hold: use,
} = useKeptTables<SectionRecord, SectionTexts>({
  address: '/api/sections',
  holds: (section) => section.inUse,
  held: (section, inUse) => ({ ...section, inUse }),
  blank: () => blankSection(session.units),
})
const csv = useFileLink(later, 'text/csv', async () => {
  const all =
    own.value.length > 0
      ? own.value
      : STARTER_SECTIONS.map((s) => ({ ...s, inUse: false, source: w.startingSays }))
  return (await import('~~/shared/sections/files')).sectionsToCsv(all)
})
const copied = (section: BeltSection) => ({ ...textsOfSection(section), source: '' })
const unit = computed(() => CONVERSIONS[session.units])
const shown = (x: number | null, measure: 'distance' | 'massPerLength', { units }: BeltSection) =>
  x === null
    ? '–'
    : String(Number(fromCore(toCore(x, measure, units), measure, session.units).toPrecision(3)))
const size = (s: BeltSection) => `${shown(s.topWidth, 'distance', s)} × ${shown(s.height, 'distance', s)}`
const made = ({ construction }: BeltSection) =>
  construction ? recordWords.constructions[construction] : w.anyConstruction
const tables = computed(() => [
  {
    title: w.own,
    says: own.value.length === 0 ? w.none : '',
    sections: own.value as readonly BeltSection[],
    ours: true,
  },
  { title: w.starting, says: w.startingSays, sections: STARTER_SECTIONS, ours: false },
])
</script>

<template>
  <div class="page">
    <div class="head">
      <h1>{{ w.title }}</h1>
      <NuxtLink to="/limits">{{ w.back }}</NuxtLink>
      <el-button tag="a" class="quiet-button" :href="csv" download="belt-sections.csv">{{
        w.files.csvOut
      }}</el-button>
      <el-button v-if="session.may('limits')" class="quiet-button" @click="importing = true">{{
        w.files.in
      }}</el-button>
      <el-button
        v-if="session.may('limits')"
        class="quiet-button"
        @click="edit(blankSection(session.units))"
        >{{ w.add }}</el-button
      >
    </div>
    <p class="muted intro">{{ w.intro }}</p>
    <LoadState :waiting="!data" :failure="failure" @again="load">
      <p v-if="refused" class="fault" role="alert">{{ refused }}</p>
      <template v-for="t in tables" :key="t.title">
        <h2>{{ t.title }}</h2>
        <p v-if="t.says" class="muted">{{ t.says }}</p>
        <el-table v-if="t.sections.length > 0" :data="[...t.sections]" class="panel">
          <el-table-column :label="w.columns.section" min-width="90">
            <template #default="{ row }"
              ><strong>{{ row.section }}</strong></template
            >
          </el-table-column>
          <el-table-column :label="w.columns.construction" min-width="110">
            <template #default="{ row }">{{ made(row as BeltSection) }}</template>
          </el-table-column>
          <el-table-column :label="w.columns.size(unit.distance.unit)" min-width="120">
            <template #default="{ row }"
              ><span class="figure">{{ size(row as BeltSection) }}</span></template
            >
          </el-table-column>
          <el-table-column :label="w.columns.mass(unit.massPerLength.unit)" min-width="90">
            <template #default="{ row }"
              ><span class="figure">{{
                shown(row.mass, 'massPerLength', row as BeltSection)
              }}</span></template
            >
          </el-table-column>
          <el-table-column :label="w.columns.sheave(unit.distance.unit)" min-width="110">
            <template #default="{ row }"
              ><span class="figure">{{
                shown(row.smallestSheave, 'distance', row as BeltSection)
              }}</span></template
            >
          </el-table-column>
          <el-table-column v-if="t.ours" :label="w.columns.chart" width="90">
            <template #default="{ row }">{{ w.rows(row.rows.length) }}</template>
          </el-table-column>
          <el-table-column v-if="t.ours" :label="w.columns.source" prop="source" min-width="160" />
          <el-table-column v-if="t.ours" :label="w.columns.use" width="125">
            <template #default="{ row }">
              <span class="use"
                ><VerdictMark :mark="row.inUse ? 'done' : 'todo'" silent />
                {{ row.inUse ? w.inUse : w.aside }}</span
              >
            </template>
          </el-table-column>
          <el-table-column v-if="session.may('limits')" :width="t.ours ? 230 : 90">
            <template #default="{ row }">
              <template v-if="t.ours">
                <el-button
                  link
                  class="text-button"
                  @click="edit(textsOfSection(row as SectionRecord), row as SectionRecord)"
                  >{{ w.change }}</el-button
                >
                <el-button link class="text-button" @click="use(row as SectionRecord, !row.inUse)">{{
                  row.inUse ? w.takeOut : w.putInUse
                }}</el-button>
              </template>
              <el-button v-else link class="text-button" @click="edit(copied(row as BeltSection))">{{
                w.copy
              }}</el-button>
            </template>
          </el-table-column>
        </el-table>
      </template>
      <p class="muted stays">{{ w.stays }}</p>
    </LoadState>
    <LazySectionForm
      v-if="later"
      v-model="editing"
      :begin="begin"
      :known="known"
      :in-use="inUse"
      @saved="load"
    />
    <LazySectionFiles v-if="later" v-model="importing" :known="own" @taken="load" />
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
  margin: 8px 0 4px;
}
.use {
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
