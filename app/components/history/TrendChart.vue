<script setup lang="ts">
import { historyWords } from '~~/shared/wording/viewWords'
import type { ApexOptions } from 'apexcharts'
import { scaleLinear } from 'd3-scale'
import dayjs from 'dayjs'
import { bandSteps, rangeOf, type TrendJob, type TrendPoint } from '~~/shared/drawing/trend'

/** One quantity over the jobs of a machine: as found, as left, band and target of each day. */
const props = defineProps<{
  trend: readonly TrendJob[]
  /** What is drawn, for those who do not see it. */
  name: string
  /** From core units to what is shown. */
  shown: (value: number) => number
  /** A figure with its unit. */
  figure: (value: number) => string
}>()
const w = historyWords
const host = useTemplateRef<HTMLElement>('host')
const TICKS = 6

const options = computed((): ApexOptions => {
  const { trend, shown } = props
  const [low, high] = rangeOf(trend)
  const scale = scaleLinear()
    .domain([shown(low), shown(high)])
    .nice(TICKS)
  const [least = 0, most = 1] = scale.domain()
  const steps = bandSteps(trend, Date.now())
  const at = (p: (t: TrendJob) => TrendPoint | null) =>
    trend.map((t) => ({ x: t.at, y: p(t) === null ? null : shown(p(t)!.value) }))
  const marks = (seriesIndex: number, size: number, p: (t: TrendJob) => TrendPoint | null) =>
    trend.flatMap((t, dataPointIndex) => {
      const point = p(t)
      if (!point) return []
      return [{ seriesIndex, dataPointIndex, size, ...verdictMark(point.verdict) }]
    })
  const stems = trend.flatMap((t) =>
    t.found && t.left
      ? [
          { x: t.at, y: shown(t.found.value) },
          { x: t.at, y: shown(t.left.value) },
          { x: t.at + 1, y: null },
        ]
      : [],
  )
  const ink = bayToken('--ink')
  const span = trend.length > 0 ? Date.now() - (trend[0]?.at ?? 0) : 1
  return {
    ...overTime(270, 'MMM YY', (trend[0]?.at ?? Date.now()) - span * 0.06, Date.now() + span * 0.03),
    series: [
      {
        name: w.trend.band,
        type: 'rangeArea',
        data: steps.map((s) => ({
          x: s.at,
          // An open side goes on to the edge of the sheet.
          y: [Math.max(least, shown(s.low)), Math.min(most, shown(s.high))],
        })),
      },
      { name: w.trend.target, type: 'line', data: steps.map((s) => ({ x: s.at, y: shown(s.aim) })) },
      { name: '', type: 'line', data: stems },
      { name: w.trend.left, type: 'line', data: at((t) => t.left) },
      { name: w.trend.found, type: 'line', data: at((t) => t.found) },
    ],
    colors: [bayToken('--in'), bayToken('--in'), ink, bayToken('--muted'), 'transparent'],
    fill: { type: 'solid', opacity: [0.12, 1, 1, 1, 1] },
    stroke: { curve: 'straight', width: [0, 2, 1.5, 1.5, 0], dashArray: [0, 6, 0, 2, 0] },
    markers: {
      size: 0,
      strokeWidth: 2,
      hover: { sizeOffset: 1 },
      discrete: [...marks(3, 8, (t) => t.left), ...marks(4, 5, (t) => t.found)],
    },
    yaxis: {
      min: least,
      max: most,
      tickAmount: scale.ticks(TICKS).length - 1,
      labels: {
        style: { fontSize: '13px' },
        formatter: (v) => (v === 0 ? '0' : (v > 0 ? '+' : '−') + String(Number(Math.abs(v).toPrecision(3)))),
      },
    },
  }
})

useChart(host, () => options.value)
</script>

<template>
  <figure class="trend">
    <div ref="host" role="img" :aria-label="w.trend.told(name, trend.length)" />
    <table class="visually-hidden">
      <caption>
        {{
          name
        }}
      </caption>
      <thead>
        <tr>
          <th scope="col">{{ w.trend.day }}</th>
          <th scope="col">{{ w.trend.found }}</th>
          <th scope="col">{{ w.trend.left }}</th>
          <th scope="col">{{ w.trend.target }}</th>
        </tr>
      </thead>
      <tbody>
        <tr v-for="t in trend" :key="t.id">
          <td>{{ dayjs(t.at).format('D MMM YYYY') }}</td>
          <td>{{ t.found ? figure(t.found.value) : '' }}</td>
          <td>{{ t.left ? figure(t.left.value) : '' }}</td>
          <td>{{ figure(t.aim) }}</td>
        </tr>
      </tbody>
    </table>
  </figure>
</template>

<style scoped>
.trend {
  margin: 0;
  min-height: 285px;
}
</style>
