<script setup lang="ts">
import dayjs from 'dayjs'
import type { MachineSummary } from '~~/shared/api/answers'
import { VERDICT_NAMES } from '~~/shared/wording/names'

useHead({ title: 'Machines · Hushed Caliper' })
const { data, failure, load } = useAnswer<readonly MachineSummary[]>(() => '/api/machines')
const { searchAsked } = useKeyEvents()
const wanted = ref('')
const search = useTemplateRef<HTMLInputElement>('search')
watch(searchAsked, () => nextTick(() => search.value?.focus()))
onMounted(() => searchAsked.value > 0 && search.value?.focus())

const shown = computed(() => {
  const words = wanted.value.toLowerCase().split(/\s+/).filter(Boolean)
  return (data.value ?? []).filter((m) => {
    const text = [m.tag, m.name, m.area, m.movableName, m.stationaryName, m.couplingKind]
      .join(' ')
      .toLowerCase()
    return words.every((w) => text.includes(w))
  })
})
</script>

<template>
  <div class="page">
    <div class="head">
      <h1>Machines</h1>
      <label class="search">
        <span class="visually-hidden">Search the machines</span>
        <input ref="search" v-model="wanted" type="search" placeholder="Tag, name or place" />
      </label>
    </div>
    <LoadState :waiting="!data" :failure="failure" @again="load">
      <p v-if="shown.length === 0" class="panel none muted">
        {{ data?.length ? 'No machine fits these words.' : 'No machine is registered yet.' }}
      </p>
      <ul v-else class="panel list">
        <li v-for="m in shown" :key="m.id">
          <NuxtLink :to="`/machines/${m.tag}`">
            <strong class="tag figure">{{ m.tag }}</strong>
            <span class="what">
              <strong>{{ m.name }}</strong>
              <span class="muted">{{ m.area }}</span>
            </span>
            <span class="what">
              <span>{{ m.movableName }} to {{ m.stationaryName.toLowerCase() }}</span>
              <span class="muted">{{ m.couplingKind }}, {{ m.powerKw }} kW, {{ m.rpm }} rpm</span>
            </span>
            <span class="state">
              <template v-if="m.lastClosed">
                <VerdictMark :mark="m.lastClosed.verdict" silent />
                <span
                  >{{ VERDICT_NAMES[m.lastClosed.verdict] }}<br /><span class="muted">{{
                    dayjs(m.lastClosed.closedAt).format('D MMM YYYY')
                  }}</span></span
                >
              </template>
              <span v-else class="muted">Never closed a job</span>
            </span>
            <span class="open">{{ m.openJob ? 'Job open' : '' }}</span>
          </NuxtLink>
        </li>
      </ul>
    </LoadState>
  </div>
</template>

<style scoped>
.head {
  display: flex;
  justify-content: space-between;
  align-items: center;
  gap: 20px;
}
.search input {
  min-height: var(--touch);
  width: 300px;
  padding: 0 12px;
  border: 1px solid var(--field-line);
  border-radius: 4px;
  background: var(--panel);
}
.list {
  list-style: none;
  padding: 0;
  margin: 20px 0 0;
}
.none {
  margin-top: 20px;
  padding: 18px;
}
li + li {
  border-top: 1px solid var(--hairline);
}
a {
  display: grid;
  grid-template-columns: 90px 1.2fr 1.4fr 170px 80px;
  align-items: center;
  gap: 14px;
  min-height: 68px;
  padding: 10px 18px;
  text-decoration: none;
}
a:hover {
  background: var(--sunk);
}
.tag {
  font-size: 18px;
}
.what {
  display: grid;
}
.state {
  display: flex;
  align-items: center;
  gap: 10px;
}
.open {
  text-align: right;
  font-weight: 600;
}
</style>
