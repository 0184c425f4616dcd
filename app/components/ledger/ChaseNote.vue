<script setup lang="ts">
import { movesWords } from '~~/shared/wording/en'
import type { FootedState } from '~~/core/jobs/footed'
import { chaseIn } from '~~/core/stages/measure/chase'

/** Moves that do not help are said, with what upstream was passed over or found wrong. */
const props = defineProps<{ state: FootedState }>()
const hush = useHush()
const telling = useTelling()
const w = computed(() => movesWords(telling.value.words))
const chase = computed(() => chaseIn(props.state))
</script>

<template>
  <div v-if="chase && !hush" class="chase" role="alert">
    <p>
      <strong>{{ w.chase.headline(chase.vain) }}</strong>
    </p>
    <template v-if="chase.upstream.length > 0">
      <p>{{ w.chase.stop }}</p>
      <ul>
        <li v-for="u in chase.upstream" :key="u">{{ w.chase.upstream[u] }}</li>
      </ul>
    </template>
    <p v-else>{{ w.chase.nothing }}</p>
  </div>
</template>

<style scoped>
.chase {
  border-left: 3px solid var(--edge);
  padding-left: 12px;
}
ul {
  margin: 4px 0 0;
  padding-left: 18px;
}
li + li {
  margin-top: 4px;
}
</style>
