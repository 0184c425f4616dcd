<script setup lang="ts">
import { targetSource, hasTarget } from '~~/shared/wording/aims'
import { tablesWords, aimsWords } from '~~/shared/wording/en'
import type { Misalignment } from '~~/core/frame/planes'
import type { Judgement, JudgedValue } from '~~/core/judge/judge'
import { towardWords } from '~~/shared/wording/directions'
import type { ColdTarget } from '~~/core/stages/target/target'
import { UNIT_NAMES } from '~~/shared/wording/figures'
import { aimed, limitWords, quantityGroups, quantityName } from '~~/shared/wording/quantities'

/**
 * Each judged quantity: now, its limit, and where the limit comes from. Beside a plan what it comes to
 * after that, and where a cold target sets it off, how far it is from there: then quantities stand in
 * groups, so that two figures fit a narrow ledger.
 */
const props = defineProps<{
  judgement: Judgement
  after?: Judgement | null
  source: string
  target?: ColdTarget
  /** Of an upright shaft: which way each size points. */
  line?: Misalignment | null
}>()
const session = useSession()
const telling = useTelling()
const t = computed(() => tablesWords(telling.value.words))
const w = computed(() => aimsWords(telling.value.words))
const afterOf = (name: string) => props.after?.quantities.find((q) => q.name === name)
const kinds = computed(() =>
  [...new Set(props.judgement.quantities.map((q) => UNIT_NAMES[session.units][q.kind]))].join(', '),
)
const groups = computed(() => quantityGroups(props.judgement, telling.value))
const off = computed(() => props.judgement.quantities.some(aimed))
const head = computed(() =>
  props.after
    ? [kinds.value, off.value ? w.value.column.off : t.value.now, t.value.after]
    : [kinds.value, w.value.column.found, w.value.column.off],
)
/** The quantity that the verdict rests on. */
const ruled = computed(() => {
  const q = props.judgement.quantities.find((one) => one.name === props.judgement.worst)
  if (!q || q.margin === null || props.judgement.quantities.length < 2) return ''
  return t.value.ruled[q.margin < 0 ? 'out' : 'in'](quantityName(q.name, telling.value))
})
/** A size has no single place: only planes are told as they were found. */
/** The hour that a size points to. */
const towardOf = (q: JudgedValue) => {
  const at = q.name === 'slope' ? props.line?.slope : q.name === 'offset' ? props.line?.offset : undefined
  return at ? towardWords(at, q.kind, telling.value) : ''
}
const foundOf = (q: JudgedValue) =>
  q.value === null || q.aim === null || !/\.[vh]$/.test(q.name) ? null : q.value + q.aim
</script>

<template>
  <div>
    <FigureTable v-if="after || off" :head="head">
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
          <td class="plane">{{ plane || towardOf(q) }}</td>
          <td v-if="!after"><SignedFigure :quantity="q" :value="foundOf(q)" /></td>
          <td><SignedFigure :quantity="q" :value="q.value" :verdict="q.verdict" /></td>
          <td v-if="after">
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
        <td>
          {{ quantityName(q.name, telling) }}
          <span v-if="towardOf(q)" class="toward">{{ towardOf(q) }}</span>
        </td>
        <td><SignedFigure :quantity="q" :value="q.value" :verdict="q.verdict" /></td>
        <td class="figure">{{ limitWords(q, telling) }}</td>
      </tr>
    </FigureTable>
    <p class="muted source">{{ ruled }} {{ source }}</p>
    <p v-if="target && hasTarget(target)" class="muted source">
      {{ w.source(targetSource(target, telling)) }}
    </p>
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
.toward {
  display: block;
  font-size: 13px;
  color: var(--muted);
}
.plane {
  color: var(--muted);
  font-size: 14px;
}
</style>
