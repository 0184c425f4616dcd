<script setup lang="ts">
import { beltsWords } from '~~/shared/wording/en'
import type { BeltMachine, SheavePlace } from '~~/core/register/beltMachine'
import {
  boardBegun,
  boxAfter,
  choosesGrooves,
  gapBoxes,
  halfBoxes,
  HALF_BOXES,
  TILT_BOXES,
  type HalfBox,
  type LineBox,
  type LineRead,
  type LineTexts,
} from '~~/shared/stages/lineUp/form'
import { lineBoxWords } from '~~/shared/wording/lines'

/** Where the edge lies, and a box for each gap that was found. Enter walks to what is missing. */
const form = defineModel<LineTexts>({ required: true })
const props = defineProps<{
  read: LineRead
  /** Whose grooves and pull they are; missing on the board of a sum. */
  machine?: BeltMachine
  /** A line was read and stands: what it is laid across with is asked at the next one. */
  stands?: boolean
}>()
const emit = defineEmits<{ whole: [] }>()
const session = useSession()
const telling = useTelling()
const w = computed(() => beltsWords(telling.value.words).view)
const level = { pull: 'level' as const }
const boxName = (box: LineBox | HalfBox) => lineBoxWords(box, props.machine?.base ?? level, telling.value)

/** The edge may have to come nearer than it lay: these two may be below zero. */
const SIGNED: readonly (LineBox | HalfBox)[] = ['g12', 'g6', 'g12h', 'g6h']
/** Boxes in the order of the work: the gaps, the tilt, and both once more after half a turn. */
const groups = computed(() =>
  [
    { name: 'gaps', said: '', boxes: gapBoxes(form.value) as readonly (LineBox | HalfBox)[] },
    { name: 'tilt', said: '', boxes: TILT_BOXES },
    { name: 'half', said: w.value.halfTurned, boxes: halfBoxes(form.value) },
  ].filter((g) => g.boxes.length > 0),
)
const isHalf = (box: LineBox | HalfBox): box is HalfBox => (HALF_BOXES as readonly string[]).includes(box)
const textOf = (box: LineBox | HalfBox) =>
  isHalf(box) ? (form.value.more?.half[box] ?? '') : form.value.boxes[box]
const write = (box: LineBox | HalfBox, text: string) => {
  if (!isHalf(box)) form.value.boxes[box] = text
  else if (form.value.more) form.value.more.half[box] = text
}
const boxes = new Map<LineBox | HalfBox, { focus: () => void }>()
const keep = (box: LineBox | HalfBox) => (el: unknown) => {
  if (el) boxes.set(box, el as { focus: () => void })
  else boxes.delete(box)
}
const focus = (box: LineBox | HalfBox | undefined) => box && boxes.get(box)?.focus()
const enter = (box: LineBox | HalfBox) => {
  const next = boxAfter(box, form.value, props.read.missing)
  if (next) focus(next)
  else emit('whole')
}
const asks = computed(() => !props.stands || boardBegun(form.value))
const grooves = computed(() =>
  props.machine && choosesGrooves(props.machine)
    ? (['motor', 'driven'] as const).map((place) => ({
        place,
        name: w.value.groove(beltsWords(telling.value.words).sheaves[place]),
        options: Array.from({ length: props.machine!.sheaves[place].grooves }, (_, i) => ({
          value: String(i + 1),
          name: w.value.grooveIs(beltsWords(telling.value.words).sheaves[place], i + 1),
        })),
      }))
    : [],
)
const pickGroove = (place: SheavePlace, n: string) => {
  if (form.value.more) form.value.more.grooves[place] = Number(n)
}
const turnHalf = () => {
  if (!form.value.more) return
  form.value.more.halfTurned = true
  void nextTick(() => focus('p1h'))
}
defineExpose({ focus })
</script>

<template>
  <div class="ask">
    <template v-if="boardBegun(form)">
      <div v-for="group in groups" :key="group.name">
        <p v-if="group.said" class="quiet">{{ group.said }}</p>
        <div class="boxes">
          <NumberBox
            v-for="box in group.boxes"
            :key="box"
            :ref="keep(box)"
            :model-value="textOf(box)"
            :label="boxName(box)"
            measure="distance"
            :units="session.units"
            :signed="SIGNED.includes(box)"
            on-dye
            :note="read.remarks[box]?.text ?? ''"
            :note-is-fault="read.remarks[box]?.fault ?? false"
            @update:model-value="write(box, $event)"
            @enter="enter(box)"
          />
        </div>
      </div>
      <el-button
        v-if="form.more && !form.more.halfTurned"
        link
        class="text-button on-dye"
        @click="turnHalf"
        >{{ w.halfTurn }}</el-button
      >
    </template>
    <div class="choices">
      <ChoiceRow
        v-model="form.edgeOn"
        :label="w.edgeOn"
        show-label
        on-dye
        :options="[
          { value: 'motor', name: w.edgeOnNames.motor },
          { value: 'driven', name: w.edgeOnNames.driven },
        ]"
      />
      <ChoiceRow
        v-model="form.edgeSide"
        :label="w.edgeSide"
        show-label
        on-dye
        :options="[
          { value: 'outer', name: w.edgeSideNames.outer },
          { value: 'inner', name: w.edgeSideNames.inner },
        ]"
      />
      <ChoiceRow
        v-if="form.more && asks"
        v-model="form.more.by"
        :label="w.by"
        show-label
        on-dye
        :options="[
          { value: 'edge', name: w.byNames.edge },
          { value: 'string', name: w.byNames.string },
        ]"
      />
      <template v-if="form.more && asks">
        <PickOne
          v-for="g in grooves"
          :key="g.place"
          :model-value="String(form.more.grooves[g.place])"
          :label="g.name"
          on-dye
          :options="g.options"
          @update:model-value="pickGroove(g.place, $event)"
        />
      </template>
    </div>
    <p v-if="asks && form.more?.by === 'string'" class="quiet">{{ w.stringHow }}</p>
  </div>
</template>

<style scoped>
.ask {
  display: grid;
  gap: 10px;
}
.boxes {
  display: grid;
  grid-template-columns: repeat(auto-fit, minmax(136px, 1fr));
  gap: 10px 14px;
}
.choices {
  display: flex;
  flex-wrap: wrap;
  gap: 10px 22px;
  align-items: end;
}
.quiet {
  color: var(--scribe-dim);
  font-size: 15px;
}
.on-dye {
  justify-self: start;
  color: var(--scribe);
}
</style>
