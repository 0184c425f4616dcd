<script setup lang="ts">
import { tablesWords } from '~~/shared/wording/en'
import type { Measurement } from '~~/core/stages/measure/measurement'
import { UNIT_NAMES } from '~~/shared/wording/figures'
import { trustRows } from '~~/shared/wording/trustRows'

/** The checks of the set that speaks, each against its limit. */
const props = defineProps<{ measurement: Measurement }>()
const session = useSession()
const telling = useTelling()
const t = computed(() => tablesWords(telling.value.words))
const hush = useHush()
const rows = computed(() => (hush.value ? [] : trustRows(props.measurement, telling.value)))
</script>

<template>
  <FigureTable
    v-if="rows.length"
    :head="[t.trustIn(UNIT_NAMES[session.units].displacement), t.found, t.limit]"
  >
    <tr v-for="row in rows" :key="row.name">
      <td class="name"><VerdictMark :mark="row.passes ? 'done' : 'out'" />{{ row.name }}</td>
      <td class="figure">{{ row.found }}</td>
      <td class="figure">{{ row.limit }}</td>
    </tr>
  </FigureTable>
</template>

<style scoped>
/* Words that wrap stay clear of the mark. */
.name {
  position: relative;
  padding-left: 24px !important;
}
.name svg {
  position: absolute;
  top: 9px;
  left: 0;
}
</style>
