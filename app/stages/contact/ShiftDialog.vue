<script setup lang="ts">
import { LEVERS, type NextShift } from '~~/core/gear/levers'
import { nameShiftUnits, shiftPayload, type ShiftTexts } from '~~/shared/stages/contact/form'
import { gearWords } from '~~/shared/wording/en'
import { leverName, shiftTyped } from '~~/shared/wording/gearContact'
import { capital } from '~~/shared/wording/capital'

/** What was shifted, where it was not what was asked for. */
const props = defineProps<{ next: NextShift | null }>()
const shown = defineModel<boolean>({ required: true })
const job = useJob()
const session = useSession()
const telling = useTelling()
const w = computed(() => gearWords(telling.value.words))
const v = computed(() => w.value.view)
const state = computed(() => job.gear!)
const ends = computed(() => state.value.machine.gear.ends)
const blank = (): ShiftTexts => ({
  units: session.units,
  lever: props.next?.lever ?? 'blocks',
  by: props.next ? shiftTyped(props.next.by, telling.value) : '',
  way: (props.next?.by ?? 1) > 0 ? 'to' : 'from',
  words: '',
})
const form = ref<ShiftTexts>(blank())
watch(shown, (on) => {
  if (on) form.value = blank()
})
useUnitsOfDraft(form, nameShiftUnits)
const read = computed(() => shiftPayload(form.value, telling.value))
const asked = ref(false)
const log = () => {
  const { payload } = read.value
  asked.value = payload === null
  if (!payload || !job.log({ kind: 'gear-shifted', payload })) return
  shown.value = false
}
</script>

<template>
  <el-dialog v-model="shown" :title="v.shiftTitle" width="min(520px, 94vw)" append-to-body destroy-on-close>
    <form class="question" @submit.prevent="log">
      <ChoiceRow
        v-model="form.lever"
        :label="v.lever"
        show-label
        :options="LEVERS.map((value) => ({ value, name: capital(leverName(value, state.machine, telling)) }))"
      />
      <NumberBox
        v-model="form.by"
        :label="v.by"
        measure="displacement"
        :units="session.units"
        :note="asked ? read.fault : ''"
        :note-is-fault="asked && read.fault !== ''"
        @enter="log"
      />
      <ChoiceRow
        v-model="form.way"
        :label="v.way"
        show-label
        :options="(['from', 'to'] as const).map((value) => ({ value, name: ends[value] }))"
      />
      <label>
        <span>{{ v.words }}</span>
        <el-input v-model="form.words" :aria-label="v.words" maxlength="2000" />
      </label>
      <p v-if="job.refusal" class="fault" role="alert">{{ job.refusal }}</p>
      <el-button native-type="submit" class="next-button">{{ v.shifted }}</el-button>
    </form>
  </el-dialog>
</template>

<style scoped>
.fault {
  color: var(--out);
}
</style>
