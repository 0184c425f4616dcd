<script setup lang="ts">
import { roughInWords, tablesWords, verdictsWords } from '~~/shared/wording/en'
import type { RoughIn } from '~~/core/stages/roughIn/roughIn'
import { feltWords, roughLimitWords } from '~~/shared/wording/roughIn'

/** What straightedge and feelers found first and last, where they are all that its maker asks. */
const props = defineProps<{ roughIn: RoughIn }>()
const telling = useTelling()
const t = computed(() => tablesWords(telling.value.words))
const rough = computed(() => {
  const { readings, latest } = props.roughIn
  const first = readings.find((r) => r !== null)
  if (!latest || !first) return []
  const words = roughInWords(telling.value.words).view
  return (['v', 'h'] as const).flatMap((p) =>
    (['steps', 'openings'] as const).map((what) => {
      const kind = what === 'steps' ? 'step' : 'opening'
      return {
        name: what === 'steps' ? words.stepRow[p] : words.faceRow[p],
        before: feltWords(first[what][p], kind, p, telling.value),
        now: feltWords(latest[what][p], kind, p, telling.value),
        verdict: latest[what][p].verdict,
      }
    }),
  )
})
const roughLimit = computed(() =>
  props.roughIn.latest ? roughLimitWords(props.roughIn.latest, telling.value) : '',
)
</script>

<template>
  <div>
    <p>{{ roughInWords(telling.words).report.proved }}</p>
    <FigureTable on-dye :head="[roughLimit, t.asFound, t.asLeft, '']">
      <tr v-for="r in rough" :key="r.name">
        <td>{{ r.name }}</td>
        <td class="figure">{{ r.before }}</td>
        <td class="figure">{{ r.now }}</td>
        <td>
          <template v-if="r.verdict"
            ><VerdictMark :mark="r.verdict" on-dye /> {{ verdictsWords(telling.words)[r.verdict] }}</template
          >
        </td>
      </tr>
    </FigureTable>
  </div>
</template>
