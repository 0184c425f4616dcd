<script setup lang="ts">
import { FACETS, type Facet, type SearchAnswer } from '~~/shared/search/search'
import { logbookSearchWords } from '~~/shared/wording/en/logbookSearch'
import { facetValueWords } from '~~/shared/wording/facets'

/** What jobs found can be narrowed down by: one value a facet, how many have it beside it; what is chosen stays in view. */
const props = defineProps<{ facets: SearchAnswer['facets'] }>()
const chosen = defineModel<Partial<Record<Facet, string>>>({ required: true })
const session = useSession()
const words = useWords()
const w = logbookSearchWords(words)

const named = (facet: Facet, value: string) => facetValueWords(facet, value, words, session.personName)
const groups = computed(() =>
  FACETS.flatMap((facet) => {
    const own = chosen.value[facet]
    const values = (props.facets?.[facet] ?? []).map((v) => ({ ...v, name: named(facet, v.value) }))
    if (own && !values.some((v) => v.value === own.toLowerCase()))
      values.unshift({ value: own.toLowerCase(), count: 0, name: named(facet, own.toLowerCase()) })
    // One value that all of them share tells nothing, unless it was chosen.
    return values.length > 1 || own ? [{ facet, values }] : []
  }),
)
// Counts change the order of what is offered: the box that has the keys keeps them where it goes.
watch(
  () => props.facets,
  async () => {
    const held = document.activeElement
    await nextTick()
    if (held instanceof HTMLElement && held.isConnected && document.activeElement === document.body)
      held.focus()
  },
)
const isChosen = (facet: Facet, value: string) => chosen.value[facet]?.toLowerCase() === value
const toggle = (facet: Facet, value: string) => {
  const { [facet]: _, ...others } = chosen.value
  chosen.value = isChosen(facet, value) ? others : { ...others, [facet]: value }
}
</script>

<template>
  <div class="facets">
    <section v-for="g in groups" :key="g.facet" :aria-label="w.facets[g.facet]">
      <h2>{{ w.facets[g.facet] }}</h2>
      <ul>
        <li v-for="v in g.values" :key="v.value">
          <el-checkbox
            :model-value="isChosen(g.facet, v.value)"
            :aria-label="
              isChosen(g.facet, v.value)
                ? w.widen(w.facets[g.facet], v.name)
                : w.narrow(w.facets[g.facet], v.name, v.count)
            "
            @update:model-value="toggle(g.facet, v.value)"
            >{{ v.name }} <span class="count figure">{{ v.count || '' }}</span></el-checkbox
          >
        </li>
      </ul>
    </section>
  </div>
</template>

<style scoped>
h2 {
  font-size: 14px;
  margin: 12px 0 2px;
}
section:first-child h2 {
  margin-top: 0;
}
ul {
  list-style: none;
  margin: 0;
  padding: 0;
}
.facets :deep(.el-checkbox) {
  display: flex;
  height: auto;
  min-height: 36px;
  margin: 0;
}
.facets :deep(.el-checkbox__label) {
  flex: 1;
  display: flex;
  justify-content: space-between;
  gap: 8px;
  white-space: normal;
  line-height: 1.25;
}
.count {
  color: var(--muted);
}
@media (pointer: coarse) {
  .facets :deep(.el-checkbox) {
    min-height: 44px;
  }
}
@media (max-width: 760px) {
  .facets {
    display: grid;
    grid-template-columns: 1fr 1fr;
    gap: 0 16px;
  }
}
</style>
