<script setup lang="ts">
import { handIn as giveIn, waitsToBeHandedIn } from '~/practice/handIn'
import dayjs from 'dayjs'
import { lessonOf, seedAfter } from '~~/core/practice/lessons'
import type { Review } from '~~/core/practice/reviews'
import { resultOf } from '~~/shared/practice/handIn'
import { lessonMachine } from '~~/shared/practice/stand'
import { measuringWords, movesWords } from '~~/shared/wording/en'
import { machineNames } from '~~/shared/wording/machineNames'
import { capital } from '~~/shared/wording/capital'
import { circleName } from '~~/shared/wording/circles'
import { practiceBenchWords } from '~~/shared/wording/en/practiceBench'
import { practiceReviewWords } from '~~/shared/wording/en/practiceReview'
import LaySheaves from '~/components/practice/LaySheaves.vue'
import LayEnded from '~/components/practice/LayEnded.vue'
import LayShafts from '~/components/practice/LayShafts.vue'

/** A try looked back on: how it ended, what was hidden, every moment at which it could be seen, and a way back to each. */
const route = useRoute()
const practice = usePractice()
const session = useSession()
const telling = useTelling()
const inView = useInView()
const w = computed(() => practiceReviewWords(telling.value.words))
const b = computed(() => practiceBenchWords(telling.value.words))
useHead({ title: () => w.value.review.title })

const missing = ref(false)
const review = shallowRef<Review | null>(null)
onMounted(async () => {
  try {
    await session.meetPeople().catch(() => null)
    await practice.load(String(route.params.id))
    if (practice.record) inView.machine = practice.record.machine
    review.value = await practice.review()
  } catch {
    missing.value = true
  }
})
const record = computed(() => practice.record)
const lesson = computed(() => (record.value?.lesson ? lessonOf(record.value.lesson) : null))
const at = ref(0)
type Moment = Review['moments'][number]
const moments = computed((): readonly Moment[] => review.value?.moments ?? [])
const shown = computed(() => moments.value[at.value] ?? null)
const minutesAt = (step: number): string => {
  const steps = record.value?.steps ?? []
  const first = steps[record.value?.opened ?? 0]
  const there = steps[Math.min(step, steps.length - 1)]
  return first && there ? String(Math.round((Date.parse(there.at) - Date.parse(first.at)) / 60_000)) : '0'
}
const became = (m: Moment) => {
  const r = w.value.review
  if (m.seenBy !== null) return r.seen(r.after(minutesAt(m.seenBy)))
  const end = m.passedAt === null || m.passedAt >= (record.value?.steps.length ?? 0)
  return r.passed(end ? r.atEnd : r.after(minutesAt(m.passedAt ?? 0)))
}
const details = (m: Moment): readonly string[] => {
  const behind = m.fault ? [w.value.faults[m.fault]] : []
  if (!('flags' in m.doubt)) return behind
  return [
    ...m.doubt.flags.map((f) => measuringWords(telling.value.words).flags[f]),
    ...m.doubt.causes.slice(0, 1).map((c) => movesWords(telling.value.words).causes[c]),
    ...(m.doubt.places ?? []).map((p) => `${circleName(p.circle, telling.value)}, ${String(p.clock)}°`),
    ...behind,
  ]
}
/** Back to before what was logged then: the hands stand as they stood. */
const goBack = async (m: Moment) => {
  const { record: kept } = practice
  if (!kept) return
  const logged = kept.steps.findIndex((s) => 'entry' in s && s.entry.id === m.doubt.about)
  await navigateTo(`/practice/${await practice.branch(kept, logged >= 0 ? logged : m.from)}`)
}

/** A try on this device is a result of the same id at the works. */
const resultId = (kept: { readonly id: string }) => kept.id.replace('practice-', '')
const handed = ref<'no' | 'yes' | 'waits' | 'failed'>(record.value?.finishedAt ? 'yes' : 'no')
watch(
  () => record.value?.id,
  async () => {
    const r = record.value
    handed.value = r?.finishedAt ? 'yes' : 'no'
    if (r?.finishedAt && (await waitsToBeHandedIn(resultId(r)))) handed.value = 'waits'
  },
  { immediate: true },
)
const handIn = async () => {
  const { record: kept } = practice
  if (!kept || !review.value) return
  const finishedAt = new Date().toISOString()
  const { person, lesson: of, machine, seed, hands } = kept
  try {
    const id = resultId(kept)
    const result = resultOf(review.value, {
      id,
      person,
      lesson: of,
      machine: `${machine.tag} ${machine.name}`,
      seed,
      hands,
      finishedAt,
    })
    const atServer = await giveIn(id, result)
    practice.finish()
    handed.value = atServer ? 'yes' : 'waits'
  } catch (failure) {
    if (!(failure instanceof ApiFailure)) throw failure
    handed.value = 'failed'
  }
}
const again = async (seed: number) => {
  if (!record.value) return
  const { lesson: of, machine, hands, faults, lie, belts, from } = record.value
  const own = lesson.value ? lessonMachine(lesson.value, telling.value.words) : machine
  await navigateTo(
    `/practice/${await practice.start({
      lesson: of,
      machine: own,
      seed,
      hands,
      faults,
      ...(lie ? { lie } : {}),
      ...(belts ? { belts } : {}),
      from,
    })}`,
  )
}
const link = computed(() =>
  lesson.value && record.value
    ? `${location.origin}/practice?lesson=${lesson.value.id}&seed=${String(record.value.seed)}`
    : '',
)
const copied = ref(false)
const copy = async () => {
  await navigator.clipboard.writeText(link.value).catch(() => null)
  copied.value = true
}
const names = computed(() => machineNames({ machine: record.value?.machine ?? {} }))
const how = computed(() => {
  const now = review.value
  if (!now) return ''
  const list =
    now.kind === 'belt'
      ? now.best.moves.map((m) => w.value.review.driveMoves[m])
      : [
          ...(record.value?.faults.includes('soft-foot') ? [w.value.review.foot] : []),
          ...now.best.moves.map((m) => w.value.review.one[m.plane](names.value[m.machine])),
        ]
  return list.length > 0 ? w.value.review.fewestHow(list.join(', ')) : w.value.review.fewestNone
})
</script>

<template>
  <div class="page">
    <p v-if="missing">
      <NuxtLink to="/practice" class="text-button">{{ b.toPractice }}</NuxtLink>
    </p>
    <template v-else-if="review && record">
      <div class="top">
        <h1>
          {{ w.review.title
          }}<span class="muted">{{
            w.review.titled(
              lesson ? b.lessonNames[lesson.id] : `${record.machine.tag} ${record.machine.name}`,
            )
          }}</span>
        </h1>
        <NuxtLink :to="`/practice/${record.id}`" class="text-button">{{ w.review.back }}</NuxtLink>
        <NuxtLink to="/practice" class="text-button">{{ b.toPractice }}</NuxtLink>
      </div>
      <div class="columns">
        <section class="drawn board" :aria-label="w.review.truth">
          <template v-if="shown">
            <div class="pick">
              <h2>{{ w.moments[shown.doubt.code] }}</h2>
              <p>{{ `${w.review.step(at + 1, moments.length)} · ${became(shown)}` }}</p>
            </div>
            <LaySheaves v-if="review.kind === 'belt'" :review="review" :at="at" />
            <LayShafts v-else :review="review" :at="at" />
            <ul class="details">
              <li v-for="d in details(shown)" :key="d">{{ d }}</li>
            </ul>
            <el-button class="dye-button" @click="goBack(shown)">{{ w.review.goBack }}</el-button>
          </template>
          <template v-else>
            <h2>{{ w.review.nothing }}</h2>
            <LaySheaves v-if="review.kind === 'belt'" :review="review" />
            <LayShafts v-else :review="review" />
          </template>
        </section>
        <aside>
          <h2><VerdictMark :mark="review.verdict" /> {{ w.review.ended[review.verdict] }}</h2>
          <LayEnded :review="review" />
          <dl class="counts">
            <div>
              <dt>{{ b.moves }}</dt>
              <dd class="figure">{{ review.moves }}</dd>
            </div>
            <div>
              <dt>{{ w.review.fewest }}</dt>
              <dd class="figure">{{ review.fewest }}</dd>
            </div>
            <div>
              <dt>{{ w.review.minutes }}</dt>
              <dd class="figure">{{ Math.round(review.minutes) }}</dd>
            </div>
          </dl>
          <p>{{ how }}</p>
          <p class="muted">{{ capital(b.hints.asked(review.hints.length)) }}</p>
          <h3>{{ w.review.hidden }}</h3>
          <p v-if="review.faults.length === 0">{{ w.review.hiddenNone }}</p>
          <ul class="hidden">
            <li v-for="f in review.faults" :key="f.fault">
              <VerdictMark :mark="f.cured ? 'done' : 'out'" silent />
              <span
                ><b>{{ w.review.foundTold(f.cured) }}</b> {{ w.faults[f.fault] }}</span
              >
            </li>
          </ul>
          <h3>{{ w.review.momentsTitle }}</h3>
          <p v-if="moments.length === 0" class="muted">{{ w.review.nothing }}</p>
          <ol class="moments">
            <li v-for="(m, i) in moments" :key="i">
              <el-button link class="text-button" :aria-current="i === at" @click="at = i">
                <VerdictMark :mark="m.seenBy !== null ? 'done' : 'edge'" silent />
                <span>{{ `${w.moments[m.doubt.code]}, ${became(m)}` }}</span>
              </el-button>
            </li>
          </ol>
          <div class="next">
            <p v-if="handed === 'failed'" role="alert">{{ w.review.notHandedIn }}</p>
            <p v-if="handed === 'waits'" role="status">{{ w.review.handsItselfIn }}</p>
            <p v-else-if="handed === 'yes'" role="status">{{ w.review.handedIn }}</p>
            <el-button v-else class="next-button" @click="handIn">{{ w.review.handIn }}</el-button>
            <el-button class="quiet-button" @click="again(record.seed)">{{ w.review.again }}</el-button>
            <el-button v-if="lesson" class="quiet-button" @click="again(seedAfter(lesson, record.seed))">{{
              w.review.another
            }}</el-button>
            <el-button v-if="lesson" link class="text-button" @click="copy">{{
              copied ? w.review.copied : w.review.link
            }}</el-button>
          </div>
        </aside>
      </div>
      <p class="muted">{{ dayjs(record.startedAt).format('D MMM YYYY, HH:mm') }}</p>
    </template>
  </div>
</template>

<style scoped>
.top {
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  gap: 4px 18px;
  margin-bottom: 12px;
}
.top h1 {
  flex: 1;
}
.columns {
  display: grid;
  grid-template-columns: minmax(0, 1fr) 380px;
  gap: 20px;
  align-items: start;
}
.drawn {
  padding: 16px 20px;
  background: var(--dye);
  color: var(--scribe);
  outline: 2px dashed var(--dye-line);
  outline-offset: -6px;
}
.pick {
  margin-bottom: 8px;
}
.drawn h2 {
  color: #fff;
}
.note {
  color: var(--scribe-dim);
}
.details {
  padding-left: 18px;
}
aside h2,
.drawn h2 {
  margin-top: 0;
}
aside h3 {
  margin-top: 16px;
}
.counts {
  display: flex;
  gap: 0;
  margin: 14px 0;
  border-block: 1px solid var(--hairline);
}
.counts div {
  flex: 1;
  padding: 8px 10px;
  border-left: 1px solid var(--hairline);
}
.counts div:first-child {
  border-left: 0;
}
.counts dt {
  font-size: 14px;
  color: var(--muted);
}
.counts dd {
  margin: 0;
  font-size: 24px;
  font-weight: 700;
}
.hidden,
.moments {
  list-style: none;
  margin: 6px 0 14px;
  padding: 0;
}
.hidden li {
  display: flex;
  gap: 8px;
  padding: 4px 0;
}
.hidden svg {
  flex: none;
  margin-top: 4px;
}
.moments .el-button {
  height: auto;
  min-height: 44px;
  white-space: normal;
  text-align: left;
}
.moments :deep(.el-button > span) {
  display: flex;
  gap: 8px;
}
.next {
  display: grid;
  gap: 8px;
  justify-items: stretch;
}
.next .el-button {
  margin: 0;
}
@media (max-width: 1000px) {
  .columns {
    grid-template-columns: 1fr;
  }
}
</style>
