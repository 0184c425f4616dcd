<script setup lang="ts">
import { actionsWords } from '~~/shared/wording/en'
import type { WorkingStep } from '~~/shared/working/step'

/** Every number of this stage, unfolded to its formula with this job's numbers in it; worked out once it is opened. */
const props = defineProps<{ steps: () => readonly WorkingStep[] | Promise<readonly WorkingStep[]> }>()
const words = useWords()
const w = actionsWords(words)
const open = ref<string[]>([])
const shown = shallowRef<readonly WorkingStep[]>([])
watchEffect(async () => {
  shown.value = open.value.length > 0 ? await props.steps() : []
})
</script>

<template>
  <el-collapse v-model="open" class="working">
    <el-collapse-item :title="w.showWorking" name="all">
      <el-collapse>
        <el-collapse-item v-for="step in shown" :key="step.name" :name="step.name">
          <template #title>
            <span class="title">
              <span class="name">{{ step.name }}</span> <span class="figure">{{ step.result }}</span>
            </span>
          </template>
          <p class="figure formula">{{ step.formula }}</p>
          <p class="figure">{{ step.substituted }}</p>
          <p v-if="step.note" class="muted">{{ step.note }}</p>
        </el-collapse-item>
      </el-collapse>
    </el-collapse-item>
  </el-collapse>
</template>

<style scoped>
.working {
  --el-collapse-header-height: auto;
  --el-collapse-header-font-size: 15px;
}
.working :deep(.el-collapse-item__header) {
  min-height: var(--touch);
  line-height: 1.3;
  gap: 8px;
}
.title {
  display: flex;
  gap: 10px;
  justify-content: space-between;
  align-items: baseline;
}
.title .figure {
  white-space: nowrap;
}
.name {
  text-align: left;
}
p {
  font-size: 14px;
  line-height: 1.5;
  margin-bottom: 6px;
  overflow-wrap: anywhere;
}
.formula {
  color: var(--muted);
}
</style>
