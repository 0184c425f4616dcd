<script setup lang="ts">
import dayjs from 'dayjs'
import { foldJob, objectionTo } from '~~/core/jobs/jobs'
import type { LogEntry } from '~~/core/logbook/entry'
import { extended } from '~~/core/logbook/forward'
import { MAY } from '~~/core/logbook/may'
import type { JobSummary, Page } from '~~/shared/api/answers'
import { entriesToKeep, KEPT_AT } from '~~/shared/quick/keep'
import { newId } from '~/device/newId'
import { serverDoor } from '~/doors/serverDoor'

/** A sum's figures kept into an open job: as its stage would have written them, else as a remark. */
const props = defineProps<{ id: string; input: unknown; asText: () => string }>()
const shown = defineModel<boolean>({ required: true })
const session = useSession()
const outbox = useOutbox()
const words = useWords()
const w = words.quick.keep
const jobs = shallowRef<readonly JobSummary[]>([])
const chosen = ref('')
const shaft = ref<'movable' | 'stationary'>('movable')
const said = ref('')
const kept = ref('')
const door = serverDoor()
watch(shown, async (now) => {
  if (!now) return
  said.value = ''
  kept.value = ''
  await session.meetPeople().catch(() => null)
  const page = await askKeeping<Page<JobSummary>>('/api/jobs?open=yes').catch(() => null)
  jobs.value = page?.rows ?? []
  if (!page) said.value = words.answers.outOfReach
  if (!jobs.value.some((j) => j.id === chosen.value)) chosen.value = jobs.value[0]?.id ?? ''
})
const name = (j: JobSummary) => w.job(j.tag, j.machineName, dayjs(j.openedAt).format('D MMM'))
const stage = computed(() => KEPT_AT[props.id])

const keep = async () => {
  said.value = ''
  const opened = await door.load(chosen.value).catch(() => door.recall(chosen.value))
  if (!opened) {
    said.value = words.answers.outOfReach
    return
  }
  // Entries of this device that are still on their way stand behind what the server has.
  let logbook: readonly LogEntry[] = opened.entries
  const bodies = entriesToKeep(props.id, props.input, props.asText(), {
    machine: opened.machine,
    shaft: shaft.value,
  })
  const entries: LogEntry[] = []
  for (const body of bodies) {
    const entry: LogEntry = {
      id: newId(),
      author: session.authorId,
      madeAt: new Date().toISOString(),
      receivedAt: null,
      after: logbook[logbook.length - 1]?.id ?? null,
      before: null,
      supersedes: null,
      ...body,
    }
    const role = session.author?.role
    if (role && !MAY[role].includes(entry.kind)) {
      said.value = words.answers.notForRole(words.kinds[entry.kind], role)
      return
    }
    const objection = objectionTo(opened.machine, logbook, entry, foldJob(opened.machine, logbook))
    if (objection) {
      said.value = words.objections[objection.code]
      return
    }
    logbook = extended(logbook, entry)
    entries.push(entry)
  }
  for (const entry of entries) await outbox.post(chosen.value, entry)
  kept.value = chosen.value
}
</script>

<template>
  <el-dialog v-model="shown" :title="w.title" width="min(480px, 94vw)" append-to-body>
    <p v-if="kept" role="status">
      {{ w.done }} <NuxtLink :to="`/jobs/${kept}`">{{ w.goThere }}</NuxtLink>
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
        v-if="id === 'runout'"
        v-model="shaft"
        :label="words.level.view.machine"
        show-label
        :options="[
          { value: 'movable', name: words.setUp.view.motor },
          { value: 'stationary', name: words.setUp.view.driven },
        ]"
      />
      <p class="muted">{{ stage ? w.as(words.sheet.stages[stage].name) : w.asRemark }}</p>
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
