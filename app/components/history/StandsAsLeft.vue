<script setup lang="ts">
import { hasTarget } from '~~/shared/wording/aims'
import { tablesWords } from '~~/shared/wording/en'
import { historyWords } from '~~/shared/wording/viewWords'
import dayjs from 'dayjs'
import type { CoupledState } from '~~/core/jobs/coupled'
import type { NamedLine } from '~~/shared/drawing/lineBundle'
import { UNIT_NAMES } from '~~/shared/wording/figures'
import { aimed, limitWords, quantityName } from '~~/shared/wording/quantities'
import { tellingOf } from '~~/shared/wording/telling'

/** How the last closed job found and left a coupled machine: both lines, the target, and each judged quantity. */
const props = defineProps<{ state: CoupledState; closedAt: string }>()
const session = useSession()
const telling = computed(() => tellingOf(session.units, props.state.machine, session.works?.footWords))
const w = historyWords
const left = computed(() => props.state.asLeft)
const lines = computed((): readonly NamedLine[] => {
  const { asFound, coldTarget } = props.state
  const [was, now] = [asFound?.coupling, left.value?.coupling]
  return [
    ...(was && asFound !== left.value ? [{ look: 'before' as const, name: w.lines.found, line: was }] : []),
    ...(hasTarget(coldTarget) ? [{ look: 'aim' as const, name: w.lines.aim, line: coldTarget.line }] : []),
    ...(now ? [{ look: 'now' as const, name: w.lines.left, line: now }] : []),
  ]
})
const title = computed(() => w.asLeft(dayjs(props.closedAt).format('D MMM YYYY')))
const rows = computed(() => left.value?.judgement?.quantities ?? [])
const off = computed(() => rows.value.some(aimed))
const tables = computed(() => tablesWords(telling.value.words))
const kinds = computed(() =>
  [...new Set(rows.value.map((q) => UNIT_NAMES[session.units][q.kind]))].join(', '),
)
</script>

<template>
  <section :aria-label="title">
    <h2 class="title">{{ title }}</h2>
    <LineBundle :lines="lines" :feet="state.feet.movable" :tolerance="state.tolerance" />
    <div class="judged">
      <p v-for="q in rows" :key="q.name">
        <VerdictMark :mark="q.verdict" on-dye />
        <span>{{ quantityName(q.name, telling) }}</span>
        <SignedFigure :quantity="q" :value="q.value" />
        <span class="quiet"
          >{{ tables.limit }} <span class="figure">{{ limitWords(q, telling) }}</span></span
        >
      </p>
    </div>
    <p class="quiet note">{{ off ? w.fromTarget(kinds) : kinds }}</p>
  </section>
</template>

<style scoped>
h2.title {
  margin: 10px 0 12px;
  color: #fff;
  font-size: 17px;
}
.judged {
  display: grid;
  grid-template-columns: 1fr 1fr;
  gap: 0 24px;
  margin-top: 4px;
}
.judged p {
  display: grid;
  grid-template-columns: 20px 1fr auto auto;
  align-items: center;
  gap: 8px;
  border-top: 1px solid var(--dye-line);
  padding: 3px 0;
}
.quiet {
  color: var(--scribe-dim);
  font-size: 14px;
}
.note {
  margin-top: 4px;
}
@media (max-width: 640px) {
  .judged {
    grid-template-columns: 1fr;
  }
}
</style>
