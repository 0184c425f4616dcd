<script setup lang="ts">
import { plansWords } from '~~/shared/wording/en'
import type { Judgement } from '~~/core/judge/judge'
import { handlingOf, usualMinutes } from '~~/core/plan/usualTime'
import { percentOf } from '~~/shared/wording/planOdds'
import { handlingWords, liftWords } from '~~/shared/wording/plans'
import { capital } from '~~/shared/wording/capital'

/** The ways to move it side by side: what each handles, how long it takes, how likely it ends in band. */
const props = defineProps<{ plan: ReturnType<typeof usePlanChoice>; now: Judgement | null }>()
const telling = useTelling()
const session = useSession()
const w = computed(() => plansWords(telling.value.words))
const choice = computed(() => props.plan.choice.value)
const plans = computed(() => props.plan.result.value?.plans ?? [])
const chanceWords = (chance: number | null | undefined) =>
  chance == null ? '' : w.value.chance(percentOf(chance))
</script>

<template>
  <div v-if="choice" class="ways">
    <h3>{{ w.view.ways }}</h3>
    <el-button
      v-if="now?.verdict === 'in' || choice.option === 'nothing'"
      class="way"
      :class="{ on: choice.option === 'nothing' }"
      :aria-pressed="choice.option === 'nothing'"
      @click="plan.take(null)"
    >
      <span class="name">{{ w.names.nothing }}</span>
      <span class="muted">{{ w.noShims }}</span>
      <span class="muted verdict"
        ><VerdictMark :mark="now?.verdict ?? 'unknown'" /> {{ chanceWords(plan.advice.value?.now) }}</span
      >
    </el-button>
    <el-button
      v-for="p in plans"
      :key="p.kind"
      class="way"
      :class="{ on: choice.option === p.kind }"
      :aria-pressed="choice.option === p.kind"
      @click="plan.take(p)"
      @mouseenter="plan.point(p)"
      @mouseleave="plan.point(null)"
      @focus="plan.point(p)"
      @blur="plan.point(null)"
    >
      <span class="name">{{ w.names[p.kind] }}</span>
      <span class="figure lifts">{{ liftWords(p, telling) }}</span>
      <span class="muted"
        >{{ handlingWords(p, telling) }},
        {{ w.takes(usualMinutes(handlingOf(p), session.works?.pace?.factor)) }}</span
      >
      <span class="muted verdict"
        ><VerdictMark :mark="p.judgement.verdict" /> {{ chanceWords(plan.chances.value.get(p.kind)) }}</span
      >
    </el-button>
    <p v-if="choice.option === 'own'" class="muted">
      {{ w.view.dragged }} {{ plan.chance.value === null ? '' : capital(chanceWords(plan.chance.value)) }}
    </p>
    <p v-else-if="choice.option === plan.suggested.value?.kind" class="muted">{{ w.suggested }}</p>
  </div>
</template>

<style scoped>
h3 {
  font-size: 16px;
  margin-bottom: 6px;
}
.way.el-button {
  width: 100%;
  height: auto;
  min-height: 56px;
  margin-bottom: 7px;
  padding: 6px 12px;
  border-color: var(--hairline);
  color: var(--ink);
  white-space: normal;
}
.way :deep(> span) {
  display: flex;
  flex-wrap: wrap;
  justify-content: space-between;
  align-items: baseline;
  gap: 3px 8px;
  width: 100%;
  text-align: left;
}
.way.on.el-button {
  border: 2px solid var(--ink);
  padding: 5px 11px;
}
.way .muted {
  font-size: 14px;
}
.name {
  font-weight: 700;
}
.lifts {
  font-size: 15px;
  text-align: right;
  flex: 1 1 auto;
}
.verdict {
  text-align: right;
  white-space: nowrap;
}
.verdict svg {
  vertical-align: -3px;
}
</style>
