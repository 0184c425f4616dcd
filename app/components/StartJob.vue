<script setup lang="ts">
import { pagesWords, reasonsWords } from '~~/shared/wording/en'
import { namesFor } from '~~/core/register/drive'
import { JOB_REASONS, REASONS_ONLY_FOR, type JobReason } from '~~/core/stages/open/entries'
import { keptWithJob } from '~~/shared/register/keptWithJob'
import type { MachineRecord } from '~~/shared/register/machine'
import { MACHINE_SCHEMA } from '~~/shared/register/lifts'
import { readSpeed } from '~~/shared/stages/open/form'
import { deviceStore } from '~/device/database'
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

const reason = ref<JobReason>(props.because ?? 'planned')
const reasons = computed(() => namesFor(JOB_REASONS, REASONS_ONLY_FOR, props.machine.drive))
const speed = ref('')
const customer = ref('')
const site = ref('')
const note = ref('')
const box = useTemplateRef<{ focus: () => void }>('box')
useFirstFocus(shown, () => box.value)

const read = computed(() => readSpeed(speed.value, props.machine.rpm, words))
const ask = useAskOnce(() => (read.value.question ? [read.value.question] : []))
const ready = computed(() => read.value.rpm !== null && session.authorId !== '')

const start = async () => {
  if (read.value.rpm === null || !ready.value) return box.value?.focus()
  if (!ask.mayGo()) return
  const id = newId()
  const opening = composeEntry(
    {
      kind: 'job-opened',
      payload: {
        reason: reason.value,
        rpm: read.value.rpm,
        customer: customer.value,
        site: site.value,
        note: note.value,
      },
    },
    [],
    session.authorId,
  )
  // Until the server has answered, the job stands on what this device knows of the machine.
  const machine = keptWithJob(props.machine, session.works)
  await deviceStore()
    .then((db) =>
      db.put(
        'jobs',
        JSON.parse(
          JSON.stringify({
            id,
            machineSchema: MACHINE_SCHEMA,
            machine,
            entries: [],
            previous: null,
            left: null,
            drive: null,
            leavesBefore: [],
          }),
        ),
      ),
    )
    .catch(() => null)
  await outbox.post(id, opening, props.machine.tag)
  await navigateTo(`/jobs/${id}`)
}
</script>

<template>
  <el-dialog v-model="shown" :title="w.title(machine.tag)" width="min(520px, 94vw)" append-to-body>
    <el-form label-position="top" @submit.prevent="start">
      <el-form-item :label="w.why">
        <el-select v-model="reason" :aria-label="w.why">
          <el-option v-for="r in reasons" :key="r" :value="r" :label="reasonsWords(words)[r]" />
        </el-select>
      </el-form-item>
      <NumberBox
        ref="box"
        v-model="speed"
        :label="w.speed"
        measure="plain"
        :units="session.units"
        :note="ask.shown.value.length ? '' : read.remark.text"
        :note-is-fault="read.remark.fault"
        required
        @enter="start"
      />
      <el-form-item :label="w.customer" class="later">
        <el-input v-model="customer" :aria-label="w.customer" maxlength="120" />
      </el-form-item>
      <el-form-item :label="w.site">
        <el-input v-model="site" :aria-label="w.site" maxlength="120" />
      </el-form-item>
      <el-form-item :label="w.note">
        <el-input v-model="note" :aria-label="w.note" type="textarea" :rows="2" maxlength="2000" />
      </el-form-item>
      <p v-if="ask.shown.value.length" class="asked" role="alert">{{ ask.shown.value[0] }}</p>
      <el-button native-type="submit" class="next-button" :disabled="!ready">{{ w.open }}</el-button>
    </el-form>
  </el-dialog>
</template>

<style scoped>
.later {
  margin-top: 14px;
}
.asked {
  border-left: 3px solid var(--edge);
  padding-left: 12px;
  margin-bottom: 12px;
}
</style>
