<script setup lang="ts">
import type { ApexOptions } from 'apexcharts'
import { scaleLinear } from 'd3-scale'
import dayjs from 'dayjs'
import { beltCourse, repeatOfMean } from '~~/core/history/beltCourse'
import { readingsOf } from '~~/core/register/readingsOf'
import type { BeltFields } from '~~/shared/register/beltMachine'
import { CONVERSIONS, fromCore } from '~~/core/units/unitSystem'
import type { PastJob } from '~~/shared/api/answers'
import { drawCourse } from '~~/shared/drawing/beltCourse'
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
const TICKS = 5
const LONG = 120 * 86_400_000

const options = computed((): ApexOptions | null => {
  if (!course.value) return null
  const shown = (newtons: number) => fromCore(newtons, 'force', session.units)
  const { from, to, curve, bands, leaves, least: lowest, greatest } = drawCourse(course.value, Date.now())
  const { points } = course.value
  const scale = scaleLinear()
    .domain([shown(lowest) * 0.9, shown(greatest) * 1.05])
    .nice(TICKS)
  const [least = 0, most = 1] = scale.domain()
  const ink = bayToken('--ink')
  return {
    ...overTime(250, to - from > LONG ? 'MMM YY' : 'D MMM', from, to),
    series: [
      {
        name: w.value.band,
        type: 'rangeArea',
        data: bands.map((b) => ({ x: b.at, y: [shown(b.low), shown(b.high)] })),
      },
      { name: w.value.forecast, type: 'line', data: curve.map((p) => ({ x: p.at, y: shown(p.tension) })) },
      { name: w.value.read, type: 'line', data: points.map((p) => ({ x: p.at, y: shown(p.tension) })) },
    ],
    colors: [bayToken('--in'), ink, bayToken('--muted')],
    fill: { type: 'solid', opacity: [0.12, 1, 1] },
    stroke: { curve: 'straight', width: [0, 2, 1.5], dashArray: [0, 6, 2] },
    markers: {
      size: 0,
      strokeWidth: 2,
      discrete: points.map((p, dataPointIndex) => ({
        seriesIndex: 2,
        dataPointIndex,
        size: 7,
        ...verdictMark(p.verdict),
      })),
    },
    annotations: {
      xaxis:
        leaves !== null
          ? [
              {
                x: leaves,
                borderColor: bayToken('--out'),
                strokeDashArray: 4,
                label: {
                  text: w.value.leaves,
                  orientation: 'horizontal',
                  textAnchor: 'end',
                  style: { color: bayToken('--out'), background: 'transparent', fontSize: '13px' },
                },
              },
            ]
          : [],
    },
    yaxis: {
      min: least,
      max: most,
      tickAmount: scale.ticks(TICKS).length - 1,
      labels: { style: { fontSize: '13px' }, formatter: (v) => String(Number(v.toPrecision(3))) },
    },
  }
})
useChart(host, () => options.value)
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
