<script setup lang="ts">
import { shellWords } from '~~/shared/wording/en'
import { stockFileWords as files } from '~~/shared/wording/en/stockFile'
import { storeWords } from '~~/shared/wording/viewWords'
import type { MachineSummary, StoresAnswer } from '~~/shared/api/answers'
import InstrumentTable from '~/components/stores/InstrumentTable.vue'
import SpareBeltTable from '~/components/stores/SpareBeltTable.vue'
import ShimTable from '~/components/stores/ShimTable.vue'

/** What lies in the stores: shims that plans are made of, spare belts, and instruments with their calibration. */
const words = useWords()
const w = storeWords
useHead({ title: shellWords(words).pageTitle(w.title) })
const { data, failure, load } = useAnswer<StoresAnswer>(() => '/api/stores')
const { data: register } = useAnswer<readonly MachineSummary[]>(() => '/api/machines')
const session = useSession()
const reading = ref(false)
const later = useLater(reading)
const behind = useBehind()
const csv = useFileLink(behind, 'text/csv', async () => {
  const stock = data.value
  const { stockToCsv } = await import('~~/shared/stores/files')
  return stockToCsv(stock ?? { lots: [], belts: [] })
})
const halls = computed(() => [...new Set((register.value ?? []).map((m) => m.area))])
const sections = computed(() =>
  [...new Set((register.value ?? []).flatMap((m) => (m.drive === 'belt' ? [m.belts.section] : [])))].sort(),
)
/** What plans and kits are made of on this device follows the stores. */
const changed = async () => {
  await load()
  await session.meetWorks()
}
</script>

<template>
  <div class="page">
    <div class="head">
      <h1>{{ w.title }}</h1>
      <template v-if="data">
        <el-button tag="a" class="quiet-button" :href="csv" download="stock.csv">{{
          files.csvOut
        }}</el-button>
        <el-button v-if="session.may('stores')" class="quiet-button" @click="reading = true">{{
          files.in
        }}</el-button>
        <LazyStockFiles v-if="later" v-model="reading" :stock="data" @taken="changed" />
      </template>
    </div>
    <LoadState :waiting="!data" :failure="failure" @again="load">
      <div v-if="data" class="stores">
        <ShimTable :stores="data" :halls="halls" @changed="changed" />
        <SpareBeltTable :belts="data.belts" :halls="halls" :sections="sections" @changed="changed" />
        <InstrumentTable :instruments="data.instruments" @changed="changed" />
      </div>
    </LoadState>
  </div>
</template>

<style scoped>
.head {
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  gap: 10px 14px;
}
h1 {
  flex: 1;
}
.stores {
  margin-top: 16px;
}
</style>
