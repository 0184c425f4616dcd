<script setup lang="ts">
import dayjs from 'dayjs'
import { LESSONS, seedOfTry, type Lesson, type LessonId } from '~~/core/practice/lessons'
import { BENCH_METHODS, usualOnBench, type BenchMethod } from '~~/core/practice/benchMethods'
import type { Hands } from '~~/core/practice/hands'
import { FAULTS_HIDDEN, type FaultsHidden } from '~~/core/practice/faults'
import { HANDS } from '~~/core/practice/hands'
import type { MachineRecord } from '~~/shared/register/machine'
import { bestOf } from '~~/shared/practice/best'
import { canPractise } from '~~/shared/practice/canPractise'
import type { PracticeAnswer } from '~~/shared/practice/result'
import { practiceWords } from '~~/shared/wording/en/practice'
import { practiceBenchWords } from '~~/shared/wording/en/practiceBench'
import { setsWords, verdictsWords } from '~~/shared/wording/en'
import LessonDrawing from '~/components/practice/LessonDrawing.vue'
import TriesUnderWay from '~/components/practice/TriesUnderWay.vue'
import HabitList from '~/components/practice/HabitList.vue'

/** Lessons in the order of the work, a bench of one's own, and what the bench has seen one do. */
const words = useWords()
const w = practiceWords(words)
const { lessonNames } = practiceBenchWords(words)
const session = useSession()
useHead({ title: w.title })

const answer = shallowRef<PracticeAnswer | null>(null)
const failure = shallowRef<ApiFailure | null>(null)
const fetchAll = async () => {
  if (!session.authorId) return
  try {
    answer.value = await askKeeping<PracticeAnswer>(`/api/practice?person=${session.authorId}`)
    failure.value = null
  } catch (error) {
    if (!(error instanceof ApiFailure)) throw error
    failure.value = error
  }
}
watch(
  () => session.authorId,
  () => void fetchAll(),
  { immediate: true },
)

const best = computed(() => bestOf(answer.value?.own ?? []))
const tries = (id: LessonId) => (answer.value?.own ?? []).filter((r) => r.lesson === id).length
const lessons = LESSONS.map((lesson, i) => ({
  ...lesson,
  n: i + 1,
  /** Named above the first of each phase. */
  begins: LESSONS[i - 1]?.phase !== lesson.phase,
}))
const tried = computed(() => LESSONS.filter((l) => best.value[l.id]).length)
const told = (lesson: Lesson) => {
  const done = best.value[lesson.id]
  return done
    ? `${verdictsWords(words)[done.verdict]}, ${w.lessons.best(done.moves, done.fewest)}`
    : w.lessons.notTried(lesson.minutes)
}

/** The bench comes with the first try: its arithmetic is a whole job's. */
const loadBegin = () => import('~/practice/begin')
const starting = ref(false)
/** The lesson's own machine the first time; another of its kind with each try that was handed in. */
const begin = async (lesson: Lesson, seed = seedOfTry(lesson, tries(lesson.id))) => {
  if (starting.value) return
  starting.value = true
  try {
    await navigateTo(`/practice/${await (await loadBegin()).beginLesson(lesson, seed, words)}`)
  } finally {
    starting.value = false
  }
}
// A link for somebody else: the same lesson, the same machine.
const route = useRoute()
onMounted(() => {
  const lesson = LESSONS.find((l) => l.id === route.query['lesson'])
  const seed = Number(route.query['seed'])
  if (lesson && Number.isInteger(seed) && seed >= 0) void session.meetPeople().then(() => begin(lesson, seed))
})

// Free practice.
const machines = shallowRef<readonly MachineRecord[]>([])
const tag = ref('')
const record = computed(() => machines.value.find((m) => m.tag === tag.value) ?? null)
const method = ref<BenchMethod>('rim-face')
watch(record, (m) => {
  if (m?.drive === 'coupled') method.value = usualOnBench(m)
})
const hands = ref<Hands>('ordinary')
const hidden = ref<FaultsHidden>('one')
onMounted(() => {
  askKeeping<readonly MachineRecord[]>('/api/machines')
    .then((all) => {
      machines.value = all.filter(canPractise)
      tag.value ||= machines.value[0]?.tag ?? ''
    })
    .catch(() => null)
})
const beginFree = async () => {
  if (!record.value || starting.value) return
  starting.value = true
  try {
    const begun = await (await loadBegin()).beginFree(record.value, method.value, hands.value, hidden.value)
    await navigateTo(`/practice/${begun}`)
  } finally {
    starting.value = false
  }
}

const task = computed(() => answer.value?.tasks[0] ?? null)
const taskLesson = computed(() => LESSONS.find((l) => l.id === task.value?.lesson) ?? null)
const daysLeft = computed(() =>
  task.value ? dayjs(task.value.until).diff(dayjs().startOf('day'), 'day') : 0,
)
const isLead = computed(() => session.may('lessons'))
</script>

<template>
  <div class="page practice">
    <div class="top">
      <h1>{{ w.title }}</h1>
      <p class="muted">{{ w.aside }}</p>
    </div>
    <div class="columns">
      <div>
        <section v-if="task && taskLesson" class="task">
          <LessonDrawing class="picture" :lesson="taskLesson.id" />
          <div class="says">
            <p class="muted">
              {{ w.set.by }} · <b>{{ w.set.until(dayjs(task.until).format('ddd D MMM')) }}</b>
            </p>
            <h2>{{ lessonNames[taskLesson.id] }}</h2>
            <p>{{ task.note || w.lessons.about[taskLesson.id] }}</p>
          </div>
          <div class="start">
            <el-button class="next-button" @click="begin(taskLesson)">{{ w.set.start }}</el-button>
            <p class="muted">{{ w.set.left(daysLeft) }} · {{ w.set.about(taskLesson.minutes) }}</p>
          </div>
        </section>
        <div class="heading">
          <h2>{{ w.lessons.title }}</h2>
          <span class="muted">{{ w.lessons.tried(tried, LESSONS.length) }}</span>
          <span class="muted aside">{{ w.lessons.aside }}</span>
        </div>
        <div class="lessons">
          <div v-for="l in lessons" :key="l.id" class="cell">
            <p class="muted phase">{{ l.begins ? w.lessons.phases[l.phase] : '' }}</p>
            <el-button
              class="card"
              :aria-label="w.lessons.open(lessonNames[l.id], told(l))"
              @click="begin(l)"
            >
              <span class="drawn"
                ><span class="n figure" aria-hidden="true">{{ l.n }}</span
                ><LessonDrawing :lesson="l.id"
              /></span>
              <span class="body">
                <strong>{{ lessonNames[l.id] }}</strong>
                <span class="muted">{{ w.lessons.about[l.id] }}</span>
                <span class="ended">
                  <VerdictMark :mark="best[l.id]?.verdict ?? 'todo'" silent />
                  {{ told(l) }}
                </span>
              </span>
            </el-button>
          </div>
        </div>
      </div>
      <div class="side">
        <section class="free">
          <h2>{{ w.free.title }}</h2>
          <el-form label-position="top" @submit.prevent="beginFree">
            <el-form-item :label="w.free.machine">
              <el-select v-model="tag" filterable :aria-label="w.free.machine">
                <el-option v-for="m in machines" :key="m.tag" :value="m.tag" :label="`${m.tag} ${m.name}`" />
              </el-select>
            </el-form-item>
            <el-form-item v-if="record?.drive !== 'belt'" :label="w.free.method">
              <el-select v-model="method" :aria-label="w.free.method">
                <el-option
                  v-for="m in BENCH_METHODS"
                  :key="m"
                  :value="m"
                  :label="setsWords(words).methods[m]"
                />
              </el-select>
            </el-form-item>
            <el-form-item :label="w.free.hands">
              <el-radio-group v-model="hands" :aria-label="w.free.hands">
                <el-radio-button v-for="h in HANDS" :key="h" :value="h">{{
                  w.free.handsAre[h]
                }}</el-radio-button>
              </el-radio-group>
            </el-form-item>
            <el-form-item :label="w.free.hidden">
              <el-radio-group v-model="hidden" :aria-label="w.free.hidden">
                <el-radio-button v-for="f in FAULTS_HIDDEN" :key="f" :value="f">{{
                  w.free.hiddenAre[f]
                }}</el-radio-button>
              </el-radio-group>
            </el-form-item>
            <el-button native-type="submit" class="quiet-button wide" :disabled="!tag || starting">{{
              w.free.start
            }}</el-button>
          </el-form>
        </section>
        <TriesUnderWay />
        <HabitList :results="answer?.own ?? []" />
      </div>
    </div>
    <template v-if="isLead">
      <LazySetLesson :tasks="answer?.tasks ?? []" @changed="fetchAll" />
      <LazyPracticeResults v-if="answer?.all" :results="answer.all" />
    </template>
  </div>
</template>

<style scoped>
.practice {
  max-width: 1180px;
}
.top,
.heading {
  display: flex;
  flex-wrap: wrap;
  align-items: baseline;
  gap: 4px 14px;
  margin-bottom: 12px;
}
.top p,
.aside {
  margin-left: auto;
}
.columns {
  display: grid;
  grid-template-columns: minmax(0, 1fr) 280px;
  gap: 24px;
  align-items: start;
}
.task {
  display: grid;
  grid-template-columns: 180px minmax(0, 1fr) auto;
  gap: 0 18px;
  align-items: center;
  margin-bottom: 16px;
  padding-right: 18px;
  background: var(--panel);
  border: 1px solid var(--hairline);
  border-left: 4px solid var(--brass);
}
.task .picture {
  background: var(--dye);
}
.says {
  padding: 10px 0;
}
.start {
  text-align: center;
  font-size: 14px;
}
.start .next-button {
  min-width: 180px;
}
.lessons {
  display: grid;
  grid-template-columns: repeat(4, minmax(0, 1fr));
  gap: 2px 12px;
}
.cell {
  display: flex;
  flex-direction: column;
}
.phase {
  min-height: 20px;
  font-size: 14px;
}
.card {
  flex: 1;
  display: flex;
  flex-direction: column;
  align-items: stretch;
  height: auto;
  padding: 0;
  border-radius: 0;
  text-align: left;
  white-space: normal;
  font-weight: 400;
  line-height: inherit;
  color: inherit;
  background: var(--panel);
  border: 1px solid var(--hairline);
}
.card :deep(> span) {
  display: flex;
  flex-direction: column;
  width: 100%;
}
.card:hover,
.card:focus-visible {
  border-color: var(--dye);
}
.drawn {
  position: relative;
  display: block;
  background: var(--dye);
}
.n {
  position: absolute;
  left: 8px;
  top: 4px;
  color: #fff;
  font-weight: 700;
}
.body {
  display: grid;
  gap: 2px;
  padding: 6px 10px 8px;
}
.body .muted {
  font-size: 14px;
}
.ended {
  margin-top: 2px;
  font-size: 14px;
}
.ended svg {
  vertical-align: -1px;
  margin-right: 4px;
}
.practice h2 {
  margin: 0;
}
.free h2 {
  margin-bottom: 10px;
}
.side {
  display: grid;
  gap: 24px;
}
.free {
  padding: 14px 16px;
  background: var(--panel);
  border: 1px solid var(--hairline);
}
.wide {
  width: 100%;
}
@media (max-width: 1000px) {
  .columns {
    grid-template-columns: 1fr;
  }
  .lessons {
    grid-template-columns: repeat(3, minmax(0, 1fr));
  }
}
@media (max-width: 640px) {
  .lessons {
    grid-template-columns: 1fr 1fr;
  }
  .task {
    grid-template-columns: 1fr;
    padding: 0 14px 14px;
  }
}
</style>
