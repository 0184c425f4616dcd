<script setup lang="ts">
import { nameMarkUnits, readMarks, type MarkTexts } from '~~/shared/stages/gearLook/form'
import { fromCore } from '~~/core/units/unitSystem'
import { actionsWords, gearPrepareWords } from '~~/shared/wording/en'
import { layerFigure, layersLines } from '~~/shared/wording/gearPrepare'
import { loadedAhead } from '../ahead'

const TakePhotographs = loadedAhead(() => import('~/components/TakePhotographs.vue'))

/** What lies under each block, and how layers and pins are marked, before anything comes out. */
const behind = useBehind()
const job = useJob()
const session = useSession()
const telling = useTelling()
const goOn = inject(goOnKey, () => {})
const w = computed(() => gearPrepareWords(telling.value.words).layers)
const state = computed(() => job.gear!)
const locked = computed(() => state.value.closing !== null || state.value.contact.disturbed)
/** As the register has it: most often it lies so. */
const blank = (): MarkTexts => ({
  units: session.units,
  layer: String(Number(fromCore(state.value.layers.thickness, 'displacement', session.units).toPrecision(6))),
  under: state.value.layers.found.map(String),
  pins: 'marked',
  marks: '',
  photographs: [],
  words: '',
})
const { draft: form, clear } = useDraft<MarkTexts>('layers', blank)
useUnitsOfDraft(form, nameMarkUnits)
const read = computed(() => readMarks(form.value, telling.value))
const log = () => {
  const { payload } = read.value
  if (payload && job.log({ kind: 'layers-marked', payload })) clear()
}
const under = computed(() => state.value.layers.found)
</script>

<template>
  <BoardFrame :title="w.title" :note="w.note">
    <slot name="tools" />
    <div class="stacks">
      <BlockLayers
        v-for="(n, i) in under"
        :key="i"
        :under="n"
        :change="0"
        :layer="layerFigure(state.layers.thickness, telling)"
      />
    </div>
    <form v-if="!locked" class="asked" @submit.prevent="log">
      <NumberBox
        v-model="form.layer"
        :label="w.of"
        measure="displacement"
        :units="session.units"
        on-dye
        :note="read.faults.layer ?? ''"
        :note-is-fault="'layer' in read.faults"
        @enter="log"
      />
      <NumberBox
        v-for="(_, i) in form.under"
        :key="i"
        v-model="form.under[i]!"
        :label="w.under(i + 1)"
        measure="plain"
        :units="session.units"
        on-dye
        :note="read.faults[`under.${i}`] ?? ''"
        :note-is-fault="`under.${i}` in read.faults"
        @enter="log"
      />
      <ChoiceRow
        v-model="form.pins"
        :label="w.pins"
        show-label
        on-dye
        :options="(['marked', 'none'] as const).map((value) => ({ value, name: w.pinsAre[value] }))"
      />
      <label class="words">
        <span>{{ w.marks }}</span>
        <el-input v-model="form.marks" :aria-label="w.marks" maxlength="120" @keydown.enter.prevent="log" />
      </label>
      <TakePhotographs
        v-if="behind"
        class="whole"
        :ids="form.photographs"
        :place="w.title"
        @update:ids="form.photographs = $event"
      />
    </form>
  </BoardFrame>
  <LedgerFrame
    :mark="state.layerFacts.marked ? (state.layers.differs ? 'edge' : 'done') : 'todo'"
    :headline="state.layerFacts.marked ? (state.layers.differs ? w.differs : w.title) : w.note"
  >
    <p v-for="line in layersLines(state, telling)" :key="line">{{ line }}</p>
    <template #next>
      <el-button
        v-if="!locked && !state.layerFacts.marked"
        class="next-button"
        :disabled="!read.payload"
        @click="log"
        >{{ w.log }}</el-button
      >
      <template v-else>
        <el-button v-if="!locked" class="quiet-button" :disabled="!read.payload" @click="log">{{
          w.log
        }}</el-button>
        <el-button class="next-button" @click="goOn()">{{ actionsWords(telling.words).goOn }}</el-button>
      </template>
    </template>
  </LedgerFrame>
</template>

<style scoped>
.stacks {
  display: grid;
  grid-template-columns: 1fr 1fr;
  gap: 20px;
  max-width: 520px;
}
.asked {
  display: flex;
  flex-wrap: wrap;
  gap: 12px 18px;
  align-items: end;
  margin-top: 16px;
  padding-top: 12px;
  border-top: 1px solid var(--dye-line);
}
.asked > :deep(.number) {
  flex: 0 1 190px;
}
.words {
  flex: 1 1 240px;
}
.words span {
  display: block;
  margin-bottom: 5px;
  font-size: 14px;
  color: var(--scribe-dim);
}
.whole {
  flex-basis: 100%;
}
</style>
