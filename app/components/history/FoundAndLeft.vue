<script setup lang="ts">
import { historyWords } from '~~/shared/wording/viewWords'
import { CONVERSIONS, fromCore } from '~~/core/units/unitSystem'
import { figureKind } from '~~/shared/drawing/figureKind'
import { forceFigure } from '~~/shared/wording/forces'
import { percentFigure } from '~~/shared/wording/gearContact'
import type { PastJob } from '~~/shared/api/answers'
import { judgedNames, splitName, trendOf } from '~~/shared/drawing/trend'
import { figure, UNIT_NAMES, degrees } from '~~/shared/wording/figures'
import { quantityName } from '~~/shared/wording/quantities'
import { tellingOf } from '~~/shared/wording/telling'

/** What the jobs of a machine found and left, over time, one quantity at a time. */
const props = defineProps<{
  jobs: readonly PastJob[]
  /** Names of the couplings of a line, by id. */
  couplings?: Readonly<Record<string, string>>
}>()
const session = useSession()
const telling = computed(() => tellingOf(session.units, null, session.works?.footWords))
const w = historyWords.trend
/** So many fit beside each other. */
const FEW = 3
const names = computed(() => judgedNames(props.jobs))
const whats = computed(() => [...new Set(names.value.map((n) => splitName(n).what))])
const planesOf = (what: string) =>
  names.value.flatMap((n) => {
    const { what: base, plane } = splitName(n)
    return base === what && plane ? [plane] : []
  })
const picked = ref({ what: '', plane: 'v' as 'v' | 'h' })
const what = computed(() =>
  whats.value.includes(picked.value.what) ? picked.value.what : (whats.value[0] ?? ''),
)
const planes = computed(() => planesOf(what.value))
const name = computed(() =>
  planes.value.length === 0
    ? what.value
    : `${what.value}.${planes.value.includes(picked.value.plane) ? picked.value.plane : (planes.value[0] ?? 'v')}`,
)
/** A figure by name; of a line, by its coupling. */
const named = (figure: string) => {
  const at = figure.indexOf(':')
  if (at < 0) return quantityName(figure, telling.value)
  const coupling = figure.slice(0, at)
  return `${props.couplings?.[coupling] ?? coupling}, ${quantityName(figure.slice(at + 1), telling.value).toLowerCase()}`
}
const trend = computed(() => trendOf(props.jobs, name.value))

const kind = computed(() => figureKind(what.value))
const unit = computed(() => {
  const measured = kind.value
  if (measured === 'angle') return w.degrees
  if (measured === 'percent') return w.percent
  return measured === 'force' ? CONVERSIONS[session.units].force.unit : UNIT_NAMES[session.units][measured]
})
const shown = computed(() => {
  const measured = kind.value
  if (measured === 'percent') return (x: number) => x
  return measured === 'angle'
    ? (x: number) => (x * 180) / Math.PI
    : (x: number) => fromCore(x, measured, session.units)
})
const words = computed(() => {
  const measured = kind.value
  if (measured === 'percent') return (x: number) => `${percentFigure(x, true)} %`
  if (measured === 'force') return (x: number) => forceFigure(x, session.units, true)
  return measured === 'angle'
    ? (x: number) => degrees(x)
    : (x: number) => figure(x, measured, session.units, { sign: true, unit: true })
})
</script>

<template>
  <section class="panel found" :aria-label="w.title(unit)">
    <div class="head">
      <h2 class="title">{{ w.title(unit) }}</h2>
      <template v-if="names.length > 0">
        <el-select
          v-if="whats.length > FEW"
          class="what"
          :model-value="what"
          :aria-label="w.what"
          @update:model-value="picked = { ...picked, what: $event }"
        >
          <el-option v-for="o in whats" :key="o" :value="o" :label="named(o)" />
        </el-select>
        <ChoiceRow
          v-else-if="whats.length > 1"
          :model-value="what"
          :label="w.what"
          :options="whats.map((value) => ({ value, name: named(value) }))"
          @update:model-value="picked = { ...picked, what: $event }"
        />
        <ChoiceRow
          v-if="planes.length > 1"
          :model-value="splitName(name).plane ?? 'v'"
          :label="w.what"
          :options="planes.map((value) => ({ value, name: w.planes[value] }))"
          @update:model-value="picked = { ...picked, plane: $event }"
        />
      </template>
    </div>
    <TrendChart v-if="trend.length > 0" :trend="trend" :name="named(name)" :shown="shown" :figure="words" />
    <p v-else class="muted">{{ w.none }}</p>
    <p v-if="trend.length > 0" class="legend muted">
      <svg viewBox="0 0 18 18" width="18" height="18" aria-hidden="true">
        <path d="M9 4l5 5-5 5-5-5z" fill="none" stroke="currentColor" stroke-width="1.6" />
      </svg>
      {{ w.found }}
      <svg viewBox="0 0 18 18" width="18" height="18" aria-hidden="true">
        <path d="M9 1l8 8-8 8-8-8z" fill="none" stroke="currentColor" stroke-width="1.6" />
      </svg>
      {{ w.left }}
      <span class="band" aria-hidden="true" /> {{ w.band }} <span class="aim" aria-hidden="true" />
      {{ w.target }}
    </p>
  </section>
</template>

<style scoped>
.found {
  padding: 14px 16px;
  min-width: 0;
}
.head {
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  gap: 8px 10px;
}
h2.title {
  margin: 0;
  flex: 1;
  white-space: nowrap;
  font-size: 17px;
}
.what {
  width: 200px;
}
.legend {
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  gap: 6px;
  font-size: 14px;
}
.band {
  width: 22px;
  height: 14px;
  margin-left: 8px;
  background: color-mix(in srgb, var(--in) 12%, transparent);
}
.aim {
  width: 22px;
  margin-left: 8px;
  border-top: 2px dashed var(--in);
}
</style>
