<script setup lang="ts">
import type { Measurement } from '~~/core/stages/measure/measurement'
import { UNIT_NAMES } from '~~/shared/wording/figures'
import { trustRows } from '~~/shared/wording/trustRows'

/** The checks of the set that speaks, each against its limit. */
const props = defineProps<{ measurement: Measurement }>()
const session = useSession()
const telling = useTelling()
const rows = computed(() => trustRows(props.measurement, telling.value))
</script>

<template>
  <FigureTable
    v-if="rows.length"
    :head="[`trust, ${UNIT_NAMES[session.units].displacement}`, 'found', 'limit']"
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
