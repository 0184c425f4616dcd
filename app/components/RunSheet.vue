<script setup lang="ts">
import { STAGES, type StageId } from '~~/core/logbook/entry'
import type { JobState } from '~~/core/logbook/foldJob'
import { MARK_NAMES, STAGE_NAMES } from '~~/shared/wording/names'
import { findingOf } from '~~/shared/wording/progress'

defineProps<{ state: JobState; stage: StageId }>()
defineEmits<{ open: [stage: StageId] }>()
const session = useSession()
</script>

<template>
  <nav class="sheet" aria-label="Stages of this job">
    <ol>
      <li v-for="(s, i) in STAGES" :key="s">
        <button
          type="button"
          :class="{ here: s === stage }"
          :aria-current="s === stage ? 'step' : undefined"
          :aria-label="`${STAGE_NAMES[s]}, ${MARK_NAMES[state.stages[s].mark]}. ${findingOf(state, s, session.units)}`"
          :title="`${STAGE_NAMES[s]} (g ${i + 1})`"
          @click="$emit('open', s)"
        >
          <VerdictMark :mark="state.stages[s].mark" silent />
          <span class="words">
            <span class="name">{{ STAGE_NAMES[s] }}</span>
            <span class="finding">{{ findingOf(state, s, session.units) }}</span>
          </span>
        </button>
      </li>
    </ol>
    <RemarkButton />
  </nav>
</template>

<style scoped>
.sheet {
  grid-area: sheet;
  background: var(--page);
  border-right: 1px solid var(--hairline);
  padding: 14px 0;
  display: flex;
  flex-direction: column;
  justify-content: space-between;
  overflow-y: auto;
}
ol {
  list-style: none;
  margin: 0;
  padding: 0;
}
button {
  display: flex;
  align-items: flex-start;
  gap: 10px;
  width: 100%;
  min-height: 50px;
  padding: 6px 12px 6px 14px;
  border: 0;
  border-left: 3px solid transparent;
  background: none;
  text-align: left;
  cursor: pointer;
}
button:hover {
  background: var(--sunk);
}
button.here {
  background: var(--panel);
  border-left-color: var(--brass);
}
button.here .name {
  font-weight: 700;
}
svg {
  margin-top: 4px;
}
.words {
  display: grid;
  min-width: 0;
}
.name {
  font-size: 16px;
}
.finding {
  font-size: 14px;
  line-height: 1.3;
  color: var(--muted);
}
@media (max-width: 1100px) {
  button {
    flex-direction: column;
    align-items: center;
    gap: 2px;
    padding: 8px 2px;
    text-align: center;
  }
  svg {
    margin: 0;
  }
  .name {
    font-size: 13px;
  }
  .finding {
    display: none;
  }
}
</style>
