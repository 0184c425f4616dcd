<script setup lang="ts">
/** Machines that Today has something to say of, each with what it is and the way there. */
defineProps<{
  title: string
  rows: readonly {
    readonly tag: string
    readonly machineName: string
    readonly mark: 'stale' | 'edge'
    readonly what: string
    readonly beside: string
    readonly act: string
    /** Where its button leads. */
    readonly to: string
  }[]
}>()
</script>

<template>
  <section :aria-label="title">
    <h2>{{ title }}</h2>
    <ul class="panel notes">
      <li v-for="r in rows" :key="r.tag">
        <VerdictMark :mark="r.mark" silent />
        <p>
          <NuxtLink :to="`/machines/${encodeURIComponent(r.tag)}`"
            ><strong>{{ r.tag }} {{ r.machineName }}</strong></NuxtLink
          >
          <span>{{ r.what }}</span>
          <span class="muted">{{ r.beside }}</span>
        </p>
        <el-button class="quiet-button" @click="navigateTo(r.to)">{{ r.act }}</el-button>
      </li>
    </ul>
  </section>
</template>

<style scoped>
.notes {
  margin: 0;
  padding: 0;
  list-style: none;
}
li {
  display: grid;
  grid-template-columns: auto minmax(0, 1fr) 96px;
  align-items: center;
  gap: 6px 14px;
  padding: 8px 14px;
}
li + li {
  border-top: 1px solid var(--hairline);
}
p span {
  margin-left: 10px;
}
</style>
