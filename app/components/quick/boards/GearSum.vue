<script setup lang="ts">
import { RUNS, type Run } from '~~/core/gear/contactFigures'
import { typedValue } from '~~/shared/forms/typed'
import { endOf, gearFollows, percentOf, zoneOf, type GearAnswered } from '~~/shared/quick/gearSum'
import { gearWords } from '~~/shared/wording/en'
import { percentFigure } from '~~/shared/wording/gearContact'

/** The blued contact dragged on both flanks, in percent of the face width; what it says beside it. */
const props = defineProps<{ id: string; result: unknown }>()
const session = useSession()
const words = useWords()
const w = gearWords(words)
const { form, text, set } = useSumBoard()
const PATH = { forward: 'forward', back: 'reverse' } as const
const ENDS = { from: 0, to: 1 } as const
const ends = { from: w.sum.ends.from, to: w.sum.ends.to }
const number = (path: string) => typedValue(text(path), 'plain', session.units)
const zone = (path: string) => zoneOf([number(`${path}/0`), number(`${path}/1`)])
/** What can't be read stays as it was typed. */
const shown = (path: string) => {
  const value = number(path)
  return value === null ? text(path) : percentFigure(percentOf(value)).replace('−', '-')
}
const texts = (path: string) => ({ from: shown(`${path}/0`), to: shown(`${path}/1`) })
const type = (path: string, end: 'from' | 'to', typed: string) => {
  const value = typedValue(typed.replace(/%\s*$/, ''), 'plain', session.units)
  set(`${path}/${ENDS[end]}`, value === null || typed.trim() === '' ? typed : String(endOf(value)))
}
const drag = (path: string, [a, b]: readonly [number, number]) => {
  set(`${path}/0`, String(endOf(a)))
  set(`${path}/1`, String(endOf(b)))
}
const wipe = (path: string) => {
  set(`${path}/0`, '')
  set(`${path}/1`, '')
}
const follows = computed(() => (props.result ? gearFollows(props.result as GearAnswered) : null))
const faults = computed(() =>
  Object.fromEntries(
    RUNS.flatMap((run) => [
      [`${run}.from`, form.issue(`${PATH[run]}/0`)] as const,
      [`${run}.to`, form.issue(`${PATH[run]}/1`) || form.issue(PATH[run])] as const,
    ]).filter(([, issue]) => issue !== ''),
  ),
)
const off = (run: Run) => {
  const x = follows.value?.off[run]
  return x === undefined
    ? null
    : {
        figure: percentFigure(Math.abs(x)),
        words: w.toward('%', x < 0 ? ends.from : ends.to),
      }
}
const rows = computed(() =>
  (follows.value?.rows ?? []).map((r) => ({
    ...r,
    value: percentFigure(Math.abs(r.value)),
    limit: '',
    does: r.verdict === 'out' ? w.sum.does[r.figure] : '',
    now: r.verdict === 'out',
  })),
)
</script>

<template>
  <div class="gear-sum">
    <TwoFlanks
      :zones="{ forward: zone(PATH.forward), back: zone(PATH.back) }"
      :texts="{ forward: texts(PATH.forward), back: texts(PATH.back) }"
      :wanted="{ forward: zone('wanted'), back: zone('wanted') }"
      :ends="ends"
      :off="off"
      :verdicts="follows?.runs ?? null"
      :faults="faults"
      :units="session.units"
      @zone="(run, painted) => drag(PATH[run], painted)"
      @type="(run, end, typed) => type(PATH[run], end, typed)"
      @clear="(run) => wipe(PATH[run])"
    />
    <div class="below">
      <div class="wanted">
        <NumberBox
          v-for="end in ['from', 'to'] as const"
          :key="end"
          :model-value="shown(`wanted/${ENDS[end]}`)"
          :label="w.sum.wanted[end]"
          measure="plain"
          :units="session.units"
          on-dye
          :note="form.issue(`wanted/${ENDS[end]}`)"
          :note-is-fault="form.issue(`wanted/${ENDS[end]}`) !== ''"
          @update:model-value="type('wanted', end, $event)"
        />
      </div>
      <RunsTold v-if="rows.length" :rows="rows" />
    </div>
  </div>
</template>

<style scoped>
.below {
  display: grid;
  grid-template-columns: repeat(auto-fit, minmax(280px, 1fr));
  gap: 12px 26px;
  color: var(--scribe);
}
.below {
  margin-top: 12px;
}
.wanted {
  display: grid;
  grid-template-columns: 1fr 1fr;
  gap: 12px;
  align-content: start;
}
</style>
