<script setup lang="ts">
import type { Judgement } from '~~/core/judge/judge'
import { UNIT_NAMES } from '~~/shared/wording/figures'
import { limitWords, quantityGroups, quantityName } from '~~/shared/wording/quantities'

/**
 * Each judged quantity: now, its limit, and where the limit comes from. Beside a plan what it comes to
 * after that; then quantities stand in groups, so that two figures fit a narrow ledger.
 */
const props = defineProps<{ judgement: Judgement; after?: Judgement | null; source: string }>()
const session = useSession()
const telling = useTelling()
const t = computed(() => telling.value.words.tables)
const afterOf = (name: string) => props.after?.quantities.find((q) => q.name === name)
const kinds = computed(() =>
  [...new Set(props.judgement.quantities.map((q) => UNIT_NAMES[session.units][q.kind]))].join(', '),
)
const groups = computed(() => quantityGroups(props.judgement, telling.value))
</script>

<template>
  <div>
    <FigureTable v-if="after" :head="[kinds, t.now, t.after]">
      <template v-for="g in groups" :key="g.what">
        <tr class="group">
          <th scope="rowgroup" colspan="3">
            {{ g.what }}
            <span class="muted"
              >{{ t.limit }} <span class="figure">{{ g.limit }}</span></span
            >
          </th>
        </tr>
        <tr v-for="{ plane, q } in g.rows" :key="q.name">
          <td class="plane">{{ plane }}</td>
          <td><SignedFigure :quantity="q" :value="q.value" :verdict="q.verdict" /></td>
          <td>
            <SignedFigure
              :quantity="q"
              :value="afterOf(q.name)?.value ?? null"
              :verdict="afterOf(q.name)?.verdict"
            />
          </td>
        </tr>
      </template>
    </FigureTable>
    <FigureTable v-else :head="[kinds, t.now, t.limit]">
      <tr v-for="q in judgement.quantities" :key="q.name">
        <td>{{ quantityName(q.name, telling) }}</td>
        <td><SignedFigure :quantity="q" :value="q.value" :verdict="q.verdict" /></td>
        <td class="figure">{{ limitWords(q, telling) }}</td>
      </tr>
    </FigureTable>
    <p class="muted source">{{ source }}</p>
  </div>
</template>

<style scoped>
.source {
  font-size: 13px;
  margin-top: 6px;
}
.group th {
  padding-top: 7px;
  border-top: 1px solid var(--hairline);
  color: var(--ink);
  font-size: 15px;
  font-weight: 600;
}
.group .muted {
  font-weight: 400;
  font-size: 14px;
}
.group + tr > td {
  border-top: 0;
  padding-top: 0;
}
.plane {
  color: var(--muted);
  font-size: 14px;
}
</style>
