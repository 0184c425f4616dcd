<script setup lang="ts">
import { machineNames } from '~~/shared/wording/machineNames'
import { lookWords } from '~~/shared/wording/en'
import { readFoundShims, shimKey } from '~~/shared/stages/look/form'
import { fromCore } from '~~/core/units/unitSystem'
import { pack, UNIT_NAMES } from '~~/shared/wording/figures'
import { footPlace, meaningOfLooks, shimsFoundWords } from '~~/shared/wording/look'
import { capital } from '~~/shared/wording/capital'
import type { FootFound } from '~~/core/stages/look/shimsFound'

/** What lies under each foot, leaf by leaf with its mark, before it comes out. */
const look = useSharedLook()
const job = useJob()
const session = useSession()
const telling = useTelling()
const goOn = inject(goOnKey, () => {})
const w = computed(() => lookWords(telling.value.words))
const v = computed(() => w.value.view)
const read = computed(() => readFoundShims(look.form, look.onFeet.looks.feet, telling.value))
const ask = useAskOnce(() => read.value.questions)
const locked = computed(() => look.closed || look.onFeet.shimmed)
const looks = computed(() =>
  look.looksWith(read.value.payload ? { kind: 'shims-found', payload: read.value.payload } : null),
)
const meaning = computed(() => meaningOfLooks(looks.value, telling.value))
const sentences = computed(() => shimsFoundWords(looks.value, telling.value))
const names = computed(() => machineNames(look.onFeet))
const groups = computed(() =>
  (['movable', 'stationary'] as const)
    .map((machine) => ({
      machine,
      name: capital(names.value[machine]),
      feet: rowsSeen(looks.value.feet.filter((f) => f.machine === machine)),
    }))
    .filter((g) => g.feet.length > 0),
)
const rowsSeen = useRowsSeen()
const lies = (f: FootFound) => f.found ?? f.registered
const tallest = computed(() =>
  Math.max(0.5, ...looks.value.feet.map((f) => lies(f).reduce((s, t) => s + t, 0))),
)
/** What stands in the boxes: what is being typed, else what was logged. */
const boxes = (f: FootFound) => {
  const typed = look.form.shims[shimKey(f)]
  if (typed) return typed
  const logged = look.onFeet.looks.feet.find((o) => shimKey(o) === shimKey(f))
  const leaves = logged?.found
  if (!leaves) return { leaves: '', marks: '' }
  const shown = (t: number) => String(Number(fromCore(t, 'displacement', session.units).toPrecision(6)))
  return {
    leaves: leaves.length === 0 ? '0' : leaves.map(shown).join(' + '),
    marks: logged.marks.some(Boolean) ? logged.marks.join(', ') : '',
  }
}
const type = (f: FootFound, change: Partial<{ leaves: string; marks: string }>) => {
  look.form.shims[shimKey(f)] = { ...boxes(f), ...change }
}
const board = useTemplateRef<HTMLElement>('board')
const logShims = () => {
  const { payload } = read.value
  if (locked.value || !payload || !ask.mayGo()) return
  if (job.log({ kind: 'shims-found', payload })) look.form.shims = {}
}
/** Enter goes to the next empty box of leaves, and logs behind the last. */
const enter = (event: Event | undefined) => {
  const all = [...(board.value?.querySelectorAll<HTMLInputElement>('.leaves input') ?? [])]
  const at = all.findIndex((b) => b === document.activeElement || b === event?.target)
  const next = all.slice(at + 1).find((b) => b.value.trim() === '')
  if (next) next.focus()
  else logShims()
}
</script>

<template>
  <BoardFrame :title="v.panels.shims" :note="v.note">
    <slot name="tools" />
    <p class="quiet">{{ w.shims.intro }}</p>
    <div ref="board">
      <section v-for="g in groups" :key="g.machine">
        <h3 v-if="groups.length > 1">{{ g.name }}</h3>
        <div class="map">
          <div
            v-for="f in g.feet"
            :key="shimKey(f)"
            class="foot"
            role="group"
            :aria-label="footPlace(f, telling)"
          >
            <LeafStack class="stack" :pack="lies(f)" :put-in="[]" :taken-out="[]" :tallest="tallest" />
            <div class="boxes">
              <NumberBox
                class="leaves"
                :model-value="boxes(f).leaves"
                :label="v.leaves(footPlace(f, telling))"
                measure="displacement"
                :units="session.units"
                list
                on-dye
                :disabled="locked"
                :note="read.faults[shimKey(f)] ?? ''"
                :note-is-fault="shimKey(f) in read.faults"
                @update:model-value="type(f, { leaves: $event })"
                @enter="enter(undefined)"
              />
              <label class="marks"
                ><span>{{ v.marks(footPlace(f, telling)) }}</span>
                <el-input
                  :model-value="boxes(f).marks"
                  :aria-label="v.marks(footPlace(f, telling))"
                  :placeholder="v.marksHint"
                  :disabled="locked"
                  maxlength="200"
                  @update:model-value="type(f, { marks: $event })"
                  @keydown.enter.prevent="enter($event)"
                />
              </label>
              <p class="quiet">
                {{ v.registered(pack(f.registered, session.units)) }}
                {{ f.registered.length > 0 ? UNIT_NAMES[session.units].displacement : '' }}
              </p>
            </div>
          </div>
        </div>
      </section>
    </div>
  </BoardFrame>
  <LedgerFrame :mark="meaning.mark" :headline="meaning.headline" :detail="meaning.detail">
    <p v-for="q in ask.shown.value" :key="q" class="question" role="alert">{{ q }}</p>
    <p v-for="s in sentences" :key="s">{{ s }}</p>
    <p v-if="look.onFeet.shimmed && !look.closed" class="muted">{{ v.shimmedAlready }}</p>
    <p class="caution">{{ v.lifting }}</p>
    <template #next>
      <el-button v-if="read.payload && !locked" class="next-button" @click="logShims">{{
        v.logShims
      }}</el-button>
      <el-button v-else class="next-button" @click="goOn()">{{ v.goOn }}</el-button>
    </template>
  </LedgerFrame>
</template>

<style scoped>
h3 {
  margin: 12px 0 6px;
  font-size: 15px;
  font-weight: 400;
  color: #fff;
}
.map {
  display: grid;
  grid-template-columns: repeat(2, minmax(0, 1fr));
  gap: 10px 14px;
  margin-top: 8px;
}
.foot {
  display: grid;
  grid-template-columns: 96px minmax(0, 1fr);
  gap: 10px;
  align-items: center;
  padding: 10px 12px;
  border: 1px solid var(--dye-line);
  border-radius: 4px;
}
.boxes {
  display: grid;
  gap: 6px;
  min-width: 0;
}
.marks span {
  display: block;
  margin-bottom: 5px;
  font-size: 14px;
  color: var(--scribe-dim);
}
.marks :deep(.el-input__wrapper) {
  min-height: var(--touch);
}
.quiet {
  color: var(--scribe-dim);
  font-size: 14px;
}
.question {
  border-left: 3px solid var(--edge);
  padding-left: 12px;
}
@media (max-width: 640px) {
  .map {
    grid-template-columns: 1fr;
  }
}
</style>
