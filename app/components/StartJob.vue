<script setup lang="ts">
import { JOB_REASONS, type JobReason } from '~~/core/logbook/entry'
import { readTypedNumber } from '~~/core/units/typedNumber'
import type { MachineRecord } from '~~/shared/register/machine'
import { REASON_NAMES } from '~~/shared/wording/names'

/** Opens a job: why, and the nameplate speed read off and confirmed, because the limit hangs on it. */
const props = defineProps<{ machine: MachineRecord }>()
const shown = defineModel<boolean>({ required: true })
const session = useSession()

const reason = ref<JobReason>('planned')
const speed = ref('')
const customer = ref('')
const note = ref('')
const failure = ref('')
const sending = ref(false)
/** One id for this opening however often it is sent. */
const ids = ref({ job: '', entry: '' })

watch(shown, (now) => {
  if (!now) return
  ids.value = { job: crypto.randomUUID(), entry: crypto.randomUUID() }
  failure.value = ''
})

const rpm = computed(() => readTypedNumber(speed.value, 'plain', session.units))
const speedNote = computed(() => {
  if (!rpm.value.ok) return `Registered: ${props.machine.rpm} rpm. Read it off the nameplate and type it.`
  if (rpm.value.value <= 0) return 'Give a speed above zero.'
  return rpm.value.value === props.machine.rpm
    ? 'As registered.'
    : `The register says ${props.machine.rpm} rpm. The limits will follow what you typed.`
})
const ready = computed(() => rpm.value.ok && rpm.value.value > 0 && session.authorId !== '' && !sending.value)

const start = async () => {
  if (!rpm.value.ok || !ready.value) return
  sending.value = true
  failure.value = ''
  try {
    await askServer('/api/jobs', {
      method: 'POST',
      body: {
        id: ids.value.job,
        machine: props.machine.tag,
        opening: {
          id: ids.value.entry,
          author: session.authorId,
          madeAt: new Date().toISOString(),
          kind: 'job-opened',
          payload: { reason: reason.value, rpm: rpm.value.value, customer: customer.value, note: note.value },
        },
      },
    })
    await navigateTo(`/jobs/${ids.value.job}`)
  } catch (error) {
    failure.value = error instanceof ApiFailure ? error.message : String(error)
  } finally {
    sending.value = false
  }
}
</script>

<template>
  <el-dialog v-model="shown" :title="`Start a job on ${machine.tag}`" width="520" append-to-body>
    <form class="form" @submit.prevent="start">
      <label>
        Why
        <el-select v-model="reason" aria-label="Why">
          <el-option v-for="r in JOB_REASONS" :key="r" :value="r" :label="REASON_NAMES[r]" />
        </el-select>
      </label>
      <NumberBox
        v-model="speed"
        label="Nameplate speed, rpm"
        measure="plain"
        :units="session.units"
        :note="speedNote"
        required
        @enter="start"
      />
      <label>
        Customer or department (if any)
        <el-input v-model="customer" maxlength="120" />
      </label>
      <label>
        Note
        <el-input v-model="note" type="textarea" :rows="2" maxlength="2000" />
      </label>
      <p v-if="failure" class="failure" role="alert">{{ failure }}</p>
      <button type="submit" class="next-button" :disabled="!ready">Open the job</button>
    </form>
  </el-dialog>
</template>

<style scoped>
.form {
  display: grid;
  gap: 14px;
}
.form > label {
  display: grid;
  gap: 4px;
}
.failure {
  color: var(--out);
}
</style>
