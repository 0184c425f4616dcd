<script setup lang="ts">
import { beltsWords } from '~~/shared/wording/en'
import { boardBegun, boxAfter, gapBoxes, TILT_BOXES } from '~~/shared/stages/lineUp/form'
import type { LineTexts, LineBox, LineRead } from '~~/shared/stages/lineUp/form'

/** Where the edge lies, and a box for each gap that was found. Enter walks to what is missing. */
const form = defineModel<LineTexts>({ required: true })
const props = defineProps<{ read: LineRead }>()
const emit = defineEmits<{ whole: [] }>()
const session = useSession()
const telling = useTelling()
const w = computed(() => beltsWords(telling.value.words).view)

const boxes = new Map<LineBox, { focus: () => void }>()
const keep = (box: LineBox) => (el: unknown) => {
  if (el) boxes.set(box, el as { focus: () => void })
  else boxes.delete(box)
}
const focus = (box: LineBox | undefined) => box && boxes.get(box)?.focus()
const enter = (box: LineBox) => {
  const next = boxAfter(box, form.value, props.read.missing)
  if (next) focus(next)
  else emit('whole')
}
defineExpose({ focus })
</script>

<template>
  <div class="ask">
    <template v-if="boardBegun(form)">
      <div v-for="(group, i) in [gapBoxes(form), TILT_BOXES]" :key="i" class="boxes">
        <NumberBox
          v-for="box in group"
          :key="box"
          :ref="keep(box)"
          v-model="form.boxes[box]"
          :label="beltsWords(telling.words).boxes[box]"
          measure="distance"
          :units="session.units"
          :signed="box === 'g12' || box === 'g6'"
          on-dye
          :note="read.remarks[box]?.text ?? ''"
          :note-is-fault="read.remarks[box]?.fault ?? false"
          @enter="enter(box)"
        />
      </div>
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
    </div>
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
}
</style>
