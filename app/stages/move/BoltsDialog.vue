<script setup lang="ts">
import { boltsWords, pushingWords } from '~~/shared/wording/en'
import { BOLT_SIZE_NAMES, comesIn } from '~~/core/bolts/sizes'
import { BOLT_CLASSES, type BoltClass, type Lubrication } from '~~/core/bolts/tightening'
import type { BoltSizeName } from '~~/core/bolts/sizes'
import type { BoltsPayload } from '~~/core/stages/move/entries'
import { readTypedNumber } from '~~/core/units/typedNumber'
import { CONVERSIONS } from '~~/core/units/unitSystem'

/** Which bolts hold the machine down: asked once, kept with the machine when the job is closed. */
const props = defineProps<{ bolts: BoltsPayload | null }>()
const shown = defineModel<boolean>({ required: true })
const emit = defineEmits<{ say: [payload: BoltsPayload] }>()
const session = useSession()
const telling = useTelling()
const w = computed(() => pushingWords(telling.value.words))
const named = computed(() => boltsWords(telling.value.words))
const size = ref<BoltSizeName>('M16')
const boltClass = ref<BoltClass>('8.8')
const lubrication = ref<Lubrication>('dry')
const torque = ref('')
watch(shown, (open) => {
  if (!open) return
  const known = props.bolts
  size.value = known?.size ?? (session.units === 'inch' ? '5/8' : 'M16')
  boltClass.value = known?.boltClass ?? (session.units === 'inch' ? 'grade-5' : '8.8')
  lubrication.value = known?.lubrication ?? 'dry'
  torque.value =
    known?.makerTorque !== null && known?.makerTorque !== undefined && known.units === session.units
      ? String(known.makerTorque)
      : ''
})
// A class is made on one kind of thread: picking it leaves the sizes it comes in.
const sizes = computed(() => BOLT_SIZE_NAMES.filter((s) => comesIn(boltClass.value, s)))
watch(boltClass, () => {
  if (!sizes.value.includes(size.value)) size.value = sizes.value[2] ?? (sizes.value[0] as BoltSizeName)
})
const readTorque = computed(() => readTypedNumber(torque.value, 'plain', session.units))
const payload = computed((): BoltsPayload | null => {
  const read = readTorque.value
  const typed = torque.value.trim() !== ''
  if (typed && (!read.ok || read.value <= 0)) return null
  return {
    units: session.units,
    size: size.value,
    boltClass: boltClass.value,
    lubrication: lubrication.value,
    makerTorque: typed && read.ok ? read.value : null,
  }
})
const say = () => {
  if (!payload.value) return
  emit('say', payload.value)
  shown.value = false
}
</script>

<template>
  <el-dialog v-model="shown" :title="w.bolts.title" width="min(460px, 94vw)" append-to-body destroy-on-close>
    <form class="bolts" @submit.prevent="say">
      <label>
        <span>{{ w.bolts.boltClass }}</span>
        <el-select v-model="boltClass" :aria-label="w.bolts.boltClass">
          <el-option v-for="c in BOLT_CLASSES" :key="c" :value="c" :label="named.classes[c]" />
        </el-select>
      </label>
      <label>
        <span>{{ w.bolts.size }}</span>
        <el-select v-model="size" :aria-label="w.bolts.size">
          <el-option v-for="s in sizes" :key="s" :value="s" :label="s" />
        </el-select>
      </label>
      <label>
        <span>{{ w.bolts.lubrication }}</span>
        <el-select v-model="lubrication" :aria-label="w.bolts.lubrication">
          <el-option v-for="l in ['dry', 'oiled'] as const" :key="l" :value="l" :label="named.threads[l]" />
        </el-select>
      </label>
      <NumberBox
        v-model="torque"
        :label="`${w.bolts.makerTorque}, ${CONVERSIONS[session.units].torque.unit}`"
        measure="plain"
        :units="session.units"
        @enter="say"
      />
      <p class="muted">{{ w.tighten.typical }}</p>
      <el-button native-type="submit" class="next-button" :disabled="!payload">{{ w.bolts.save }}</el-button>
    </form>
  </el-dialog>
</template>

<style scoped>
.bolts {
  display: grid;
  gap: 12px;
}
label > span {
  display: block;
  margin-bottom: 4px;
}
</style>
