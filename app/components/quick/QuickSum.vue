<script setup lang="ts">
import { shellWords } from '~~/shared/wording/en'
import { quickWords } from '~~/shared/wording/viewWords'
import { labelOf } from '~~/shared/quick/labels'
import { resultRows } from '~~/shared/quick/resultRows'
import { sentenceOf } from '~~/shared/quick/sentences'
import { SUM_BOARDS } from './boards'
import type { QuickSumId } from '~~/shared/wording/en/sums'

/** One sum without a job: its form on the dye, what comes out beside it. */
const props = defineProps<{ id: string }>()
const session = useSession()
const words = useWords()
const w = quickWords
const { form, read, answer, steps, busy, failed, issues, schema, stop, clear, fill } = useSum(
  props.id,
  SUM_BOARDS[props.id]?.takes,
)
const drawing = SUM_BOARDS[props.id]?.board
const { formula, blind, example } = useMethodPage(props.id)
const opened = ref<string[]>([])

const sum = computed(() => w.sums[props.id as QuickSumId])
const rows = computed(() => (answer.value?.ok ? resultRows(schema, answer.value.result, session.units) : []))
const headline = computed(() => {
  if (failed.value) return w.failed
  if (busy.value && !answer.value) return w.working
  if (answer.value?.ok) return sentenceOf(props.id, answer.value.result, { words, units: session.units })
  const [fault] = Object.values(read.value.faults)
  return fault ?? issues.value[0]?.message ?? w.working
})
const missing = computed(() => [...new Set(issues.value.slice(1).map((i) => i.message))].slice(0, 6))
const refused = computed(
  () => answer.value !== null && !answer.value.ok && answer.value.error.code === 'refused',
)
const mark = computed(() =>
  answer.value?.ok ? ('done' as const) : refused.value ? ('out' as const) : ('todo' as const),
)

const asText = () =>
  [
    sum.value.ask,
    headline.value,
    ...rows.value.map((r) => `${'  '.repeat(r.depth)}${r.label}${r.value === '' ? '' : `: ${r.value}`}`),
  ].join('\n')
const keeping = ref(false)
const later = useLater(keeping)
const { copy, copied } = useClipboard({ legacy: true })
const copyText = () => copy(asText())
const copyLink = () =>
  copy(`${location.origin}${location.pathname}#${encodeURIComponent(JSON.stringify(read.value.input))}`)
</script>

<template>
  <section class="board" :aria-label="sum.ask">
    <NuxtLink class="back" to="/sums">{{ w.back }}</NuxtLink>
    <h1>{{ sum.ask }}</h1>
    <component
      :is="drawing"
      v-if="drawing"
      :id="id"
      :result="answer?.ok ? answer.result : null"
      class="drawing"
      data-picture
    />
    <SumField :field="form" path="" :label="labelOf(id)" />
  </section>
  <aside class="ledger" :aria-label="shellWords(words).whatThisMeans">
    <div class="scroll">
      <h2 aria-live="polite"><VerdictMark :mark="mark" /> {{ headline }}</h2>
      <div v-if="busy" class="busy">
        <el-progress :percentage="100" :show-text="false" :indeterminate="true" :duration="2" />
        <el-button link class="text-button" @click="stop">{{ w.stop }}</el-button>
      </div>
      <template v-if="missing.length">
        <h3>{{ w.give }}</h3>
        <ul>
          <li v-for="m in missing" :key="m">{{ m }}</li>
        </ul>
      </template>
      <dl v-if="rows.length">
        <div
          v-for="(r, i) in rows"
          :key="i"
          :class="{ head: r.value === '' }"
          :style="{ paddingLeft: `${r.depth * 12}px` }"
        >
          <dt>
            {{ r.label }}<small v-if="r.note">{{ r.note }}</small>
          </dt>
          <dd class="figure">{{ r.value }}</dd>
        </div>
      </dl>
      <ShowWorking v-if="steps.length" :steps="() => steps" />
      <el-collapse v-if="formula.length" v-model="opened" class="working">
        <el-collapse-item :title="w.formula" name="formula">
          <p v-for="(p, i) in formula" :key="i">{{ p }}</p>
        </el-collapse-item>
        <el-collapse-item v-if="blind.length" :title="w.blind" name="blind">
          <ul>
            <li v-for="b in blind" :key="b">{{ b }}</li>
          </ul>
        </el-collapse-item>
      </el-collapse>
    </div>
    <div class="next">
      <el-button v-if="example" link class="text-button" @click="fill(example)">{{ w.example }}</el-button>
      <PictureButton v-if="drawing" :about="sum.ask" />
      <el-button link class="text-button" @click="clear">{{ w.clear }}</el-button>
      <el-button link class="text-button" @click="copyLink">{{ w.link }}</el-button>
      <el-button link class="text-button" :disabled="!answer?.ok" @click="keeping = true">{{
        w.keep.open
      }}</el-button>
      <el-button class="next-button" :disabled="!answer?.ok" @click="copyText">{{
        copied ? w.copied : w.copy
      }}</el-button>
    </div>
    <LazyKeepIntoJob v-if="later" :id="id" v-model="keeping" :input="read.input" :as-text="asText" />
  </aside>
</template>

<style scoped>
.board {
  overflow-y: auto;
  background: var(--dye);
  color: var(--scribe);
  padding: 18px 24px 32px;
  min-width: 0;
}
h1 {
  color: #fff;
  font-size: 20px;
  margin-bottom: 16px;
}
.drawing {
  margin-bottom: 18px;
}
.back {
  display: none;
  color: var(--scribe);
  min-height: var(--touch);
  align-items: center;
}
.ledger {
  display: flex;
  flex-direction: column;
  min-height: 0;
  background: var(--panel);
  border-left: 1px solid var(--hairline);
}
.scroll {
  flex: 1;
  overflow-y: auto;
  padding: 18px 20px 12px;
}
.scroll > * + * {
  margin-top: 12px;
}
h2 {
  font-size: 20px;
  line-height: 1.3;
}
h3 {
  font-size: 15px;
}
ul {
  padding-left: 18px;
}
dl {
  margin: 0;
}
dl > div {
  display: flex;
  gap: 12px;
  justify-content: space-between;
  padding: 7px 0;
  border-bottom: 1px solid var(--hairline);
}
dl > .head {
  font-weight: 600;
  padding-top: 12px;
}
dt {
  min-width: 0;
}
dt small {
  display: block;
  color: var(--muted);
  font-size: 13px;
  font-weight: 400;
}
dd {
  margin: 0;
  text-align: right;
  white-space: nowrap;
}
.working p + p {
  margin-top: 8px;
}
.next {
  display: grid;
  grid-template-columns: 1fr 1fr;
  gap: 4px;
  padding: 8px 20px 16px;
}
.next .next-button {
  grid-column: 1 / -1;
}
@media (max-width: 1000px) {
  .back {
    display: flex;
  }
  .ledger {
    border-left: 0;
  }
  .next {
    position: sticky;
    bottom: 0;
    background: var(--panel);
  }
}
</style>
