<script setup lang="ts">
import { directionsWords, movesWords, tablesWords } from '~~/shared/wording/en'
import { positionAt } from '~~/core/frame/planes'
import type { MoveRecord } from '~~/core/stages/move/moves'
import { movesDriven } from '~~/shared/stages/move/form'
import { figure } from '~~/shared/wording/figures'
import { capital } from '~~/shared/wording/capital'

/** What the last move did: planned, made and measured at each foot, and what explains a gap. */
const props = defineProps<{ move: MoveRecord }>()
const hush = useHush()
const session = useSession()
const telling = useTelling()
const d = (x: number | undefined) =>
  x === undefined ? '–' : figure(x, 'displacement', session.units, { sign: true })
const planes = computed(() => [...(props.move.achieved ?? []), ...props.move.carriedAlong])
const drivenMoved = computed(() => movesDriven(props.move.entry.payload))
/** What the plan would shift the axis by over a foot, whichever machine is moved for it. */
const plannedAt = (id: string, plane: 'v' | 'h') => {
  const { planned, footwork } = props.move
  const x = footwork.moves.find((m) => m.machine === 'movable' && m.id === id)?.x
  const change = planned?.footwork.change
  return change && x !== undefined ? (positionAt(change, x)[plane] ?? undefined) : undefined
}
const words = computed(() => telling.value.words)
const sentence = (plane: 'v' | 'h') => {
  const made = props.move.achieved?.find((a) => a.plane === plane)
  return `${capital(directionsWords(words.value).planes[plane])}: ${made ? movesWords(words.value).causes[made.cause] : movesWords(words.value).carriedAlong}`
}
</script>

<template>
  <div v-if="planes.length && !hush">
    <h3>{{ movesWords(words).view.lastMove }}</h3>
    <template v-for="p in planes" :key="p.plane">
      <FigureTable
        :head="[
          `${directionsWords(words).planes[p.plane]}, ${tablesWords(words).plus[p.plane]}`,
          tablesWords(words).planned,
          tablesWords(words).made,
          tablesWords(words).measured,
        ]"
      >
        <tr v-for="f in p.feet" :key="f.id">
          <td>{{ capital(telling.footNames(f.id)) }}</td>
          <td class="figure">{{ d(plannedAt(f.id, p.plane)) }}</td>
          <td class="figure">{{ d(f.planned) }}</td>
          <td class="figure">{{ d(f.achieved) }}</td>
        </tr>
      </FigureTable>
      <p class="muted">{{ sentence(p.plane) }}</p>
    </template>
    <p v-if="drivenMoved" class="muted">{{ movesWords(words).view.againstDriven }}</p>
    <p v-if="move.strayed.length" class="muted">{{ movesWords(words).strayed }}</p>
  </div>
</template>

<style scoped>
h3 {
  font-size: 16px;
  margin-bottom: 4px;
}
p {
  font-size: 14px;
  margin: 4px 0 8px;
}
</style>
