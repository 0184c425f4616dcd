<script setup lang="ts">
import type { ApexOptions } from 'apexcharts'
import { scaleLinear } from 'd3-scale'
import dayjs from 'dayjs'
import { beltCourse, forecastAt, repeatOfMean } from '~~/core/history/beltCourse'
import { readingsOf } from '~~/core/register/readingsOf'
import type { BeltFields } from '~~/shared/register/beltMachine'
import type { VerdictOrUnknown } from '~~/core/judge/judge'
import { CONVERSIONS, fromCore } from '~~/core/units/unitSystem'
import type { PastJob } from '~~/shared/api/answers'
import { courseWords } from '~~/shared/wording/beltCourse'
import { beltCourseWords } from '~~/shared/wording/en'
import { forceFigure } from '~~/shared/wording/forces'

/** Tension of a set over the visits, its band, and how it goes on from its last tensioning. */
const props = defineProps<{ jobs: readonly PastJob[]; belts: BeltFields['belts'] }>()
const session = useSession()
const telling = useTelling()
const w = computed(() => beltCourseWords(telling.value.words))
const course = computed(() => beltCourse(props.jobs, repeatOfMean(readingsOf(props))))
const says = computed(() => (course.value ? courseWords(course.value, telling.value) : []))
const unit = computed(() => CONVERSIONS[session.units].force.unit)
const host = useTemplateRef<HTMLElement>('host')
let chart: { updateOptions: (o: ApexOptions) => unknown; destroy: () => void } | null = null

const token = (name: string) => getComputedStyle(document.documentElement).getPropertyValue(name).trim()
const toneOf = (verdict: VerdictOrUnknown) =>
  token(verdict === 'in' ? '--in' : verdict === 'edge' ? '--edge' : verdict === 'out' ? '--out' : '--muted')
const DAY = 86_400_000
const STEPS = 40
const TICKS = 5

const options = computed((): ApexOptions => {
  // The tokens change with the light of the bay.
  void session.bay
  const shown = (newtons: number) => fromCore(newtons, 'force', session.units)
  const points = course.value?.points ?? []
  const forecast = course.value?.forecast ?? null
  const first = points[0]?.at ?? Date.now()
  const last = points[points.length - 1]?.at ?? first
  const span = Math.max(DAY, last - first)
  const ends = Math.max(Date.now(), last + span * 0.15, Math.min(forecast?.leavesAt ?? 0, last + span))
  const curve =
    forecast && (forecast.found.known || forecast.found.belowNow)
      ? Array.from({ length: STEPS + 1 }, (_, i) => {
          const x = forecast.from + ((ends - forecast.from) * i) / STEPS
          return { x: Math.round(x), y: shown(forecastAt(forecast, x)) }
        })
      : []
  const bands = points.flatMap((p, i) => {
    if (p.low === null || p.high === null) return []
    const y = [shown(p.low), shown(p.high)]
    return [
      { x: p.at, y },
      { x: Math.max(p.at, (points[i + 1]?.at ?? ends) - 1), y },
    ]
  })
  const all = [...points.flatMap((p) => [p.tension, p.low ?? p.tension, p.high ?? p.tension])].map(shown)
  const scale = scaleLinear()
    .domain([Math.min(...all) * 0.9, Math.max(...all) * 1.05])
    .nice(TICKS)
  const [least = 0, most = 1] = scale.domain()
  const ink = token('--ink')
  return {
    chart: {
      type: 'line',
      height: 250,
      fontFamily: token('--figures'),
      foreColor: token('--muted'),
      background: 'transparent',
      toolbar: { show: false },
      zoom: { enabled: false },
      animations: { enabled: false },
    },
    series: [
      { name: w.value.band, type: 'rangeArea', data: bands },
      { name: w.value.forecast, type: 'line', data: curve },
      { name: w.value.read, type: 'line', data: points.map((p) => ({ x: p.at, y: shown(p.tension) })) },
    ],
    colors: [token('--in'), ink, token('--muted')],
    fill: { type: 'solid', opacity: [0.12, 1, 1] },
    stroke: { curve: 'straight', width: [0, 2, 1.5], dashArray: [0, 6, 2] },
    markers: {
      size: 0,
      strokeWidth: 2,
      discrete: points.map((p, dataPointIndex) => ({
        seriesIndex: 2,
        dataPointIndex,
        fillColor: p.verdict === 'out' ? token('--panel') : toneOf(p.verdict),
        strokeColor: toneOf(p.verdict),
        size: 7,
        shape: 'diamond' as const,
      })),
    },
    annotations: {
      xaxis:
        forecast?.leavesAt && forecast.found.known && forecast.leavesAt <= ends
          ? [
              {
                x: forecast.leavesAt,
                borderColor: token('--out'),
                strokeDashArray: 4,
                label: {
                  text: w.value.leaves,
                  orientation: 'horizontal',
                  style: { color: token('--out'), background: 'transparent', fontSize: '13px' },
                },
              },
            ]
          : [],
    },
    legend: { show: false },
    grid: { borderColor: token('--hairline'), padding: { left: 6, right: 14 } },
    tooltip: { enabled: false },
    xaxis: {
      type: 'datetime',
      min: first - span * 0.05,
      max: ends + span * 0.03,
      labels: {
        formatter: (_, t) => dayjs(t ?? 0).format(span > 120 * DAY ? 'MMM YY' : 'D MMM'),
        style: { fontSize: '13px' },
        rotate: 0,
      },
      tickAmount: 4,
      axisTicks: { show: false },
    },
    yaxis: {
      min: least,
      max: most,
      tickAmount: scale.ticks(TICKS).length - 1,
      labels: { style: { fontSize: '13px' }, formatter: (v) => String(Number(v.toPrecision(3))) },
    },
  }
})
const draw = async () => {
  if (!course.value) return
  const { default: Apex } = await import('apexcharts')
  if (!host.value) return
  const drawn = new Apex(host.value, options.value)
  await drawn.render()
  chart = drawn
}
onMounted(draw)
watch(options, (now) => (chart ? chart.updateOptions(now) : void draw()))
onBeforeUnmount(() => chart?.destroy())
</script>

<template>
  <section class="panel course" :aria-label="w.title(unit)">
    <h2>{{ w.title(unit) }}</h2>
    <template v-if="course">
      <figure>
        <div ref="host" role="img" :aria-label="w.told(course.points.length)" />
        <table class="visually-hidden">
          <caption>
            {{
              w.title(unit)
            }}
          </caption>
          <thead>
            <tr>
              <th scope="col">{{ w.day }}</th>
              <th scope="col">{{ w.read }}</th>
              <th scope="col">{{ w.band }}</th>
            </tr>
          </thead>
          <tbody>
            <tr v-for="p in course.points" :key="p.at">
              <td>{{ dayjs(p.at).format('D MMM YYYY, HH:mm') }}</td>
              <td>{{ forceFigure(p.tension, session.units, true) }}</td>
              <td>
                {{
                  p.low === null || p.high === null
                    ? ''
                    : `${forceFigure(p.low, session.units)}–${forceFigure(p.high, session.units)}`
                }}
              </td>
            </tr>
          </tbody>
        </table>
      </figure>
      <p v-for="(line, i) in says" :key="line" :class="{ muted: i > 0 }">{{ line }}</p>
    </template>
    <p v-else class="muted">{{ w.none }}</p>
  </section>
</template>

<style scoped>
.course {
  padding: 14px 16px;
  min-width: 0;
}
h2 {
  margin: 0;
  font-size: 17px;
}
figure {
  margin: 0;
  min-height: 265px;
}
</style>
