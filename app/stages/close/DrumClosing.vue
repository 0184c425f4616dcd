<script setup lang="ts">
import type { DrumState } from '~~/core/jobs/drum'
import { drumWords } from '~~/shared/wording/en'
import { drumLimitSource, leversWords } from '~~/shared/wording/drum'
import { drumRunoutLimit, meaningOfDrum } from '~~/shared/wording/drumTrue'
import CouplingClosing from './CouplingClosing.vue'

/** The motor as found and as left, its four steps, and how the drum itself runs. */
const props = defineProps<{ state: DrumState }>()
const job = useJob()
const telling = useTelling()
const w = computed(() => drumWords(telling.value.words))
const drum = computed(() => meaningOfDrum(props.state.drum, telling.value))
</script>

<template>
  <CouplingClosing :state="state">
    <TramSteps :tram="state.tram" />
    <p class="line">
      <VerdictMark :mark="drum.mark" on-dye /> {{ w.stepSays(w.steps['drum-runout'].name, drum.headline) }}
    </p>
    <p class="quiet">
      {{
        w.closingSources(
          drumRunoutLimit(state.drum, telling),
          drumLimitSource(state, telling, job.machine?.tag),
          leversWords(state, telling),
        )
      }}
    </p>
  </CouplingClosing>
</template>

<style scoped>
.line {
  margin-top: 8px;
}
.quiet {
  color: var(--scribe-dim);
  font-size: 14px;
}
</style>
