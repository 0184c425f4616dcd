<script setup lang="ts">
import { doorWords, levelWords, setUpWords, sheetWords } from '~~/shared/wording/en'
import { quickWords } from '~~/shared/wording/viewWords'
import dayjs from 'dayjs'
import type { LogEntry } from '~~/core/logbook/entry'
import { extended } from '~~/core/logbook/forward'
import type { JobSummary, Page } from '~~/shared/api/answers'
import { entriesToKeep, KEPT_AT } from '~~/shared/quick/keep'
import { wantsReturn } from '~~/shared/quick/keepMeasurement'
import { fromWire } from '~~/shared/logbook/lifts'
import { composeEntry, refusedToLog } from '~/device/composeEntry'
import { serverDoor } from '~/doors/serverDoor'
import { loadKind } from '~/jobs/kinds'

/** A sum's figures kept into an open job: as its stage would have written them, else as a remark. */
const props = defineProps<{ id: string; input: unknown; asText: () => string }>()
const shown = defineModel<boolean>({ required: true })
const session = useSession()
const outbox = useOutbox()
const words = useWords()
const w = quickWords.keep
const jobs = shallowRef<readonly JobSummary[]>([])
const chosen = ref('')
const shaft = ref<'movable' | 'stationary'>('movable')
const low = ref<'coupling' | 'far'>('coupling')
const said = ref('')
const kept = ref('')
const asRemark = ref(false)
const door = serverDoor()
useOnShown(shown, async () => {
  said.value = ''
  kept.value = ''
  await session.meetPeople().catch(() => null)
  const page = await askKeeping<Page<JobSummary>>('/api/jobs?open=yes').catch(() => null)
  jobs.value = page?.rows ?? []
  if (!page) said.value = doorWords(words).outOfReach
  if (!jobs.value.some((j) => j.id === chosen.value)) chosen.value = jobs.value[0]?.id ?? ''
})
const name = (j: JobSummary) => w.job(j.tag, j.machineName, dayjs(j.openedAt).format('D MMM'))
const stage = computed(() => KEPT_AT[props.id])

const keep = async () => {
  said.value = ''
  const opened = await door.load(chosen.value).catch(() => door.recall(chosen.value))
  if (!opened) {
    said.value = doorWords(words).outOfReach
    return
  }
  // What this device has not sent yet stands behind what the server has.
  const known = new Set(opened.entries.map((e) => e.id))
  let logbook: readonly LogEntry[] = [
    ...opened.entries,
    ...outbox.waiting.filter((r) => r.job === chosen.value && !known.has(r.id)).map((r) => fromWire(r.entry)),
  ]
  const { machine } = opened
  const kind = await loadKind(machine).catch(() => null)
  if (!kind) {
    said.value = doorWords(words).outOfReach
    return
  }
  const entries: LogEntry[] = []
  for (const body of entriesToKeep(props.id, props.input, props.asText(), {
    machine,
    shaft: shaft.value,
    low: low.value,
  })) {
    const entry = composeEntry(body, logbook, session.authorId)
    const refused = refusedToLog(kind, kind.fold(machine, logbook), logbook, entry, session.author?.role)
    if (refused) {
      said.value = (await import('~/device/refusedWords')).refusedWords(refused, words)
      return
    }
    logbook = extended(logbook, entry)
    entries.push(entry)
  }
  for (const entry of entries) await outbox.post(chosen.value, entry)
  asRemark.value = entries.every((e) => e.kind === 'remark')
  kept.value = chosen.value
}
</script>

<template>
  <el-dialog v-model="shown" :title="w.title" width="min(480px, 94vw)" append-to-body>
    <p v-if="kept" role="status">
      {{ stage && asRemark ? w.doneAsRemark : w.done }}
      <NuxtLink :to="`/jobs/${kept}`">{{ w.goThere }}</NuxtLink>
    </p>
    <form v-else class="question" @submit.prevent="keep">
      <p v-if="jobs.length === 0 && !said">{{ w.none }}</p>
      <label v-else
        ><span>{{ w.which }}</span>
        <el-select v-model="chosen" :aria-label="w.which">
          <el-option v-for="j in jobs" :key="j.id" :value="j.id" :label="name(j)" />
        </el-select>
      </label>
      <ChoiceRow
        v-if="id === 'runout' || id === 'level'"
        v-model="shaft"
        :label="levelWords(words).view.machine"
        show-label
        :options="[
          { value: 'movable', name: setUpWords(words).view.motor },
          { value: 'stationary', name: setUpWords(words).view.driven },
        ]"
      />
      <ChoiceRow
        v-if="id === 'level'"
        v-model="low"
        :label="w.lowEnd"
        show-label
        :options="[
          { value: 'coupling', name: levelWords(words).view.lows.coupling },
          { value: 'far', name: levelWords(words).view.lows.far },
        ]"
      />
      <p v-if="wantsReturn(id, input)" class="muted">{{ w.giveReturn }}</p>
      <p v-else class="muted">{{ stage ? w.as(sheetWords(words).stages[stage].name) : w.asRemark }}</p>
      <p v-if="said" class="fault" role="alert">{{ said }}</p>
      <el-button
        native-type="submit"
        class="next-button"
        :disabled="chosen === '' || session.authorId === ''"
        >{{ w.keepIt }}</el-button
      >
    </form>
  </el-dialog>
</template>

<style scoped>
.fault {
  color: var(--out);
}
</style>
