<script setup lang="ts">
import { targetSource, hasTarget } from '~~/shared/wording/aims'
import {
  aimsWords,
  closingWords,
  setsWords,
  tablesWords,
  targetsWords,
  verdictsWords,
} from '~~/shared/wording/en'
import { registerChanges } from '~~/core/stages/close/registerChanges'
import type { CoupledState } from '~~/core/jobs/coupled'
import type { FootedState } from '~~/core/jobs/footed'
import { UNIT_NAMES } from '~~/shared/wording/figures'
import { misalignmentWords } from '~~/shared/wording/directions'
import { isParallel, limitWords, quantityName } from '~~/shared/wording/quantities'
import { registerWords } from '~~/shared/wording/registerChanges'
import { loadedAhead } from '../ahead'
import IntoRegister from './IntoRegister.vue'

const HotClosing = loadedAhead(() => import('./HotClosing.vue'))
const RoughClosing = loadedAhead(() => import('./RoughClosing.vue'))
/** As found against as left, each judged, and both drawn. */
const props = defineProps<{
  state: FootedState & Partial<Pick<CoupledState, 'hot' | 'roughIn' | 'coldTarget'>>
}>()
const session = useSession()
const telling = useTelling()
const found = computed(() => props.state.asFound)
const left = computed(() => props.state.asLeft)
const w = computed(() => closingWords(telling.value.words))
const t = computed(() => tablesWords(telling.value.words))
const sums = computed(() =>
  (
    [
      [w.value.asFound, found.value],
      [w.value.asLeft, left.value],
    ] as const
  ).map(([name, m]) => ({
    name,
    verdict: m?.judgement?.verdict ?? ('unknown' as const),
    words: m?.coupling
      ? misalignmentWords(m.coupling, m.judgement !== null && isParallel(m.judgement), telling.value)
      : w.value.notMeasured,
    trust: m ? setsWords(telling.value.words).trust[m.trust] : '',
  })),
)
/** A visit for the hot check alone is judged as it runs. */
const hot = computed(() => (props.state.hot?.run.answered ? props.state.hot : null))
const rows = computed(() =>
  (left.value?.judgement?.quantities ?? hot.value?.judgement?.quantities ?? []).map((q) => ({
    q,
    before: found.value?.judgement?.quantities.find((b) => b.name === q.name),
  })),
)
const taken = computed(() => registerWords(registerChanges(props.state), telling.value))
</script>

<template>
  <BoardFrame
    :title="w.view.title"
    :note="w.view.movesBetween(state.moves.length)"
    :scrolls="$slots.default !== undefined"
  >
    <div v-if="left" class="views">
      <div v-for="s in sums" :key="s.name" class="sums">
        <p>
          <span>{{ s.name }}</span><VerdictMark :mark="s.verdict" on-dye />
          <strong>{{ verdictsWords(telling.words)[s.verdict] }}</strong>
        </p>
        <p>{{ s.words }}</p>
        <p class="quiet">{{ s.trust }}</p>
      </div>
    </div>
    <RoughClosing v-else-if="state.roughIn?.proves" :rough-in="state.roughIn" />
    <HotClosing
      v-if="hot?.run.answered"
      :state="{ ...state, hot }"
      :answer="hot.run.answered"
      :drawn="!(left?.coupling && state.setUp)"
    />
    <FigureTable
      v-if="rows.length"
      on-dye
      :head="[t.judgedAt(state.rpm), left ? t.asFound : '', left ? t.asLeft : t.hot, t.limit, t.unit]"
    >
      <tr v-for="{ q, before } in rows" :key="q.name">
        <td>{{ quantityName(q.name, telling) }}</td>
        <td>
          <SignedFigure :quantity="q" :value="before?.value ?? null" :verdict="before?.verdict" on-dye />
        </td>
        <td class="big"><SignedFigure :quantity="q" :value="q.value" :verdict="q.verdict" on-dye /></td>
        <td class="figure">{{ limitWords(q, telling) }}</td>
        <td class="quiet">{{ UNIT_NAMES[session.units][q.kind] }}</td>
      </tr>
    </FigureTable>
    <p v-else class="empty">{{ w.view.nothingStands }}</p>
    <p v-if="rows.length && state.coldTarget && hasTarget(state.coldTarget)" class="quiet">
      {{ aimsWords(telling.words).source(targetSource(state.coldTarget, telling)) }}
      {{ targetsWords(telling.words).report.values }}
    </p>
    <slot />
    <OverlaidShafts
      v-if="left?.coupling && state.setUp && !state.feet.untaped"
      :feet="state.feet.movable"
      :tolerance="state.tolerance"
      :target="state.target"
      :found="found?.coupling ?? null"
      :left="left.coupling"
    />
    <IntoRegister :lines="taken" :signed="state.closing !== null" />
  </BoardFrame>
</template>

<style scoped>
.views {
  display: grid;
  grid-template-columns: 1fr 1fr;
  gap: 18px;
  padding: 8px 0 12px;
}
.sums p:first-child {
  display: flex;
  align-items: center;
  gap: 8px;
  font-size: 18px;
  color: #fff;
}
.sums span,
.quiet {
  color: var(--scribe-dim);
  font-size: 14px;
}
.big {
  font-size: 19px;
}
.empty {
  margin: auto;
  color: var(--scribe-dim);
}
@media (max-width: 640px) {
  .views {
    grid-template-columns: 1fr;
  }
}
</style>
