<script setup lang="ts">
import { placeOf } from '~~/shared/wording/footPlaces'
import { softFootWords, tablesWords } from '~~/shared/wording/en'
import { FOOT_NAMES, type FootName } from '~~/core/feet/softFoot'
import { toCore } from '~~/core/units/unitSystem'
import { sizeVerdict } from '~~/core/judge/sizeVerdict'
import type { TextGroup } from '~~/shared/quick/texts'
import type { DrawnFoot } from '~~/shared/stages/feet/drawing'
import { CORNERS, type Corner } from '~~/shared/stages/feet/form'

/** Four feet from above: their rises, and the corner gaps that say which foot is short. */
const props = defineProps<{ id: string; result: unknown }>()
const session = useSession()
const telling = useTelling()
const { form, text, mm, rows, set } = useSumBoard()
const words = useWords()
const w = softFootWords(words)
const tables = tablesWords(words)
const step = ref<'gaps' | 'rises'>('rises')

/** Row by row from the coupling end. */
const FEET = [
  ['f1', 'inboard', 'left'],
  ['f2', 'inboard', 'right'],
  ['f4', 'outboard', 'left'],
  ['f3', 'outboard', 'right'],
] as const
const found = computed(
  () => props.result as { limit: number; fill: { foot: FootName; thickness: number } | null } | null,
)
const cornerRow = (foot: FootName) => rows('corners').findIndex((r) => (r as TextGroup).name === foot)
const cornerText = (foot: FootName, corner: Corner) => text(`corners/${cornerRow(foot)}/value/${corner}`)
const feet = computed((): DrawnFoot[] =>
  FEET.map(([name, pair, side]) => {
    const rise = mm(`rises/${name}`, 'displacement')
    const fill = found.value?.fill
    const gaps = CORNERS.flatMap((c) =>
      cornerRow(name) < 0 ? [] : (mm(`corners/${cornerRow(name)}/value/${c}`, 'displacement') ?? []),
    )
    const inMm = (x: number) => toCore(x, 'displacement', session.units)
    return {
      key: name,
      ref: { machine: 'movable', pair, side },
      name,
      place: placeOf({ machine: 'movable', pair, side }, telling.value),
      left: side === 'left',
      order: FOOT_NAMES.indexOf(name),
      pack: [],
      putIn: fill?.foot === name ? [inMm(fill.thickness)] : [],
      takenOut: [],
      rise,
      before: null,
      mark: rise === null || !found.value ? null : sizeVerdict(rise, inMm(found.value.limit)),
      gap: gaps.length > 0 ? Math.max(...gaps) : null,
    }
  }),
)
const rises = computed(() => Object.fromEntries(FEET.map(([n]) => [n, text(`rises/${n}`)])))
const corners = computed(() =>
  Object.fromEntries(FEET.flatMap(([n]) => CORNERS.map((c) => [`${n}.${c}`, cornerText(n, c)]))),
)
const faults = computed(() =>
  Object.fromEntries(
    FEET.flatMap(([n]) => {
      const issue = form.issue(`rises/${n}`)
      return issue ? [[n, issue]] : []
    }),
  ),
)
const setCorner = (key: string, typed: string) => {
  const [foot = '', corner = ''] = key.split('.')
  const own = rows('corners') as TextGroup[]
  const blank = Object.fromEntries(CORNERS.map((c) => [c, '0']))
  const there = own.some((r) => r.name === foot)
  set(
    'corners',
    (there ? own : [...own.filter((r) => r.name !== ''), { name: foot, value: blank }]).map((r) =>
      r.name === foot ? { ...r, value: { ...(r.value as TextGroup), [corner]: typed } } : r,
    ),
  )
}
const board = useTemplateRef<{ focus: (key: string) => void; focusNextCorner: () => boolean }>('board')
const next = (key: string) => {
  if (step.value === 'gaps') return board.value?.focusNextCorner()
  const at = FEET.findIndex(([n]) => n === key)
  board.value?.focus(FEET[(at + 1) % FEET.length]?.[0] ?? 'f1')
}
</script>

<template>
  <div>
    <ChoiceRow
      v-model="step"
      :label="w.view.step"
      on-dye
      :options="[
        { value: 'rises', name: w.view.rises },
        { value: 'gaps', name: w.view.gaps },
      ]"
    />
    <FeetBoard
      ref="board"
      :feet="feet"
      :step="step"
      :rises="rises"
      :corners="corners"
      :faults="faults"
      :locked="false"
      :stationary-name="tables.driven"
      :far-name="tables.motor"
      :units="session.units"
      @update:rise="(key, typed) => set(`rises/${key}`, typed)"
      @update:corner="setCorner"
      @enter="next"
    />
  </div>
</template>
