<script setup lang="ts">
import { sheetWords, shellWords } from '~~/shared/wording/en'
import type { Job, StageId } from '~~/core/jobs/jobs'
import { stageKey } from '~/composables/useKeys'

/** The job's stages in working order, grouped by phase, each with its lozenge and what it found. */
const props = defineProps<{ job: Job; stage: StageId }>()
defineEmits<{ open: [stage: StageId] }>()
const telling = useTelling()
const { kind, machine, practising } = storeToRefs(useJob())
const findings = computed(() => kind.value?.findings(props.job, telling.value) ?? {})
const words = computed(() => sheetWords(telling.value.words))
/** A longer sheet stands closer, so that sixteen stages are seen at once under 800 px. */
const LONG = 11
interface Row {
  readonly id: StageId
  readonly mark: Job['sheet']['rows'][number]['mark']
  readonly at: number
}
const phases = computed(() => {
  const groups: { name: string; rows: Row[] }[] = []
  props.job.sheet.rows.forEach(({ id, mark }, at) => {
    const name = words.value.phases[words.value.stages[id].phase]
    const last = groups[groups.length - 1]
    const group = last?.name === name ? last : { name, rows: [] }
    if (group !== last) groups.push(group)
    group.rows.push({ id, mark, at })
  })
  return groups
})
const about = computed(() =>
  [machine.value?.tag, machine.value?.name, words.value.stages[props.stage].name].join(' '),
)
const told = (row: Row) =>
  shellWords(telling.value.words).stageTold(
    words.value.stages[row.id].name,
    words.value.marks[row.mark],
    findings.value[row.id] ?? '',
  )
</script>

<template>
  <nav
    class="sheet"
    :class="{ long: job.sheet.rows.length > LONG }"
    :aria-label="shellWords(telling.words).stagesOfThisJob"
  >
    <ol v-for="phase in phases" :key="phase.name" :aria-label="phase.name">
      <li class="phase" aria-hidden="true">{{ phase.name }}</li>
      <li v-for="row in phase.rows" :key="row.id" class="row">
        <el-button
          text
          :class="{ here: row.id === stage }"
          :aria-current="row.id === stage ? 'step' : undefined"
          :aria-label="told(row)"
          :title="
            shellWords(telling.words).stageKey(
              findings[row.id] || words.stages[row.id].name,
              stageKey(row.at),
            )
          "
          @click="$emit('open', row.id)"
        >
          <VerdictMark :mark="row.mark" silent />
          <span class="words">
            <span class="name">{{ words.stages[row.id].name }}</span>
            <span class="finding">{{ findings[row.id] }}</span>
          </span>
        </el-button>
      </li>
    </ol>
    <div class="below">
      <SeenFrom />
      <div class="notes">
        <RemarkButton />
        <LazyPictureButton v-if="!practising" :about="about" bare />
      </div>
    </div>
  </nav>
</template>

<style scoped>
.notes {
  display: flex;
  align-items: center;
  justify-content: space-between;
}
@media (max-width: 1100px) {
  .notes {
    flex-direction: column;
    align-items: flex-start;
  }
}
.sheet {
  grid-area: sheet;
  position: relative;
  min-width: 0;
  background: var(--page);
  border-right: 1px solid var(--hairline);
  padding: 8px 0;
  display: flex;
  flex-direction: column;
  overflow-y: auto;
}
ol {
  list-style: none;
  margin: 0;
  padding: 0;
}
.phase {
  padding: 7px 14px 1px;
  font-size: 13px;
  line-height: 16px;
  color: var(--muted);
}
.row .el-button {
  display: flex;
  justify-content: flex-start;
  width: 100%;
  height: auto;
  min-height: 40px;
  margin: 0;
  padding: 2px 10px 2px 13px;
  border: 0;
  border-left: 3px solid transparent;
  border-radius: 0;
  text-align: left;
  white-space: normal;
}
.row .el-button :deep(> span) {
  display: flex;
  align-items: flex-start;
  gap: 10px;
  width: 100%;
  min-width: 0;
}
.row .el-button.here {
  background: var(--panel);
  border-left-color: var(--brass);
}
.row .here .name {
  font-weight: 700;
}
svg {
  margin-top: 2px;
}
.words {
  display: grid;
  min-width: 0;
}
.name {
  font-size: 15px;
  line-height: 19px;
}
.finding {
  font-size: 13px;
  line-height: 16px;
  color: var(--muted);
  overflow: hidden;
  text-overflow: ellipsis;
  white-space: nowrap;
}
.finding:empty {
  display: none;
}
.sheet > .below {
  margin-top: auto;
  padding: 0 14px;
  justify-content: flex-start;
}
@media (pointer: fine) and (min-width: 1101px) {
  .long .phase {
    padding-top: 3px;
    line-height: 14px;
  }
  .long .row .el-button {
    min-height: 34px;
    padding-block: 0;
  }
  .long .name {
    line-height: 18px;
  }
  .long .finding {
    line-height: 14px;
  }
}
@media (pointer: coarse) {
  .row .el-button {
    min-height: 44px;
  }
}
@media (max-width: 1100px) {
  .phase {
    display: none;
  }
  .row .el-button {
    min-height: 50px;
    padding: 4px 2px;
  }
  .row .el-button :deep(> span) {
    flex-direction: column;
    align-items: center;
    gap: 2px;
  }
  .name {
    font-size: 13px;
    line-height: 15px;
    text-align: center;
  }
  .finding {
    display: none;
  }
}
@media (max-width: 640px) {
  .sheet {
    flex-direction: row;
    align-items: stretch;
    border-right: 0;
    border-bottom: 1px solid var(--hairline);
    padding: 0 4px;
    overflow-x: auto;
  }
  ol {
    display: flex;
  }
  .row .el-button {
    width: 62px;
    min-height: 56px;
    border-left: 0;
    border-bottom: 3px solid transparent;
  }
  .row .el-button.here {
    border-bottom-color: var(--brass);
  }
  .sheet > .below {
    display: flex;
    align-items: center;
    margin: 0 0 0 auto;
  }
}
</style>
