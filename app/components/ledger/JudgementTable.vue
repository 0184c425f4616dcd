<script setup lang="ts">
import type { Judgement } from '~~/core/judge/judge'
import { figure, UNIT_NAMES } from '~~/shared/wording/figures'
import { quantityName } from '~~/shared/wording/quantities'
import { toleranceSource } from '~~/shared/wording/tolerances'

/** Each judged quantity: now, after the plan where there is one, its limit, and where the limit comes from. */
const props = defineProps<{ judgement: Judgement; after?: Judgement | null }>()
const session = useSession()
const job = useJob()
const limit = (q: Judgement['quantities'][number]) => {
  const f = (x: number | null) => figure(x, q.kind, session.units)
  if (q.low !== null && q.high !== null)
    return q.low === -q.high || q.low === 0 ? f(q.high) : `${f(q.low)}…${f(q.high)}`
  return q.low !== null ? `≥ ${f(q.low)}` : f(q.high)
}
const afterOf = (name: string) => props.after?.quantities.find((q) => q.name === name)
const kinds = computed(() =>
  [...new Set(props.judgement.quantities.map((q) => UNIT_NAMES[session.units][q.kind]))].join(', '),
)
const source = computed(() =>
  job.machine ? toleranceSource(job.machine.tolerance, job.state?.rpm ?? null) : '',
)
</script>

<template>
  <div>
    <table class="figures-table">
      <thead>
        <tr>
          <th scope="col">{{ kinds }}</th>
          <th scope="col">now</th>
          <th v-if="after" scope="col">after</th>
          <th scope="col">limit</th>
        </tr>
      </thead>
      <tbody>
        <tr v-for="q in judgement.quantities" :key="q.name">
          <td>
            <VerdictMark :mark="(after ? afterOf(q.name)?.verdict : q.verdict) ?? 'unknown'" />
            {{ quantityName(q.name) }}
          </td>
          <td class="figure"><SignedFigure :quantity="q" :value="q.value" /></td>
          <td v-if="after" class="figure">
            <SignedFigure :quantity="q" :value="afterOf(q.name)?.value ?? null" />
          </td>
          <td class="figure">{{ limit(q) }}</td>
        </tr>
      </tbody>
    </table>
    <p class="muted source">{{ source }}</p>
  </div>
</template>

<style scoped>
svg {
  vertical-align: -3px;
  margin-right: 2px;
}
.source {
  font-size: 13px;
  margin-top: 6px;
}
</style>
