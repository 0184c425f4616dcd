<script setup lang="ts">
import type { Judgement } from '~~/core/judge/judge'
import { UNIT_NAMES } from '~~/shared/wording/figures'
import { limitWords, quantityParts } from '~~/shared/wording/quantities'

/** Each judged quantity: now, after the plan where there is one, its limit, and where the limit comes from. */
const props = defineProps<{ judgement: Judgement; after?: Judgement | null; source: string }>()
const session = useSession()
const telling = useTelling()
const afterOf = (name: string) => props.after?.quantities.find((q) => q.name === name)
const kinds = computed(() =>
  [...new Set(props.judgement.quantities.map((q) => UNIT_NAMES[session.units][q.kind]))].join(', '),
)
const head = computed(() => [kinds.value, 'now', ...(props.after ? ['after'] : []), 'limit'])
</script>

<template>
  <div :class="{ two: after }">
    <FigureTable :head="head">
      <tr v-for="q in judgement.quantities" :key="q.name">
        <td class="name">
          {{ quantityParts(q.name, telling).what }}<span>{{ quantityParts(q.name, telling).plane }}</span>
        </td>
        <td><SignedFigure :quantity="q" :value="q.value" :verdict="q.verdict" /></td>
        <td v-if="after">
          <SignedFigure
            :quantity="q"
            :value="afterOf(q.name)?.value ?? null"
            :verdict="afterOf(q.name)?.verdict"
          />
        </td>
        <td class="figure">{{ limitWords(q, telling) }}</td>
      </tr>
    </FigureTable>
    <p class="muted source">{{ source }}</p>
  </div>
</template>

<style scoped>
.name {
  line-height: 1.2;
  white-space: nowrap;
}
.name span {
  display: block;
  color: var(--muted);
  font-size: 13px;
}
/* Twice the figures in the same width. */
.two :deep(.figure) {
  font-size: 15px;
}
.two :deep(th),
.two :deep(td) {
  padding-left: 5px;
}
.source {
  font-size: 13px;
  margin-top: 6px;
}
</style>
