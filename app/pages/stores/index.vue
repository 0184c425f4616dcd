<script setup lang="ts">
import { shellWords } from '~~/shared/wording/en'
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
    <h1>{{ w.title }}</h1>
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
.stores {
  margin-top: 16px;
}
</style>
