<script setup lang="ts">
import { pushingWords } from '~~/shared/wording/en'
import { keyOfPair, type MachineRole } from '~~/core/plan/pairNames'
import type { PlanFoot } from '~~/core/plan/movePlan'
import { crissCross } from '~~/shared/stages/feet/form'
import { hourOf } from '~~/shared/wording/directions'
import { capital } from '~~/shared/wording/capital'
import { pairName } from '~~/shared/wording/telling'
import { loadedAhead } from '../ahead'

const BoltsDialog = loadedAhead(() => import('./BoltsDialog.vue'))

/** Tightening down: the passes, which bolts they are for, and dials zeroed before it where nothing is pushed. */
const props = defineProps<{
  feet: readonly PlanFoot[]
  push: ReturnType<typeof usePushForm>
  /** Nothing is to be pushed: the dials say the shift alone. */
  onlyShift: boolean
  locked: boolean
}>()
const job = useJob()
const session = useSession()
const telling = useTelling()
const w = computed(() => pushingWords(telling.value.words).drift)
const bolts = computed(() => job.footed!.bolts)
const naming = ref(false)
const later = useLater(naming)
const order = (machine: MachineRole) =>
  crissCross(
    props.feet.filter((f) => (f.machine ?? 'movable') === machine),
    machine,
  )
</script>

<template>
  <TightenPasses
    :order="order('movable')"
    :driven="order('stationary')"
    :bolts="bolts"
    :watched="push.watched.value"
    :locked="locked"
    :telling="telling"
    @say="naming = true"
  />
  <div v-if="onlyShift" class="shift" role="group" :aria-label="w.boxes">
    <p>{{ w.boxes }}</p>
    <NumberBox
      v-for="e in push.watched.value.ends"
      :key="keyOfPair(e)"
      :model-value="push.form.value.toGo[keyOfPair(e)] ?? ''"
      :label="w.box(capital(pairName(telling, e)), hourOf(1, telling))"
      measure="displacement"
      :units="session.units"
      signed
      on-dye
      :note="push.read.value.faults[keyOfPair(e)]"
      :note-is-fault="push.read.value.faults[keyOfPair(e)] !== undefined"
      @update:model-value="push.type(keyOfPair(e), $event)"
      @enter="push.log()"
    />
  </div>
  <BoltsDialog
    v-if="later"
    v-model="naming"
    :bolts="bolts?.payload ?? null"
    @say="job.log({ kind: 'bolts-named', payload: $event })"
  />
</template>

<style scoped>
.shift {
  display: grid;
  grid-template-columns: 1fr 1fr;
  gap: 4px 16px;
  margin-top: 8px;
}
p {
  grid-column: 1 / -1;
  color: var(--scribe-dim);
  font-size: 14px;
}
</style>
