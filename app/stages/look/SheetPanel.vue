<script setup lang="ts">
import { movableName } from '~~/shared/wording/machineNames'
import { flangeWords, lookWords } from '~~/shared/wording/en'
import type { EntryBody } from '~~/core/logbook/entry'
import { boltClock } from '~~/shared/wording/flange'
import { clockFace } from '~~/shared/wording/clockFace'
import { toCore, type UnitSystem } from '~~/core/units/unitSystem'
import { feetToCutFor, readSheet, shimKey } from '~~/shared/stages/look/form'
import { CHECK_BAR, outlineDrawing } from '~~/shared/stages/look/outline'
import { figure } from '~~/shared/wording/figures'
import { footPlace, meaningOfLooks } from '~~/shared/wording/look'
import { capital } from '~~/shared/wording/capital'

/** A shim cut from sheet for one foot: its outline to scale on paper, and what was cut in this job. */
const look = useSharedLook()
const job = useJob()
const session = useSession()
const telling = useTelling()
const goOn = inject(goOnKey, () => {})
const w = computed(() => lookWords(telling.value.words))
const v = computed(() => w.value.view)
/** What a shim may be cut for: the feet, or the bolts of a flange. */
const places = computed(() => {
  const { state } = look
  return 'shape' in state
    ? state.shape.bolts.map((b) => ({
        key: b.id,
        name: capital(flangeWords(telling.value.words).bolt(clockFace(b.clock))),
      }))
    : feetToCutFor(look.onFeet.machine).map((f) => ({
        key: shimKey(f),
        name: capital(footPlace(f, telling.value)),
      }))
})
const read = computed(() =>
  readSheet(
    look.form,
    places.value.map((p) => p.key),
    telling.value,
  ),
)
const meaning = computed(() =>
  read.value.shim
    ? { mark: 'todo' as const, headline: sizeWords.value, detail: v.value.printAt }
    : meaningOfLooks(look.state.looks, telling.value),
)
const far = (mm: number) => figure(mm, 'distance', session.units, { unit: true })
const sizeWords = computed(() => {
  const { shim } = read.value
  return shim ? w.value.outline.size(far(shim.width), far(shim.length), far(shim.slot)) : ''
})
const sheetWords = (thickness: number, count: number, units: UnitSystem) =>
  w.value.outline.sheet(
    figure(toCore(thickness, 'displacement', units), 'displacement', session.units, { unit: true }),
    count,
  )
const tag = computed(() => job.machine?.tag ?? '')
const note = computed(() => {
  const foot = places.value.find((f) => f.key === look.form.sheet.foot)
  const { cut: told } = read.value
  const sheet = told ? sheetWords(told.thickness, told.count, session.units) : ''
  return [tag.value, foot?.name ?? '', sheet].filter(Boolean).join(', ')
})
const svgFile = computed(() => {
  const { shim } = read.value
  const drawing = shim && outlineDrawing(shim, [note.value, sizeWords.value], w.value.outline.bar(CHECK_BAR))
  return drawing ? `data:image/svg+xml;charset=utf-8,${encodeURIComponent(drawing.svg)}` : ''
})
const pdf = (paper: 'a4' | 'letter') => {
  const { shim } = read.value
  if (!shim) return ''
  const mm = (x: number) => String(Number(x.toFixed(4)))
  const query = new URLSearchParams({
    paper,
    units: 'metric',
    length: mm(shim.length),
    width: mm(shim.width),
    slot: mm(shim.slot),
    toBolt: mm(shim.toBolt),
    note: note.value.slice(0, 120),
  })
  return `/api/shim-outline.pdf?${query.toString()}`
}
const box = (which: 'length' | 'width' | 'bolt' | 'slot' | 'toBolt' | 'thickness' | 'count') => ({
  modelValue: look.form.sheet[which],
  measure:
    which === 'thickness'
      ? ('displacement' as const)
      : which === 'count'
        ? ('plain' as const)
        : ('distance' as const),
  units: session.units,
  onDye: true,
  disabled: look.closed,
  note: read.value.faults[which] ?? read.value.notes[which] ?? '',
  noteIsFault: which in read.value.faults,
  'onUpdate:modelValue': (text: string) => {
    look.form.sheet[which] = text
  },
  onEnter: logCut,
})
/** The entry that says it: of a foot, or of a bolt. */
const entryOf = (told: NonNullable<typeof read.value.cut>): EntryBody | null => {
  const { at, ...rest } = told
  const all = { units: session.units, ...rest, words: '' }
  if ('shape' in look.state) return { kind: 'bolt-shims-cut', payload: { ...all, bolt: at } }
  const foot = feetToCutFor(look.onFeet.machine).find((f) => shimKey(f) === at)
  return foot ? { kind: 'sheet-shims-cut', payload: { ...all, ...foot } } : null
}
function logCut() {
  const { cut: told } = read.value
  const entry = told && entryOf(told)
  if (look.closed || !entry) return
  if (job.log(entry)) look.form.sheet = { ...look.form.sheet, foot: '', thickness: '', count: '1' }
}
const cut = computed(() => {
  const { state } = look
  const told = (e: { readonly thickness: number; readonly count: number; readonly units: UnitSystem }) =>
    sheetWords(e.thickness, e.count, e.units)
  return 'shape' in state
    ? state.found.cut.map((e) => ({
        id: e.id,
        words: `${told(e.payload)}, ${flangeWords(telling.value.words).bolt(boltClock(state.shape.bolts, e.payload.bolt))}`,
      }))
    : state.looks.facts.cut.map((e) => ({
        id: e.id,
        words: `${told(e.payload)}, ${footPlace(e.payload, telling.value)}`,
      }))
})
</script>

<template>
  <BoardFrame :title="v.panels.sheet" :note="movableName(look.state)">
    <slot name="tools" />
    <div class="cut">
      <div class="width"><NumberBox v-bind="box('width')" :label="v.shimWidth" /></div>
      <div class="length"><NumberBox v-bind="box('length')" :label="v.shimLength" /></div>
      <SheetShimDrawing class="drawing" :shim="read.shim" :name="sizeWords || v.cutNone" />
      <div class="bolt">
        <NumberBox v-bind="box('bolt')" :label="v.bolt" />
        <NumberBox v-bind="box('slot')" :label="v.slot" />
        <NumberBox v-bind="box('toBolt')" :label="v.toBolt" />
      </div>
      <div class="what">
        <div>
          <span>{{ v.foot }}</span>
          <PickOne
            v-model="look.form.sheet.foot"
            on-dye
            :label="v.foot"
            :options="places.map((f) => ({ value: f.key, name: f.name }))"
            :disabled="look.closed"
          />
        </div>
        <NumberBox v-bind="box('thickness')" :label="v.thickness" />
        <NumberBox v-bind="box('count')" :label="v.count" />
      </div>
    </div>
  </BoardFrame>
  <LedgerFrame desk-work :mark="meaning.mark" :headline="meaning.headline" :detail="meaning.detail">
    <p v-if="!read.shim" class="muted">{{ v.cutNone }}</p>
    <div v-else class="links">
      <el-button tag="a" class="quiet-button" :href="pdf('a4')" target="_blank" rel="noopener">{{
        v.pdfA4
      }}</el-button>
      <el-button tag="a" class="quiet-button" :href="pdf('letter')" target="_blank" rel="noopener">{{
        v.pdfLetter
      }}</el-button>
      <el-button tag="a" class="quiet-button" :href="svgFile" :download="`${tag}-shim.svg`">{{
        v.svg
      }}</el-button>
    </div>
    <p v-if="read.notes.foot && read.shim" class="muted">{{ read.notes.foot }}</p>
    <div v-if="cut.length > 0">
      <h3>{{ v.cutSoFar }}</h3>
      <ul>
        <li v-for="c in cut" :key="c.id">{{ c.words }}</li>
      </ul>
    </div>
    <p class="caution">{{ v.sharp }}</p>
    <template #next>
      <el-button v-if="read.cut && !look.closed" class="next-button" @click="logCut">{{
        v.logSheet
      }}</el-button>
      <el-button v-else class="next-button" @click="goOn()">{{ v.goOn }}</el-button>
    </template>
  </LedgerFrame>
</template>

<style scoped>
.cut {
  display: grid;
  grid-template:
    '. width .' auto
    'length drawing bolt' minmax(220px, 1fr)
    'what what what' auto / 200px minmax(0, 1fr) 200px;
  gap: 12px 18px;
  margin-top: 10px;
}
.width {
  grid-area: width;
  justify-self: center;
  width: 200px;
}
.length {
  grid-area: length;
  align-self: center;
}
.drawing {
  grid-area: drawing;
}
.bolt {
  grid-area: bolt;
  display: grid;
  gap: 10px;
  align-content: end;
}
.what {
  grid-area: what;
  display: flex;
  flex-wrap: wrap;
  gap: 10px 20px;
  align-items: start;
  padding-top: 10px;
  border-top: 1px solid var(--dye-line);
}
.what > * {
  width: 200px;
}
.what div > span:first-child,
.what label span {
  display: block;
  margin-bottom: 5px;
  font-size: 14px;
  color: var(--scribe-dim);
}
.links {
  display: grid;
  gap: 8px;
}
h3 {
  font-size: 15px;
}
ul {
  margin: 4px 0 0;
  padding-left: 20px;
}
@media (max-width: 640px) {
  .cut {
    grid-template: none;
    grid-template-columns: 1fr;
  }
  .cut > * {
    grid-area: auto;
    width: auto;
  }
}
</style>
