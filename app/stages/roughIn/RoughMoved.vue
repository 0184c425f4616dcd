<script setup lang="ts">
import { roughInWords, softFootWords } from '~~/shared/wording/en'
import type { RoughInEntries } from '~~/core/stages/roughIn/entries'
import { readTypedNumber } from '~~/core/units/typedNumber'
import { SIDES } from '~~/core/plan/pairNames'
import { readShims } from '~~/shared/stages/move/form'
import { capital } from '~~/shared/wording/capital'

/** What was done at the rough-in where it wasn't what was advised: shims under both feet of a pair, pushes. */
const props = defineProps<{ pairs: readonly string[] }>()
const shown = defineModel<boolean>({ required: true })
const emit = defineEmits<{ log: [payload: RoughInEntries['hubs-roughed']] }>()
const session = useSession()
const telling = useTelling()
const w = computed(() => roughInWords(telling.value.words).view)
const softFoot = computed(() => softFootWords(telling.value.words).view)
const putIn = ref<Record<string, string>>({})
const takenOut = ref<Record<string, string>>({})
const push = ref<Record<string, string>>({})
const remark = ref('')
const shims = (text: string | undefined) => readShims(text, telling.value)
const shimFault = (text: string | undefined) => {
  const list = shims(text)
  return typeof list === 'string' ? list : ''
}
const pushed = (pair: string) => readTypedNumber(push.value[pair] ?? '', 'displacement', session.units)
const payload = computed((): RoughInEntries['hubs-roughed'] | null => {
  const changes: RoughInEntries['hubs-roughed']['changes'][number][] = []
  const side: RoughInEntries['hubs-roughed']['side'][number][] = []
  for (const pair of props.pairs) {
    const [into, out, moved] = [shims(putIn.value[pair]), shims(takenOut.value[pair]), pushed(pair)]
    if (typeof into === 'string' || typeof out === 'string') return null
    if (!moved.ok && moved.fault !== 'empty') return null
    if (into.length + out.length > 0)
      changes.push(
        ...SIDES.map((s) => ({ machine: 'movable' as const, pair, side: s, putIn: into, takenOut: out })),
      )
    if (moved.ok && moved.value !== 0) side.push({ machine: 'movable', pair, moved: moved.value })
  }
  return changes.length + side.length === 0
    ? null
    : { units: session.units, changes, side, remark: remark.value.trim() }
})
const log = () => {
  if (!payload.value) return
  emit('log', payload.value)
  putIn.value = {}
  takenOut.value = {}
  push.value = {}
  remark.value = ''
  shown.value = false
}
</script>

<template>
  <el-dialog v-model="shown" :title="w.otherTitle" width="min(560px, 94vw)" append-to-body destroy-on-close>
    <form class="question" @submit.prevent="log">
      <fieldset v-for="pair in pairs" :key="pair">
        <legend>{{ w.under(capital(telling.footNames(pair))) }}</legend>
        <NumberBox
          v-model="putIn[pair]!"
          :label="softFoot.putIn"
          measure="displacement"
          :units="session.units"
          list
          :note="shimFault(putIn[pair])"
          :note-is-fault="shimFault(putIn[pair]) !== ''"
        />
        <NumberBox
          v-model="takenOut[pair]!"
          :label="softFoot.takenOut"
          measure="displacement"
          :units="session.units"
          list
          :note="shimFault(takenOut[pair])"
          :note-is-fault="shimFault(takenOut[pair]) !== ''"
        />
        <NumberBox
          v-model="push[pair]!"
          :label="w.pushTo"
          measure="displacement"
          :units="session.units"
          signed
        />
      </fieldset>
      <label
        ><span>{{ w.remark }}</span>
        <el-input v-model="remark" :aria-label="w.remark" maxlength="500" />
      </label>
      <el-button native-type="submit" class="next-button" :disabled="!payload">{{ w.logOther }}</el-button>
    </form>
  </el-dialog>
</template>

<style scoped>
fieldset {
  border: 0;
  padding: 0;
  display: grid;
  grid-template-columns: 1fr 1fr 1fr;
  gap: 0 10px;
  align-items: end;
}
legend {
  font-weight: 700;
  padding: 0;
  margin-bottom: 4px;
}
@media (max-width: 640px) {
  fieldset {
    grid-template-columns: 1fr;
  }
}
</style>
