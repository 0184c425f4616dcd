<script setup lang="ts">
import { storeWords } from '~~/shared/wording/viewWords'
import dayjs from 'dayjs'
import { dayOf, daysBetween } from '~~/core/comeBack/days'
import type { StoresAnswer } from '~~/shared/api/answers'

type Instrument = StoresAnswer['instruments'][number]

/** Instruments of the stores: what each is, up to when its calibration holds, how often it was taken along. */
const props = defineProps<{ instruments: readonly Instrument[] }>()
const emit = defineEmits<{ changed: [] }>()
const session = useSession()
const w = storeWords.instruments
/** So many days before it runs out it is said. */
const SOON = 30
const rows = computed(() =>
  props.instruments.map((i) => {
    const left = i.due === null ? null : daysBetween(dayOf(new Date()), i.due)
    return {
      instrument: i,
      id: i.id,
      kind: w.kinds[i.kind],
      due: i.due === null ? w.noCalibration : dayjs(i.due).format('D MMM YYYY'),
      over: left !== null && left < 0,
      state: left === null || left > SOON ? '' : left < 0 ? w.past(-left) : w.soon(left),
    }
  }),
)
const editing = ref(false)
const { picked, later, open } = usePicked<Instrument, 'editing'>({ editing })
</script>

<template>
  <section :aria-label="w.title">
    <StoresHead :title="w.title">
      <el-button v-if="session.may('stores')" class="quiet-button" @click="open('editing', null)">{{
        w.add
      }}</el-button>
    </StoresHead>
    <el-empty v-if="rows.length === 0" class="panel" :image-size="1" :description="w.none" />
    <el-table v-else :data="rows" row-key="id" class="panel">
      <el-table-column :label="w.name" min-width="220">
        <template #default="{ row }"
          ><strong>{{ row.instrument.name }}</strong></template
        >
      </el-table-column>
      <el-table-column :label="w.kind" prop="kind" min-width="110" />
      <el-table-column :label="w.due" min-width="210">
        <template #default="{ row }">
          <span :class="{ over: row.over }">{{ row.due }}</span>
          <span v-if="row.state" class="state">{{ row.state }}</span>
        </template>
      </el-table-column>
      <el-table-column :label="w.jobs" width="130" align="right">
        <template #default="{ row }"
          ><span class="figure">{{ row.instrument.jobs }}</span></template
        >
      </el-table-column>
      <el-table-column width="100" align="right">
        <template #default="{ row }">
          <el-button
            v-if="session.may('stores')"
            link
            class="text-button"
            :aria-label="w.change(row.instrument.name)"
            @click="open('editing', row.instrument as Instrument)"
            >{{ storeWords.change }}</el-button
          >
        </template>
      </el-table-column>
    </el-table>
    <LazyInstrumentForm v-if="later" v-model="editing" :known="picked" @saved="emit('changed')" />
  </section>
</template>

<style scoped>
.over {
  text-decoration: line-through;
}
.state {
  margin-left: 8px;
  padding: 0 8px;
  border: 1px solid var(--field-line);
  border-radius: 9px;
  font-size: 13px;
}
</style>
