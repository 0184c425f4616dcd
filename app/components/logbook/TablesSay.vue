<script setup lang="ts">
import { jobTableWords } from '~~/shared/wording/en/jobTable'

/** What tables out of files would do, a row a job or an entry, before any of it is done. */
defineProps<{
  rows: readonly {
    readonly what: string
    readonly tag: string
    readonly job: string | null
    readonly made: string
    readonly by: string
    readonly does: string
    readonly is: 'new' | 'same' | 'open'
  }[]
}>()
const w = jobTableWords(useWords())
</script>

<template>
  <el-table v-if="rows.length > 0" :data="[...rows]" class="panel" max-height="320">
    <el-table-column :label="w.job" min-width="84">
      <template #default="{ row }"
        ><NuxtLink v-if="row.job" :to="`/jobs/${row.job}`">{{ row.tag }}</NuxtLink
        ><template v-else>{{ row.tag }}</template></template
      >
    </el-table-column>
    <el-table-column prop="what" :label="w.what" min-width="130" />
    <el-table-column :label="w.then" min-width="170">
      <template #default="{ row }">
        <span :class="{ muted: row.is !== 'new' }">{{ row.does }}</span>
      </template>
    </el-table-column>
    <el-table-column prop="made" :label="w.made" min-width="140" />
    <el-table-column prop="by" :label="w.by" min-width="150" />
  </el-table>
</template>
