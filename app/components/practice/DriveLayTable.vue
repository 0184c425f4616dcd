<script setup lang="ts">
import type { SheaveErrors } from '~~/core/belt/sheaveLine'
import type { DriveTruth } from '~~/core/practice/drive/driveTruth'
import { practiceReviewWords } from '~~/shared/wording/en/practiceReview'
import { degrees, gapFigure } from '~~/shared/wording/figures'
import { forceFigure } from '~~/shared/wording/forces'

/** Offset, turn, tilt and tension of a drive as it really stood, beside what was told of them. */
const props = defineProps<{ truth: DriveTruth; told: SheaveErrors | null }>()
const telling = useTelling()
const w = computed(() => practiceReviewWords(telling.value.words).review)
/** Away from the faces that look away from the motor is in. */
const lines = (e: SheaveErrors) => ({
  offset: w.value.ways.offset(gapFigure(Math.abs(e.offset), telling.value, true), e.offset > 0),
  turn: w.value.ways.turn(degrees(Math.abs(e.turn)), e.turn > 0),
  tilt: e.tilt === null ? w.value.unread : w.value.ways.tilt(degrees(Math.abs(e.tilt)), e.tilt > 0),
})
const rows = computed(() => {
  const { line, tensions } = props.truth
  const q = w.value.quantities
  const really = lines(line)
  const told = props.told && lines(props.told)
  return [
    ...(['offset', 'turn', 'tilt'] as const).map((name) => ({
      name: q[name],
      really: really[name],
      told: told?.[name] ?? '',
    })),
    {
      name: q.tension,
      really: tensions
        ? tensions.map((t) => forceFigure(t, telling.value.units)).join(', ')
        : w.value.noBelts,
      told: '',
    },
  ]
})
</script>

<template>
  <table>
    <thead>
      <tr>
        <th></th>
        <th>{{ w.quantities.really }}</th>
        <th v-if="told">{{ w.quantities.told }}</th>
      </tr>
    </thead>
    <tbody>
      <tr v-for="r in rows" :key="r.name">
        <th scope="row">{{ r.name }}</th>
        <td class="figure">{{ r.really }}</td>
        <td v-if="told" class="figure">{{ r.told }}</td>
      </tr>
    </tbody>
  </table>
</template>

<style scoped>
table {
  width: 100%;
  border-collapse: collapse;
  font-size: 15px;
  margin: 8px 0;
}
th,
td {
  padding: 5px 8px 5px 0;
  text-align: left;
  font-weight: 400;
  border-bottom: 1px solid color-mix(in srgb, currentColor 25%, transparent);
}
</style>
