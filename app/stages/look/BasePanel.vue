<script setup lang="ts">
import { levelWords, lookWords } from '~~/shared/wording/en'
import { BASE_LIMIT, BASE_CORNERS, type BaseCorner } from '~~/core/stages/look/base'
import { BASE_EDGES, type BaseEdge } from '~~/core/stages/look/entries'
import { readBase } from '~~/shared/stages/look/form'
import { baseWorking } from '~~/shared/stages/look/working'
import { figure, UNIT_NAMES } from '~~/shared/wording/figures'
import { baseWords, meaningOfLooks } from '~~/shared/wording/look'
import { slopeSize } from '~~/shared/wording/level'

/** The base along its four edges, and the shims under its corners that bring it level. */
const look = useSharedLook()
const job = useJob()
const session = useSession()
const telling = useTelling()
const goOn = inject(goOnKey, () => {})
const w = computed(() => lookWords(telling.value.words))
const v = computed(() => w.value.view)
const read = computed(() => readBase(look.form, telling.value))
const looks = computed(() =>
  look.looksWith(read.value.payload ? { kind: 'base-read', payload: read.value.payload } : null),
)
const base = computed(() => looks.value.base)
const meaning = computed(() => {
  const all = meaningOfLooks(looks.value, telling.value)
  if (!base.value || base.value.verdict === 'out') return all
  return {
    mark: base.value.verdict,
    headline: baseWords(base.value, telling.value)[0] ?? '',
    detail: limit.value,
  }
})
const limit = computed(() => levelWords(telling.value.words).limit(slopeSize(BASE_LIMIT, telling.value)))
const corners = computed((): Record<BaseCorner, string> | null => {
  const found = base.value
  if (!found) return null
  const shown = (c: BaseCorner) => {
    const shim = figure(found.shims[c], 'displacement', session.units)
    return /[1-9]/.test(shim) ? `${shim} ${UNIT_NAMES[session.units].displacement}` : v.value.highest
  }
  return Object.fromEntries(BASE_CORNERS.map((c) => [c, shown(c)])) as Record<BaseCorner, string>
})
const slopes = computed(
  () =>
    Object.fromEntries(
      BASE_EDGES.map((e) => [
        e,
        base.value ? figure(base.value.edges[e], 'slope', session.units, { sign: true, unit: true }) : '',
      ]),
    ) as Record<BaseEdge, string>,
)
const sentences = computed(() => (base.value ? baseWords(base.value, telling.value) : []))
const board = useTemplateRef<{ focus: (edge: BaseEdge) => void }>('board')
const nextEdge = computed(() => read.value.missing[0])
const logBase = () => {
  const { payload } = read.value
  if (look.closed || !payload || !job.log({ kind: 'base-read', payload })) return
  for (const edge of BASE_EDGES)
    look.form.base.edges[edge] = { ...look.form.base.edges[edge], feeler: '', divisions: '', reversed: '' }
}
const enter = () => {
  if (nextEdge.value) board.value?.focus(nextEdge.value)
  else logBase()
}
const tape = (box: 'length' | 'width' | 'supported' | 'sensitivity') => ({
  modelValue: look.form.base[box],
  measure: box === 'sensitivity' ? ('plain' as const) : ('distance' as const),
  units: session.units,
  onDye: true,
  disabled: look.closed,
  note: read.value.faults[box] ?? read.value.notes[box] ?? '',
  noteIsFault: box in read.value.faults,
  'onUpdate:modelValue': (text: string) => {
    look.form.base[box] = text
  },
  onEnter: enter,
})
const typed = computed(() => read.value.missing.length < BASE_EDGES.length)
const working = () => (base.value ? baseWorking(base.value, telling.value) : [])
</script>

<template>
  <BoardFrame :title="v.panels.base" :note="v.note">
    <div class="tools">
      <slot name="tools" />
      <ChoiceRow
        v-model="look.form.base.by"
        :label="v.by"
        on-dye
        :disabled="look.closed"
        :options="[
          { value: 'feeler', name: levelWords(telling.words).view.bys.feeler },
          { value: 'divisions', name: levelWords(telling.words).view.bys.divisions },
        ]"
      />
    </div>
    <BaseEdges
      ref="board"
      :texts="look.form.base"
      :faults="read.faults"
      :corners="corners"
      :slopes="slopes"
      :units="session.units"
      :locked="look.closed"
      @text="(edge, box, text) => (look.form.base.edges[edge][box] = text)"
      @low="(edge, end) => (look.form.base.edges[edge].low = end)"
      @enter="enter"
    >
      <NumberBox v-bind="tape('length')" :label="v.length" />
      <NumberBox v-bind="tape('width')" :label="v.width" />
    </BaseEdges>
    <div class="foot">
      <NumberBox
        v-if="look.form.base.by === 'feeler'"
        v-bind="tape('supported')"
        :label="levelWords(telling.words).view.supported"
      />
      <NumberBox
        v-else
        v-bind="tape('sensitivity')"
        :label="levelWords(telling.words).view.sensitivity(UNIT_NAMES[session.units].slope)"
      />
    </div>
  </BoardFrame>
  <LedgerFrame :mark="meaning.mark" :headline="meaning.headline" :detail="meaning.detail">
    <p v-for="s in sentences.filter((s) => s !== meaning.headline)" :key="s">{{ s }}</p>
    <p class="caution">{{ v.lifting }}</p>
    <ShowWorking v-if="base" :steps="working" />
    <template #next>
      <el-button v-if="read.payload && !look.closed" class="next-button" @click="logBase">{{
        v.logBase
      }}</el-button>
      <el-button v-else-if="typed && nextEdge" class="next-button" @click="enter">{{
        v.readNext(w.edges[nextEdge])
      }}</el-button>
      <el-button v-else-if="typed" class="next-button" disabled>{{ v.logBase }}</el-button>
      <el-button v-else class="next-button" @click="goOn()">{{ v.goOn }}</el-button>
    </template>
  </LedgerFrame>
</template>

<style scoped>
.tools {
  display: flex;
  flex-wrap: wrap;
  gap: 0 20px;
  align-items: center;
}
.foot {
  display: flex;
  flex-wrap: wrap;
  gap: 8px 20px;
  margin-top: 14px;
  padding-top: 10px;
  border-top: 1px solid var(--dye-line);
}
.foot > * {
  width: 290px;
}
</style>
