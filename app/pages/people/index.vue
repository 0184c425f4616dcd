<script setup lang="ts">
import { peopleWords, shellWords } from '~~/shared/wording/en'
import CustomerList from '~/components/people/CustomerList.vue'
import DeedsList from '~/components/people/DeedsList.vue'
import WorksArchive from '~/components/people/WorksArchive.vue'
import PeopleList from '~/components/people/PeopleList.vue'

/** People and what they may, customers with their machines, and who did what: a lead's. */
const session = useSession()
const words = useWords()
const w = peopleWords(words).admin
useHead({ title: shellWords(words).pageTitle(w.title) })
const tab = ref<'people' | 'customers' | 'deeds' | 'works'>('people')
const may = computed(() => session.leave('people') === 'alone')
</script>

<template>
  <div class="page">
    <h1>{{ w.title }}</h1>
    <NoLeave v-if="!may">{{ w.onlyLeads }}</NoLeave>
    <el-tabs v-else v-model="tab">
      <el-tab-pane :label="w.people" name="people" lazy><PeopleList /></el-tab-pane>
      <el-tab-pane :label="w.customers" name="customers" lazy><CustomerList /></el-tab-pane>
      <el-tab-pane :label="w.deeds" name="deeds" lazy><DeedsList /></el-tab-pane>
      <el-tab-pane :label="w.works" name="works" lazy><WorksArchive /></el-tab-pane>
    </el-tabs>
  </div>
</template>

<style scoped>
h1 {
  margin-bottom: 10px;
}
</style>
