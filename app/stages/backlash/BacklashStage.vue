<script setup lang="ts">
import { BACKLASH_BY } from '~~/core/gear/backlash'
import { worstAfter } from '~~/core/stages/backlash/read'
import { backlashWindow } from '~~/core/register/gearMachine'
import {
  blankBacklash,
  nameBacklashUnits,
  readBacklashTexts,
  readLayers,
  type BacklashTexts,
  type LayerTexts,
} from '~~/shared/stages/backlash/form'
import { actionsWords, backlashWords, gearWords } from '~~/shared/wording/en'
import {
  backlashFigure,
  backlashWindowWords,
  layersToDo,
  layersWords,
  meaningOfBacklash,
} from '~~/shared/wording/backlash'
import { figure } from '~~/shared/wording/figures'
import { layerFigure } from '~~/shared/wording/gearPrepare'

/** The play between the teeth read round the gear, against its window, and the layers under each block that cure it. */
const job = useJob()
const session = useSession()
const telling = useTelling()
const goOn = inject(goOnKey, () => {})
const w = computed(() => backlashWords(telling.value.words))
const v = computed(() => w.value.view)
const state = computed(() => job.gear!)
const live = computed(() => job.liveGear ?? state.value)
const machine = computed(() => state.value.machine)
const closed = computed(() => state.value.closing !== null)
const { draft: form, clear } = useDraft<BacklashTexts>('backlash', () =>
  blankBacklash(session.units, machine.value.gear.backlash.by),
)
useUnitsOfDraft(form, nameBacklashUnits)
const read = computed(() => readBacklashTexts(form.value, telling.value))
const asked = ref(false)
const begun = computed(() => form.value.readings.some((t) => t.trim() !== ''))
const faultOf = (i: number) => (begun.value || asked.value ? (read.value.faults[`readings.${i}`] ?? '') : '')
watch(
  [read, begun],
  () => {
    const { payload } = read.value
    job.draft = payload && begun.value ? job.compose({ kind: 'backlash-read', payload }) : null
  },
  { immediate: true },
)
onBeforeUnmount(() => {
  job.draft = null
})
const now = computed(() => live.value.backlash.now)
const cure = computed(() => live.value.backlash.cure)
const window = computed(() => backlashWindow(machine.value))
const meaning = computed(() => meaningOfBacklash(live.value, telling.value))
const d = (mm: number) => figure(mm, 'displacement', session.units)
const says = computed(() => (now.value ? backlashFigure(now.value.worst, machine.value, telling.value) : ''))
const after = computed(() => worstAfter(live.value.backlash, machine.value))
const boxes = useTemplateRef<{ focus: () => void }[]>('boxes')
const enter = (i: number) => {
  const next = boxes.value?.[i + 1]
  if (next && form.value.readings[i + 1]?.trim() === '' && form.value.readings[i]?.trim() !== '') next.focus()
  else log()
}
const log = () => {
  const { payload } = read.value
  asked.value = payload === null
  if (!payload || !job.log({ kind: 'backlash-read', payload })) return
  clear()
}

const layering = ref(false)
const later = useLater(layering)
const layers = ref<LayerTexts>({ layers: [], words: '' })
const layersAsked = ref(false)
watch(layering, (on) => {
  if (!on) return
  const n = String(cure.value?.layers ?? 0).replace('-', '−')
  layers.value = { layers: state.value.layers.now.map(() => (n === '0' ? '' : n)), words: '' }
  layersAsked.value = false
})
const layersRead = computed(() => readLayers(layers.value, state.value.layers.now, telling.value))
const logLayers = () => {
  const { payload } = layersRead.value
  layersAsked.value = payload === null
  if (!payload || !job.log({ kind: 'layers-changed', payload })) return
  layering.value = false
  goOn()
}
const layersAsIs = () => {
  const n = cure.value?.layers ?? 0
  if (
    n !== 0 &&
    job.log({ kind: 'layers-changed', payload: { layers: state.value.layers.now.map(() => n), words: '' } })
  )
    goOn()
}
/** Drawn down since: what was read before no longer stands. */
const again = computed(() => state.value.gearRecheck.missing.includes('backlash'))
const stands = computed(() => (again.value ? null : state.value.backlash.now))
const fine = computed(() => stands.value !== null && stands.value.verdict !== 'out')
const contactOut = computed(() => state.value.contact.now?.figures?.verdict === 'out')
const working = async () =>
  (await import('~~/shared/stages/backlash/working')).backlashWorking(live.value, telling.value)
onMounted(() => {
  if (!closed.value && !fine.value && matchMedia('(pointer: fine)').matches)
    void nextTick(() => boxes.value?.[0]?.focus())
})
</script>

<template>
  <BoardFrame :title="v.title" :note="v.note">
    <ChoiceRow
      v-model="form.by"
      :label="v.how"
      show-label
      on-dye
      :disabled="closed"
      :options="BACKLASH_BY.map((value) => ({ value, name: w.by[value] }))"
    />
    <div v-if="!closed" class="boxes">
      <NumberBox
        v-for="(_, i) in form.readings"
        :key="i"
        ref="boxes"
        v-model="form.readings[i]!"
        :label="v.reading(i + 1)"
        measure="displacement"
        :units="session.units"
        on-dye
        :note="faultOf(i)"
        :note-is-fault="faultOf(i) !== ''"
        @enter="enter(i)"
      />
    </div>
    <div class="two">
      <section>
        <WindowScale
          v-if="now"
          :name="v.title"
          :band="window"
          :now="now.worst"
          :after="after"
          :says="says"
          unsigned
          :verdict="now.verdict"
          :units="session.units"
        />
        <p class="dim">{{ backlashWindowWords(window, telling) }}</p>
        <FigureTable v-if="now" on-dye :head="['', v.columns.found]">
          <tr>
            <td>{{ v.rows.least }}</td>
            <td class="figure">{{ d(now.least) }}</td>
          </tr>
          <tr>
            <td>{{ v.rows.most }}</td>
            <td class="figure">{{ d(now.most) }}</td>
          </tr>
          <tr>
            <td>{{ v.rows.mean }}</td>
            <td class="figure">{{ d(now.mean) }}</td>
          </tr>
        </FigureTable>
      </section>
      <section>
        <h3>{{ w.under }}</h3>
        <div class="stacks">
          <BlockLayers
            v-for="(n, i) in state.layers.now"
            :key="i"
            :under="n"
            :change="cure?.layers ?? 0"
            :layer="layerFigure(state.layers.thickness, telling)"
          />
        </div>
        <p v-if="cure && cure.layers !== 0" class="does">{{ layersToDo(live.backlash, telling) }}</p>
        <p v-if="cure && cure.layers !== 0" class="dim">{{ w.alike }}</p>
      </section>
    </div>
  </BoardFrame>
  <LedgerFrame :mark="meaning.mark" :headline="meaning.headline" :detail="meaning.detail">
    <p v-if="now && now.entry.payload.by !== machine.gear.backlash.by" class="muted">
      {{ w.told(w.by[machine.gear.backlash.by].toLowerCase(), w.by[now.entry.payload.by].toLowerCase()) }}
    </p>
    <p v-if="cure && cure.layers !== 0">
      {{ w.after(d(after ?? cure.after.most), layersWords(cure.layers, telling)) }}
    </p>
    <p v-if="cure && cure.layers !== 0" class="muted">{{ w.contactToo }}</p>
    <p v-if="contactOut && stands" class="muted">{{ w.contactFirst }}</p>
    <p v-if="!closed" class="caution">{{ gearWords(telling.words).caution }}</p>
    <label v-if="!closed && begun" class="remark">
      <span>{{ v.words }}</span>
      <el-input v-model="form.words" :aria-label="v.words" maxlength="2000" @keydown.enter.prevent="log" />
    </label>
    <ShowWorking v-if="cure && cure.layers !== 0" :steps="working" />
    <el-dialog v-if="later" v-model="layering" :title="v.layersTitle" width="min(480px, 94vw)" append-to-body>
      <form class="question" @submit.prevent="logLayers">
        <NumberBox
          v-for="(_, i) in layers.layers"
          :key="i"
          v-model="layers.layers[i]!"
          :label="v.layersBox(i + 1)"
          measure="plain"
          signed
          :units="session.units"
          :note="layersAsked ? (layersRead.faults[`layers.${i}`] ?? '') : ''"
          :note-is-fault="layersAsked && `layers.${i}` in layersRead.faults"
          @enter="logLayers"
        />
        <label>
          <span>{{ v.words }}</span>
          <el-input v-model="layers.words" :aria-label="v.words" maxlength="2000" />
        </label>
        <p v-if="job.refusal" class="fault" role="alert">{{ job.refusal }}</p>
        <el-button native-type="submit" class="next-button">{{ v.logLayers }}</el-button>
      </form>
    </el-dialog>
    <template #next>
      <el-button v-if="closed || (fine && !begun)" class="next-button" @click="goOn()">{{
        actionsWords(telling.words).goOn
      }}</el-button>
      <el-button v-else-if="!stands || begun" class="next-button" @click="log">{{ v.log }}</el-button>
      <el-button v-else-if="contactOut" class="next-button" @click="goOn()">{{
        actionsWords(telling.words).goOn
      }}</el-button>
      <template v-else>
        <PassOver stage="backlash" :title="actionsWords(telling.words).goOnAsItIs" />
        <el-button link class="text-button" @click="layering = true">{{ v.otherLayers }}</el-button>
        <el-button v-if="cure && cure.layers !== 0" class="next-button" @click="layersAsIs">{{
          v.layersDone(layersWords(cure.layers, telling))
        }}</el-button>
      </template>
      <PassOver v-if="!closed && !stands && !begun" stage="backlash" :title="v.passOver" />
    </template>
  </LedgerFrame>
</template>

<style scoped>
.boxes {
  display: grid;
  grid-template-columns: repeat(4, minmax(0, 1fr));
  gap: 14px;
  margin: 14px 0 4px;
}
.two {
  display: grid;
  grid-template-columns: 1fr 1fr;
  gap: 28px;
  margin-top: 14px;
  padding-top: 14px;
  border-top: 1px solid var(--dye-line);
}
h3 {
  font-size: 16px;
  color: #fff;
}
.stacks {
  display: grid;
  gap: 10px;
}
.does {
  margin-top: 10px;
  color: var(--brass-on-dye);
  font-weight: 700;
}
.dim {
  font-size: 14px;
  color: var(--scribe-dim);
}
.remark span {
  display: block;
  margin-bottom: 5px;
}
.fault {
  color: var(--out);
}
@media (max-width: 640px) {
  .boxes {
    grid-template-columns: 1fr 1fr;
  }
  .two {
    grid-template-columns: 1fr;
  }
}
</style>
