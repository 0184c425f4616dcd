<script setup lang="ts">
import { closingWords, setsWords } from '~~/shared/wording/en'
import type { FlangeState } from '~~/core/jobs/flange'
import { flangeRegisterChanges } from '~~/core/stages/close/flangeRegister'
import { misalignmentWords } from '~~/shared/wording/directions'
import { spigotWords, staysSentence } from '~~/shared/wording/flange'
import { flangeRegisterWords } from '~~/shared/wording/flangeRegister'
import { capital } from '~~/shared/wording/capital'
import { limitSource } from '~~/shared/wording/tolerances'
import FlangeStands from '../flangePlan/FlangeStands.vue'

/** How a motor on its flange was found and left: drawn, judged, and what goes into the register. */
const props = defineProps<{ state: FlangeState }>()
const telling = useTelling()
const w = computed(() => closingWords(telling.value.words))
const source = computed(() => limitSource(props.state, telling.value))
const taken = computed(() =>
  flangeRegisterWords(flangeRegisterChanges(props.state), props.state.shape.bolts, telling.value),
)
const told = computed(() =>
  (['asFound', 'asLeft'] as const).flatMap((when) => {
    const m = props.state[when]
    return m?.coupling
      ? [
          {
            when,
            where: capital(misalignmentWords(m.coupling, false, telling.value)),
            trust: setsWords(telling.value.words).trust[m.trust],
          },
        ]
      : []
  }),
)
</script>

<template>
  <BoardFrame :title="w.view.title">
    <FlangeStands v-if="state.asLeft?.coupling" :state="state" :coupling="state.asLeft.coupling" />
    <dl class="told">
      <template v-for="t in told" :key="t.when">
        <dt>{{ w[t.when] }}</dt>
        <dd>
          {{ t.where }} <span class="dim">{{ t.trust }}</span>
        </dd>
      </template>
    </dl>
    <div v-if="state.asLeft?.judgement" class="judged">
      <JudgementTable :judgement="state.asLeft.judgement" :source="source" :line="state.asLeft.coupling" />
    </div>
    <p>{{ spigotWords(state.spigot, telling) }}</p>
    <p>{{ staysSentence(state.need, state.spigot, telling) }}</p>
    <template v-if="taken.length > 0">
      <h3>{{ w.register.name }}</h3>
      <p v-if="!state.closing" class="dim">{{ w.register.waits }}</p>
      <ul>
        <li v-for="line in taken" :key="line">{{ line }}</li>
      </ul>
    </template>
  </BoardFrame>
</template>

<style scoped>
.told {
  display: grid;
  grid-template-columns: max-content 1fr;
  gap: 4px 16px;
  margin: 8px 0;
}
dt {
  color: var(--scribe-dim);
}
dd {
  margin: 0;
}
.dim {
  color: var(--scribe-dim);
}
.judged {
  padding: 8px 12px;
  border-radius: 4px;
  background: var(--panel);
  color: var(--ink);
}
h3 {
  margin: 10px 0 2px;
  font-size: 16px;
  color: #fff;
}
ul {
  margin: 0;
  padding-left: 18px;
}
</style>
