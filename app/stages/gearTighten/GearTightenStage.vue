<script setup lang="ts">
import type { ContactRead } from '~~/core/stages/contact/contact'
import type { Verdict } from '~~/core/judge/judge'
import { actionsWords, gearPrepareWords } from '~~/shared/wording/en'
import { figure } from '~~/shared/wording/figures'
import { percentFigure } from '~~/shared/wording/gearContact'
import { meaningOfGearTighten, pinsWanted } from '~~/shared/wording/gearPrepare'

/** Blocks and covers drawn down, what that did to paint and backlash, and the pins back in or reamed. */
const openStage = inject(openStageKey, () => {})
const goOn = inject(goOnKey, () => {})
const job = useJob()
const session = useSession()
const telling = useTelling()
const w = computed(() => gearPrepareWords(telling.value.words).tighten)
const state = computed(() => job.gear!)
const closed = computed(() => state.value.closing !== null)
const recheck = computed(() => state.value.gearRecheck)
const meaning = computed(() => meaningOfGearTighten(state.value, telling.value))
const { draft: form, clear } = useDraft('gear-tighten', () => ({ words: '' }))
const mayTighten = computed(() => state.value.contact.now !== null && state.value.backlash.now !== null)

interface Row {
  readonly name: string
  readonly before: string
  readonly after: string
  readonly change: string
  readonly verdict: Verdict | null
}
const rows = computed((): readonly Row[] => {
  const { before, since } = recheck.value
  const row = (
    name: string,
    a: number | null,
    b: number | null,
    say: (x: number) => string,
    verdict: Verdict | null,
  ): Row => ({
    name,
    before: a === null ? '–' : say(a),
    after: b === null ? '–' : say(b),
    change: a === null || b === null ? '–' : say(b - a),
    verdict,
  })
  const percent = (x: number) => `${percentFigure(x, true)} %`
  const of = (r: ContactRead | null, f: 'together' | 'apart') => r?.figures?.[f] ?? null
  return [
    ...(['together', 'apart'] as const).map((f) =>
      row(
        w.value.rows[f],
        of(before.contact, f),
        of(since.contact, f),
        percent,
        since.contact?.figures?.verdicts[f] ?? null,
      ),
    ),
    row(
      w.value.rows.backlash,
      before.backlash?.worst ?? null,
      since.backlash?.worst ?? null,
      (x) => figure(x, 'displacement', session.units, { unit: true }),
      since.backlash?.verdict ?? null,
    ),
  ]
})
const next = computed(() => recheck.value.missing[0] ?? null)
const pinsAsked = computed(
  () => !closed.value && recheck.value.entry !== null && next.value === null && state.value.pins === 'out',
)
const log = () => {
  if (job.log({ kind: 'gear-tightened', payload: { words: form.value.words.trim() } })) clear()
}
const pin = (did: 'refitted' | 'reamed') => {
  if (job.log({ kind: 'pins-handled', payload: { did, words: form.value.words.trim() } })) clear()
}
</script>

<template>
  <BoardFrame :title="w.title" :note="w.note">
    <StepList :name="w.asked" :steps="w.steps" />
    <section class="did">
      <FigureTable
        v-if="recheck.entry"
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
      <p v-if="pinsAsked" class="pins">{{ pinsWanted(state, telling) }}</p>
      <label v-if="!closed && mayTighten && (!recheck.entry || pinsAsked)" class="words">
        <span>{{ w.words }}</span>
        <el-input v-model="form.words" :aria-label="w.words" maxlength="2000" />
      </label>
    </section>
  </BoardFrame>
  <LedgerFrame :mark="meaning.mark" :headline="meaning.headline" :detail="meaning.detail">
    <p class="caution">{{ w.caution }}</p>
    <p v-if="recheck.entry?.payload.words">{{ recheck.entry.payload.words }}</p>
    <p v-if="recheck.entry && recheck.missing.length === 2" class="muted">{{ w.nothing }}</p>
    <template #next>
      <template v-if="!closed && mayTighten && !recheck.entry && recheck.loosened">
        <PassOver stage="tighten" :title="w.passOver" />
        <el-button class="next-button" @click="log">{{ w.log }}</el-button>
      </template>
      <el-button v-else-if="!closed && next" class="next-button" @click="openStage(next)">{{
        next === 'contact' ? w.toContact : w.toBacklash
      }}</el-button>
      <template v-else-if="pinsAsked">
        <el-button class="quiet-button" @click="pin(state.mustReam ? 'refitted' : 'reamed')">{{
          state.mustReam ? w.refitted : w.reamed
        }}</el-button>
        <el-button class="next-button" @click="pin(state.mustReam ? 'reamed' : 'refitted')">{{
          state.mustReam ? w.reamed : w.refitted
        }}</el-button>
      </template>
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
.pins {
  margin-top: 12px;
  color: var(--brass-on-dye);
  font-weight: 700;
}
.words {
  display: block;
  margin-top: 12px;
}
.words span {
  display: block;
  margin-bottom: 5px;
  font-size: 14px;
  color: var(--scribe-dim);
}
</style>
