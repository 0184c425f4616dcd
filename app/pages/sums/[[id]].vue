<script setup lang="ts">
import { shellWords } from '~~/shared/wording/en'
import { quickWords } from '~~/shared/wording/viewWords'
import { findSums } from '~~/shared/quick/search'

/** Every sum the program knows, found by what a person wants to know. */
const words = useWords()
const w = quickWords
const route = useRoute()
const id = computed(() => (typeof route.params.id === 'string' ? route.params.id : ''))
const known = computed(() => id.value in w.sums)
useHead({ title: shellWords(words).pageTitle(w.title) })
const { searchAsked } = useKeyEvents()
const wanted = ref('')
const search = useTemplateRef<{ focus: () => void }>('search')
watch(searchAsked, () => nextTick(() => search.value?.focus()))
const found = computed(() => findSums(wanted.value))
const grouped = computed(() =>
  (Object.entries(w.groups) as [keyof typeof w.groups, string][])
    .map(([group, name]) => ({ group, name, sums: found.value.filter((s) => s.group === group) }))
    .filter((g) => g.sums.length > 0),
)
const openFirst = () => {
  const [first] = found.value
  if (first) void navigateTo(`/sums/${first.id}`)
}
</script>

<template>
  <div class="sums" :class="{ one: known }">
    <nav class="asks" :aria-label="w.title">
      <el-input
        ref="search"
        v-model="wanted"
        type="search"
        clearable
        :aria-label="w.search"
        :placeholder="w.search"
        @keydown.enter="openFirst"
      />
      <p v-if="found.length === 0" class="muted">{{ w.nothingFound(wanted) }}</p>
      <template v-for="g in grouped" :key="g.group">
        <h2>{{ g.name }}</h2>
        <NuxtLink v-for="s in g.sums" :key="s.id" :to="`/sums/${s.id}`">{{ s.ask }}</NuxtLink>
      </template>
    </nav>
    <LazyQuickSum v-if="known" :id="id" :key="id" />
    <section v-else class="board empty" :aria-label="w.choose">
      <h1>{{ w.choose }}</h1>
      <p>{{ w.chooseDetail }}</p>
    </section>
  </div>
</template>

<style scoped>
.sums {
  display: grid;
  grid-template-columns: 300px minmax(0, 1fr) 340px;
  height: calc(100dvh - var(--header));
}
.asks {
  overflow-y: auto;
  padding: 14px 0 24px;
  background: var(--page);
}
.asks > .el-input,
.asks > p {
  width: calc(100% - 28px);
  margin: 0 14px 8px;
}
h2 {
  font-size: 14px;
  font-weight: 400;
  color: var(--muted);
  padding: 12px 16px 4px;
}
.asks a {
  display: flex;
  align-items: center;
  min-height: var(--touch);
  padding: 6px 16px 6px 17px;
  line-height: 1.3;
  text-decoration: none;
  border-left: 3px solid transparent;
}
.asks a.router-link-exact-active {
  background: var(--panel);
  border-left-color: var(--brass);
  font-weight: 600;
}
.empty {
  grid-column: 2 / -1;
  background: var(--dye);
  color: var(--scribe);
  padding: 34px 32px;
}
.empty h1 {
  color: #fff;
  font-size: 24px;
}
@media (max-width: 1000px) {
  .sums {
    grid-template-columns: minmax(0, 1fr);
    height: auto;
  }
  .one .asks {
    display: none;
  }
  .sums:not(.one) .empty {
    display: none;
  }
}
</style>
