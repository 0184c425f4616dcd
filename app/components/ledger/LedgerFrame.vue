<script setup lang="ts">
import { lockoutWarning, powerWhy } from '~~/shared/wording/safety'
import { actionsWords, safetyWords, shellWords } from '~~/shared/wording/en'
import type { Mark } from '~~/core/logbook/stage'
import { loadedAhead } from '~/stages/ahead'

const TurnedDownEntries = loadedAhead(() => import('../TurnedDownEntries.vue'))

/**
 * The right-hand ledger: what this means, the numbers, the one next step, the working. While the
 * lockout is missing or broken the next step is to make safe, on whatever stage one stands.
 */
const props = defineProps<{
  mark: Mark | 'unknown'
  headline: string
  detail?: string
  /** Make safe itself needs no way back to itself. */
  own?: boolean
  /** Work at a desk goes on while hands stay off the machine. */
  deskWork?: boolean
}>()
const job = useJob()
const telling = useTelling()
const w = computed(() => safetyWords(telling.value.words))
const openStage = inject(openStageKey, () => {})
const warning = computed(() => {
  const state = job.folded?.state
  if (!state || props.own) return null
  return lockoutWarning(state.safety, state.closing !== null, telling.value)
})
const quiet = inject(quietKey, null)
const hush = useHush()
const waiving = ref(false)
const next = useTemplateRef<HTMLElement>('next')
defineExpose({
  focusNext: () => next.value?.querySelector<HTMLElement>('.next-button:not(:disabled)')?.focus(),
})
</script>

<template>
  <aside class="ledger" :aria-label="shellWords(telling.words).whatThisMeans">
    <div class="scroll">
      <div v-if="warning" class="lockout" role="alert">
        <p>
          <VerdictMark mark="out" /> <strong>{{ warning }}</strong>
          <span v-if="job.folded?.state.safety.lost">
            {{ ` ${powerWhy(job.folded.state.safety.lost, telling)}` }}
          </span>
        </p>
        <el-button v-if="!deskWork" link class="text-button" @click="waiving = true">{{
          w.waiveHere
        }}</el-button>
      </div>
      <component :is="quiet.panel" v-if="quiet" />
      <h2 v-if="!hush" aria-live="polite"><VerdictMark :mark="mark" /> {{ headline }}</h2>
      <p v-if="detail && !hush" class="detail">{{ detail }}</p>
      <p v-if="job.refusal" class="refusal" role="alert">{{ job.refusal }}</p>
      <TurnedDownEntries v-if="job.turnedDown.length > 0" />
      <slot />
    </div>
    <div ref="next" class="next" :class="{ waits: warning }">
      <slot v-if="!warning || deskWork" name="next" />
      <el-button v-if="warning" class="next-button safe" @click="openStage('make-safe')">{{
        w.toMakeSafe
      }}</el-button>
    </div>
    <WhyDialog
      v-model="waiving"
      :title="w.waiveTitle"
      :question="w.whyWaive"
      :action="actionsWords(telling.words).logIt"
      @say="job.log({ kind: 'lockout-waived', payload: { why: $event } })"
    />
  </aside>
</template>

<style scoped>
.ledger {
  grid-area: ledger;
  display: flex;
  flex-direction: column;
  min-height: 0;
  min-width: 0;
  background: var(--panel);
  border-left: 1px solid var(--hairline);
}
.scroll {
  flex: 1;
  overflow-y: auto;
  padding: 18px 20px 12px;
}
.scroll > :deep(* + *) {
  margin-top: 14px;
}
h2 {
  font-size: 20px;
  line-height: 1.3;
}
h2 svg,
.lockout svg {
  vertical-align: -1px;
  margin-right: 4px;
}
.detail {
  color: var(--muted);
}
.lockout {
  padding: 10px 12px;
  border: 1px solid var(--out);
  border-radius: 4px;
}
.refusal {
  border-left: 3px solid var(--out);
  padding-left: 12px;
}
.next {
  display: grid;
  gap: 4px;
  padding: 8px 20px 16px;
}
.next:empty {
  display: none;
}
.waits :deep(.next-button:not(.safe)) {
  background: var(--panel);
  color: var(--ink);
  border: 1px solid var(--field-line);
}
@media (max-width: 640px) {
  .ledger {
    border-left: 0;
    border-top: 1px solid var(--hairline);
  }
  .scroll {
    overflow: visible;
  }
  .next {
    position: sticky;
    bottom: 0;
    background: var(--panel);
    border-top: 1px solid var(--hairline);
    z-index: 2;
  }
}
</style>
