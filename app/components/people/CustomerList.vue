<script setup lang="ts">
import type { Customer } from '~~/shared/people/customer'
import { peopleWords } from '~~/shared/wording/en'
import CustomerForm from './CustomerForm.vue'

/** Customers with the sites where their machines stand. */
const words = useWords()
const w = peopleWords(words).customers
const { change } = peopleWords(words).admin
const { data, failure, load } = useAnswer<readonly Customer[]>(() => '/api/customers')
const editing = ref(false)
const known = shallowRef<Customer | null>(null)
const edit = (customer: Customer | null) => {
  known.value = customer
  editing.value = true
}
</script>

<template>
  <div class="tools">
    <el-button class="quiet-button" @click="edit(null)">{{ w.add }}</el-button>
  </div>
  <LoadState :waiting="!data" :failure="failure" @again="load">
    <el-empty v-if="data?.length === 0" class="panel" :image-size="1" :description="w.none" />
    <el-table v-else :data="[...(data ?? [])]" class="panel">
      <el-table-column :label="w.name" min-width="180">
        <template #default="{ row }"
          ><strong>{{ row.name }}</strong
          ><template v-if="row.retired || row.namesLeftOut"
            ><br /><span class="muted">{{ row.retired ? w.retired : w.namesLeftOutShort }}</span></template
          ></template
        >
      </el-table-column>
      <el-table-column :label="w.sites" min-width="320">
        <template #default="{ row }">
          <p v-for="s in (row as Customer).sites" :key="s.id">
            {{ s.name }} <span class="figure muted">{{ s.machines.join(', ') }}</span>
          </p>
        </template>
      </el-table-column>
      <el-table-column width="130" align="right">
        <template #default="{ row }">
          <el-button class="quiet-button" :aria-label="w.edit(row.name)" @click="edit(row as Customer)">{{
            change
          }}</el-button>
        </template>
      </el-table-column>
    </el-table>
  </LoadState>
  <CustomerForm v-model="editing" :customer="known" @saved="load" />
</template>

<style scoped>
.tools {
  display: flex;
  justify-content: flex-end;
  margin-bottom: 10px;
}
</style>
