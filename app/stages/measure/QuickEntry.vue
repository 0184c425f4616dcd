<script setup lang="ts">
import { measuringWords } from '~~/shared/wording/en'
import type { ReadingBox } from '~~/shared/stages/measure/form'
import { readQuickEntry } from '~~/shared/stages/measure/sheetOrder'

/** Figures from a paper sheet, typed one after another in its order, read back at their places before they go to the boxes. */
const props = defineProps<{
  order: readonly ReadingBox[]
  /** What a circle is called, and where a figure was read. */
  circleName: (circle: string) => string
  place: (clock: number) => string
}>()
const shown = defineModel<boolean>({ required: true })
const emit = defineEmits<{
  fill: [figures: readonly { readonly box: ReadingBox; readonly text: string }[]]
}>()
const session = useSession()
const telling = useTelling()
const w = computed(() => measuringWords(telling.value.words).view.quick)
const text = ref('')
const read = computed(() => readQuickEntry(text.value, props.order, session.units))
const where = (box: ReadingBox) => (box.clock === null ? w.value.turn : props.place(box.clock))
const rows = computed(() => {
  const circles = [...new Set(props.order.map((b) => b.circle))]
  return circles.map((circle) => ({
    circle,
    cells: props.order
      .map((box, i) => ({ box, figure: read.value.figures[i] }))
      .filter((c) => c.box.circle === circle),
  }))
})
const bad = computed(() => read.value.figures.filter((f) => f.value === null))
const note = computed(() => {
  if (bad.value.length > 0) return w.value.unreadable(bad.value.map((f) => f.text).join(', '))
  if (read.value.extra.length > 0) return w.value.extra(read.value.extra.join(', '))
  const [next] = read.value.missing
  return next && text.value.trim() !== ''
    ? w.value.next(props.circleName(next.circle).toLowerCase(), where(next))
    : ''
})
const ready = computed(
  () => read.value.figures.length > 0 && bad.value.length === 0 && read.value.extra.length === 0,
)
const box = useTemplateRef<{ focus: () => void }>('box')
useFirstFocus(shown, () => box.value)
const fill = () => {
  if (!ready.value) return
  emit('fill', read.value.figures)
  text.value = ''
  shown.value = false
}
</script>

<template>
  <el-dialog v-model="shown" :title="w.title" width="min(640px, 96vw)" append-to-body destroy-on-close>
    <form class="question" @submit.prevent="fill">
      <p class="muted">{{ w.order(rows.map((r) => circleName(r.circle).toLowerCase())) }}</p>
      <el-input
        ref="box"
        v-model="text"
        :aria-label="w.title"
        type="textarea"
        :rows="3"
        maxlength="2000"
        @keydown.ctrl.enter="fill"
      />
      <p v-if="note" role="status">{{ note }}</p>
      <FigureTable :head="['', ...(rows[0]?.cells.map((c) => where(c.box)) ?? [])]">
        <tr v-for="row in rows" :key="row.circle">
          <td>{{ circleName(row.circle) }}</td>
          <td v-for="cell in row.cells" :key="String(cell.box.clock)" class="figure">
            {{
              cell.figure
                ? cell.figure.value === null
                  ? '?'
                  : String(cell.figure.value).replace('-', '−')
                : '–'
            }}
          </td>
        </tr>
      </FigureTable>
      <el-button native-type="submit" class="next-button" :disabled="!ready">{{ w.fill }}</el-button>
    </form>
  </el-dialog>
</template>
