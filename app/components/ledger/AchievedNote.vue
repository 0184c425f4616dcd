<script setup lang="ts">
import { figure } from '~~/shared/wording/figures'
import { CAUSE_SENTENCES } from '~~/shared/wording/names'

/** What the last move did, beside what was planned. */
const job = useJob()
const session = useSession()
const planes = computed(() => job.live?.moves.at(-1)?.achieved ?? [])
const d = (x: number) => figure(x, 'displacement', session.units, { sign: true })
</script>

<template>
  <div v-if="planes.length">
    <h3>The last move</h3>
    <table class="figures-table">
      <thead>
        <tr>
          <th scope="col">up and toward 3 are plus</th>
          <th scope="col">planned</th>
          <th scope="col">moved</th>
        </tr>
      </thead>
      <tbody>
        <template v-for="p in planes" :key="p.plane">
          <tr v-for="f in p.feet" :key="f.id">
            <td>
              {{ f.id === 'inboard' ? 'Inboard' : 'Outboard' }}, {{ p.plane === 'v' ? 'height' : 'side' }}
            </td>
            <td class="figure">{{ d(f.planned) }}</td>
            <td class="figure">{{ d(f.achieved) }}</td>
          </tr>
        </template>
      </tbody>
    </table>
    <p v-for="p in planes" :key="p.plane" class="muted">
      {{ p.plane === 'v' ? 'Height' : 'Side' }}: {{ CAUSE_SENTENCES[p.cause] }}
    </p>
  </div>
</template>

<style scoped>
h3 {
  font-size: 16px;
}
p {
  font-size: 14px;
  margin-top: 4px;
}
</style>
