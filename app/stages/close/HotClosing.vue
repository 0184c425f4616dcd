<script setup lang="ts">
import type { CoupledState } from '~~/core/jobs/coupled'
import type { NamedLine } from '~~/shared/drawing/lineBundle'
import { hotAnsweredWords } from '~~/shared/wording/en'
import { meaningOfHotAnswer } from '~~/shared/wording/hotAnswered'

/** What a hot check said, and its lines where nothing else of the job is drawn. */
const props = defineProps<{
  state: Pick<CoupledState, 'hot' | 'feet' | 'tolerance' | 'setUp'>
  answer: NonNullable<CoupledState['hot']['run']['answered']>
  drawn: boolean
}>()
const telling = useTelling()
const meaning = computed(() => meaningOfHotAnswer(props.state, props.answer, telling.value))
const lines = computed((): readonly NamedLine[] => {
  const n = hotAnsweredWords(telling.value.words).lines
  const { cold, hot } = props.state.hot
  return [
    ...(cold ? [{ look: 'before' as const, name: n.cold, line: cold }] : []),
    ...(hot ? [{ look: 'now' as const, name: n.hot, line: hot }] : []),
  ]
})
</script>

<template>
  <div>
    <p><VerdictMark :mark="meaning.mark" on-dye /> {{ meaning.headline }}</p>
    <LineBundle
      v-if="drawn && lines.length && state.setUp"
      :lines="lines"
      :feet="state.setUp.feet"
      :tolerance="state.tolerance"
    />
  </div>
</template>
