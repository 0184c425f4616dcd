<script setup lang="ts">
import { shellWords } from '~~/shared/wording/en'

/** The views behind one button, where there is no room for them side by side. */
defineProps<{ views: readonly { readonly to: string; readonly name: string }[]; here: string }>()
const words = useWords()
const w = shellWords(words)
</script>

<template>
  <el-dropdown trigger="click">
    <el-button link class="text-button" :aria-label="w.main">{{ here }}</el-button>
    <template #dropdown>
      <el-dropdown-menu>
        <el-dropdown-item v-for="v in views" :key="v.to" @click="navigateTo(v.to)">{{
          v.name
        }}</el-dropdown-item>
      </el-dropdown-menu>
    </template>
  </el-dropdown>
</template>
