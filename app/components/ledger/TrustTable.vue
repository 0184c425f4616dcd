<script setup lang="ts">
import type { Measurement } from '~~/core/logbook/measurement'
import { UNIT_NAMES } from '~~/shared/wording/figures'
import { trustRows } from '~~/shared/wording/trustRows'

const props = defineProps<{ measurement: Measurement }>()
const session = useSession()
const rows = computed(() => trustRows(props.measurement, session.units))
</script>

<template>
  <table v-if="rows.length" class="figures-table">
    <thead>
      <tr>
        <th scope="col">trust, {{ UNIT_NAMES[session.units].displacement }}</th>
        <th scope="col">found</th>
        <th scope="col">limit</th>
      </tr>
    </thead>
    <tbody>
      <tr v-for="row in rows" :key="row.name">
        <td><VerdictMark :mark="row.passes ? 'done' : 'out'" :silent="false" /> {{ row.name }}</td>
        <td class="figure">{{ row.found }}</td>
        <td class="figure">{{ row.limit }}</td>
      </tr>
    </tbody>
  </table>
</template>

<style scoped>
svg {
  vertical-align: -3px;
  margin-right: 4px;
}
</style>
