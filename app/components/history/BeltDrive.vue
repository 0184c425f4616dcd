<script setup lang="ts">
import { settingsOf, sheaveReset } from '~~/core/register/settings'
import type { JobSummary, PastJob } from '~~/shared/api/answers'
import type { MachineRecord } from '~~/shared/register/machine'
import { resetWords } from '~~/shared/wording/sheaveSetting'

/** A drive by belts on its machine's page: drawn from its numbers, its belts over time, and what the register has of it. */
const props = defineProps<{
  machine: MachineRecord & { readonly drive: 'belt' }
  /** Its closed jobs; null while they are fetched. */
  jobs: readonly PastJob[] | null
  /** The last of them, as lists show it. */
  left: JobSummary | null
}>()
const emit = defineEmits<{ saved: [] }>()
const BeltCourse = defineAsyncComponent(() => import('./BeltCourse.vue'))
const behind = useBehind()
const session = useSession()
const words = useWords()
/** A sheave that the register has otherwise than the last close left it. */
const reset = computed(() => {
  const summary = props.left?.summary
  if (summary?.kind !== 'belt' || !summary.settings) return null
  const otherwise = sheaveReset(summary.settings, settingsOf(props.machine))
  return otherwise && resetWords(otherwise, props.left?.closedAt ?? null, { words })
})
</script>

<template>
  <p v-if="reset" class="panel reset">
    <VerdictMark mark="stale" silent /> <strong>{{ reset.what }}</strong>
    <span class="muted">{{ reset.stale }}</span>
  </p>
  <div class="two">
    <div class="drive">
      <div class="drawings">
        <BeltDrawing :machine="machine" :units="session.units" />
        <DriveAlong :machine="machine" :units="session.units" />
      </div>
      <BeltCourse v-if="behind && jobs" :jobs="jobs" :belts="machine.belts" />
    </div>
    <BeltFacts :machine="machine">
      <SheaveSet :machine="machine" @saved="emit('saved')" />
    </BeltFacts>
  </div>
</template>

<style scoped>
.reset {
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  gap: 4px 10px;
  padding: 10px 16px;
  margin-bottom: 14px;
}
.two {
  display: grid;
  grid-template-columns: minmax(0, 1fr) 380px;
  gap: 18px;
  align-items: start;
}
.drive {
  display: grid;
  gap: 14px;
  align-content: start;
  min-width: 0;
}
.drawings {
  display: grid;
  gap: 2px;
  align-content: start;
  background: var(--dye);
  border-radius: 4px;
}
@media (max-width: 1000px) {
  .two {
    grid-template-columns: minmax(0, 1fr);
  }
}
</style>
