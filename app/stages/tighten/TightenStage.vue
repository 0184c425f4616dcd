<script setup lang="ts">
import type { LineReading } from '~~/core/stages/lineUp/line'
import type { TensionRead } from '~~/core/stages/tension/tension'
import { meaningOfRecheck } from '~~/shared/wording/drive'
import { actionsWords, beltsWords, tightenWords } from '~~/shared/wording/en'
import { degrees, gapFigure } from '~~/shared/wording/figures'
import { forceFigure } from '~~/shared/wording/forces'

/** The base drawn down, and what that did to line and tension. */
const openStage = inject(openStageKey, () => {})
const job = useJob()
const session = useSession()
const telling = useTelling()
const goOn = inject(goOnKey, () => {})
const w = computed(() => tightenWords(telling.value.words))
const v = computed(() => w.value.view)
const state = computed(() => job.belt!)
const closed = computed(() => state.value.closing !== null)
const recheck = computed(() => state.value.recheck)
const meaning = computed(() =>
  meaningOfRecheck(recheck.value, state.value.tensionLeft !== null, telling.value),
)
const { draft: form, clear } = useDraft('tighten', () => ({ words: '' }))

interface Row {
  readonly name: string
  readonly before: string
  readonly after: string
  readonly change: string
  readonly verdict: 'in' | 'edge' | 'out' | null
}
const row = (
  name: string,
  before: number | null,
  after: number | null,
  say: (x: number) => string,
  verdict: Row['verdict'],
): Row => ({
  name,
  before: before === null ? '–' : say(before),
  after: after === null ? '–' : say(after),
  change: before === null || after === null ? '–' : say(after - before),
  verdict,
})
const verdictOf = (line: LineReading | null, name: string) =>
  line?.quantities.find((q) => q.name === name)?.verdict ?? null
const rows = computed((): readonly Row[] => {
  const { before, since } = recheck.value
  const mean = (r: TensionRead | null) => r?.mean ?? null
  const tension = since.tension?.verdict
  return [
    row(
      w.value.rows.offset,
      before.line?.errors.offset ?? null,
      since.line?.errors.offset ?? null,
      (x) => gapFigure(x, telling.value, true),
      verdictOf(since.line, 'offset'),
    ),
    row(
      w.value.rows.turn,
      before.line?.errors.turn ?? null,
      since.line?.errors.turn ?? null,
      (x) => degrees(x),
      null,
    ),
    row(
      w.value.rows.tension,
      mean(before.tension),
      mean(since.tension),
      (x) => forceFigure(x, session.units, true),
      tension === undefined || tension === 'unknown' ? null : tension,
    ),
  ]
})
const log = () => {
  if (!job.log({ kind: 'base-tightened', payload: { words: form.value.words.trim() } })) return
  clear()
}
const next = computed(() => recheck.value.missing[0] ?? null)
const goRead = (what: 'line' | 'tension') => openStage(what === 'line' ? 'line-up' : 'tension')
</script>

<template>
  <BoardFrame :title="v.title" :note="v.note">
    <StepList :name="w.asked" :steps="v.steps" />
    <section class="did">
      <FigureTable
        v-if="recheck.facts.entry"
        on-dye
        :head="['', w.columns.before, w.columns.after, w.columns.change]"
      >
        <tr v-for="r in rows" :key="r.name">
          <td>{{ r.name }}</td>
          <td class="figure">{{ r.before }}</td>
          <td class="figure big"><VerdictMark v-if="r.verdict" :mark="r.verdict" on-dye /> {{ r.after }}</td>
          <td class="figure">{{ r.change }}</td>
        </tr>
      </FigureTable>
      <label v-else-if="!closed && state.tensionLeft" class="words">
        <span>{{ v.words }}</span>
        <el-input v-model="form.words" :aria-label="v.words" maxlength="2000" @keydown.enter.prevent="log" />
      </label>
    </section>
  </BoardFrame>
  <LedgerFrame :mark="meaning.mark" :headline="meaning.headline" :detail="meaning.detail">
    <p class="caution">{{ w.caution }}</p>
    <p v-if="recheck.facts.entry?.payload.words">{{ recheck.facts.entry.payload.words }}</p>
    <p class="muted">{{ beltsWords(telling.words).fingers }}</p>
    <p v-if="recheck.facts.entry && recheck.missing.length === 2" class="muted">{{ v.nothing }}</p>
    <template #next>
      <template v-if="!closed && state.tensionLeft && !recheck.facts.entry && recheck.loosened">
        <PassOver stage="tighten" :title="v.passOver" />
        <el-button class="next-button" @click="log">{{ w.log }}</el-button>
      </template>
      <el-button v-else-if="!closed && next" class="next-button" @click="goRead(next)">{{
        next === 'line' ? w.toLine : w.toTension
      }}</el-button>
      <el-button v-else class="next-button" @click="goOn()">{{ actionsWords(telling.words).goOn }}</el-button>
    </template>
  </LedgerFrame>
</template>

<style scoped>
.did {
  margin-top: 18px;
  padding-top: 12px;
  border-top: 1px solid var(--dye-line);
}
.big {
  font-size: 19px;
}
.words span {
  display: block;
  margin-bottom: 5px;
  font-size: 14px;
  color: var(--scribe-dim);
}
</style>
