<script setup lang="ts">
import { JOB_TABLES } from '~~/shared/files/tableNames'
import { addressOf, blankSearch, looksForAll, searchIn } from '~~/shared/search/address'
import { COUNTED, type SearchAnswer } from '~~/shared/search/search'
import { shellWords } from '~~/shared/wording/en'
import { logbookSearchWords } from '~~/shared/wording/en/logbookSearch'
import { jobFileWords } from '~~/shared/wording/en/jobFile'
import FacetList from '~/components/logbook/FacetList.vue'
import KeptSearches from '~/components/logbook/KeptSearches.vue'

/** Every job of the works, found by words and by what it was. The address holds the search: a link repeats it. */
const session = useSession()
const words = useWords()
const w = logbookSearchWords(words)
useHead({ title: shellWords(words).pageTitle(w.title) })
const route = useRoute()
const router = useRouter()
const { searchAsked } = useKeyEvents()
const box = useTemplateRef<{ focus: () => void }>('box')
watch(searchAsked, () => nextTick(() => box.value?.focus()))

const inAddress = () => new URLSearchParams(route.query as Record<string, string>).toString()
const search = ref(searchIn(inAddress()))
const address = computed(() => addressOf(search.value))
const wrongDays = computed(
  () => search.value.from !== '' && search.value.to !== '' && search.value.from > search.value.to,
)

const answer = shallowRef<SearchAnswer | null>(null)
const failure = shallowRef<ApiFailure | null>(null)
/** Only the last question's answer counts, however late another comes. */
let asked = 0
const look = async () => {
  const mine = ++asked
  try {
    const found = await askServer<SearchAnswer>(`/api/logbook?${address.value}`)
    if (mine !== asked) return
    answer.value = found
    failure.value = null
  } catch (error) {
    if (!(error instanceof ApiFailure)) throw error
    if (mine === asked) failure.value = error
  }
}
const { jobs, next, more, asking, failed } = useMoreJobs(
  () => answer.value,
  () => `/api/logbook?${address.value}`,
)
/** Addresses that this page has written and that are on their way, in order. */
const written: string[] = []
watchDebounced(
  address,
  () => {
    if (wrongDays.value) return
    if (address.value !== inAddress()) {
      written.push(address.value)
      void router.replace({ query: Object.fromEntries(new URLSearchParams(address.value)) })
    }
    void look()
  },
  { debounce: 200 },
)
// A kept search, or the way back. What was written here itself comes late, when more may have been typed meanwhile.
watch(
  () => route.query,
  () => {
    const own = written.indexOf(inAddress())
    written.splice(0, own + 1)
    if (own < 0 && inAddress() !== address.value) search.value = searchIn(inAddress())
  },
)
onMounted(look)
const show = (kept: string) => {
  search.value = searchIn(kept)
}
const intake = ref(false)
const intakeLater = useLater(intake)
/** Down from the box is into what was found. */
const intoFound = () => document.querySelector<HTMLElement>('.found a')?.focus()
</script>

<template>
  <div class="page logbook">
    <div class="head">
      <h1>{{ w.title }}</h1>
      <el-input
        ref="box"
        v-model="search.words"
        class="search"
        type="search"
        maxlength="200"
        :aria-label="w.search"
        :placeholder="w.hint"
        clearable
        @keydown.down.prevent="intoFound"
      />
      <label class="day"
        >{{ w.from }} <el-date-picker v-model="search.from" value-format="YYYY-MM-DD" :aria-label="w.from"
      /></label>
      <label class="day"
        >{{ w.to }} <el-date-picker v-model="search.to" value-format="YYYY-MM-DD" :aria-label="w.to"
      /></label>
      <el-button v-if="session.may('files')" class="quiet-button bring" @click="intake = true">{{
        jobFileWords(words).open
      }}</el-button>
    </div>
    <p v-if="wrongDays" class="fault" role="alert">{{ w.wrongDays }}</p>
    <KeptSearches :address="address" :nothing="looksForAll(search)" @show="show">
      <el-button class="quiet-button" @click="search = blankSearch()">{{ w.clear }}</el-button>
    </KeptSearches>
    <LazyJobIntake v-if="intakeLater" v-model="intake" @taken="look" />
    <div class="columns">
      <FacetList v-model="search.chosen" :facets="answer?.facets ?? null" />
      <div class="found">
        <LoadState :waiting="!answer" :failure="failure" @again="look">
          <p class="muted" role="status">{{ w.counted(answer!.counted, COUNTED) }}</p>
          <JobList :jobs="jobs" :empty="looksForAll(search) ? w.noneYet : w.none" show-machine dated />
          <p v-if="jobs.length > 0" class="tables">
            <span class="muted">{{ w.tables.out }}</span>
            <a
              v-for="table in JOB_TABLES"
              :key="table"
              :href="`/api/files/tables/${table}?${address}`"
              :title="w.tables.notes[table]"
              download
              >{{ w.tables.names[table] }}</a
            >
          </p>
          <MoreJobs :label="w.more" :next="next" :asking="asking" :failed="failed" @more="more" />
        </LoadState>
      </div>
    </div>
  </div>
</template>

<style scoped>
.tables {
  display: flex;
  flex-wrap: wrap;
  gap: 4px 18px;
  align-items: center;
  margin-top: 10px;
}
.tables a {
  display: inline-flex;
  align-items: center;
  min-height: var(--touch);
}
.head {
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  gap: 8px 14px;
  margin-bottom: 10px;
}
.search {
  flex: 1 1 260px;
  max-width: 460px;
}
.bring {
  margin-left: auto;
}
.day {
  display: inline-flex;
  align-items: center;
  gap: 6px;
  font-size: 14px;
}
.day :deep(.el-date-editor) {
  width: 150px;
}
.fault {
  color: var(--out);
}
.columns {
  display: grid;
  grid-template-columns: 250px minmax(0, 1fr);
  gap: 24px;
  align-items: start;
}
.found > p,
.found :deep([role='status']) {
  margin-bottom: 8px;
}
@media (max-width: 760px) {
  .columns {
    grid-template-columns: minmax(0, 1fr);
  }
}
</style>
