<script setup lang="ts">
import { pagesWords } from '~~/shared/wording/en'
import type { JobReason } from '~~/core/stages/open/entries'
import { keptWithJob } from '~~/shared/register/keptWithJob'
import type { MachineRecord } from '~~/shared/register/machine'
import { MACHINE_SCHEMA } from '~~/shared/register/lifts'
import { blankOpening, openingBody, readSpeed } from '~~/shared/stages/open/form'
import { keepJob } from '~/device/keepJob'
import { composeEntry } from '~/device/composeEntry'
import { newId } from '~/device/newId'

/**
 * Opens a job: why, and the nameplate speed read off and confirmed, because the limit hangs on it.
 * It goes through the outbox like every entry, so that it also opens out of reach of the server.
 */
const props = defineProps<{
  machine: MachineRecord
  /** Why it is started, as far as that is known already. */
  because?: JobReason
}>()
const shown = defineModel<boolean>({ required: true })
const session = useSession()
const words = useWords()
const w = pagesWords(words).startJob
const outbox = useOutbox()

const texts = ref(blankOpening(props.because))
const box = useTemplateRef<{ focus: () => void }>('box')
useFirstFocus(shown, () => box.value)

const read = computed(() => readSpeed(texts.value.speed, props.machine.rpm, words))
const ask = useAskOnce(() => (read.value.question ? [read.value.question] : []))
const ready = computed(() => read.value.rpm !== null && session.authorId !== '')

const start = async () => {
  if (read.value.rpm === null || !ready.value) return box.value?.focus()
  if (!ask.mayGo()) return
  const id = newId()
  const opening = composeEntry(openingBody(texts.value, read.value.rpm), [], session.authorId)
  // Until the server has answered, the job stands on what this device knows of the machine.
  const machine = keptWithJob(props.machine, session.works)
  const blank = { machineSchema: MACHINE_SCHEMA, entries: [], previous: null, left: null, drive: null }
  await keepJob(JSON.parse(JSON.stringify({ id, machine, ...blank, leavesBefore: [] })), true)
  await outbox.post(id, opening, props.machine.tag)
  await navigateTo(`/jobs/${id}`)
}
</script>

<template>
  <el-dialog v-model="shown" :title="w.title(machine.tag)" width="min(520px, 94vw)" append-to-body>
    <el-form label-position="top" @submit.prevent="start">
      <OpeningFields
        ref="box"
        v-model="texts"
        :drive="machine.drive"
        :note="ask.shown.value.length ? '' : read.remark.text"
        :note-is-fault="read.remark.fault"
        @enter="start"
      />
      <p v-if="ask.shown.value.length" class="asked" role="alert">{{ ask.shown.value[0] }}</p>
      <el-button native-type="submit" class="next-button" :disabled="!ready">{{ w.open }}</el-button>
    </el-form>
  </el-dialog>
</template>

<style scoped>
.asked {
  border-left: 3px solid var(--edge);
  padding-left: 12px;
  margin-bottom: 12px;
}
</style>
