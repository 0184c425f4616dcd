<script setup lang="ts">
import type { Customer } from '~~/shared/people/customer'
import type { PersonInFull } from '~~/shared/people/answers'
import { peopleWords } from '~~/shared/wording/en'
import NewPin from './NewPin.vue'
import PersonForm from './PersonForm.vue'

/** Everybody with their role and how they sign in; added, changed, given a new PIN. */
const session = useSession()
const words = useWords()
const { admin: w, roles } = peopleWords(words)
const { data, failure, load } = useAnswer<readonly PersonInFull[]>(() => '/api/people/in-full')
const { data: customers } = useAnswer<readonly Customer[]>(() => '/api/customers')
const people = computed(() =>
  [...(data.value ?? [])].sort(
    (a, b) => Number(a.retired) - Number(b.retired) || a.name.localeCompare(b.name),
  ),
)
const customerName = (id: string | null) => customers.value?.find((c) => c.id === id)?.name ?? ''
const editing = ref(false)
const pinning = ref(false)
const known = shallowRef<PersonInFull | null>(null)
const edit = (person: PersonInFull | null) => {
  known.value = person
  editing.value = true
}
const pin = (person: PersonInFull) => {
  known.value = person
  pinning.value = true
}
const changed = async () => {
  await Promise.all([load(), session.meetAgain()])
}
</script>

<template>
  <div class="tools">
    <el-button class="quiet-button" @click="edit(null)">{{ w.add }}</el-button>
  </div>
  <LoadState :waiting="!data" :failure="failure" @again="load">
    <el-table :data="people" class="panel" :row-class-name="({ row }) => (row.retired ? 'gone' : '')">
      <el-table-column :label="w.name" min-width="180">
        <template #default="{ row }"
          ><strong>{{ row.name }}</strong
          ><template v-if="row.customer"
            ><br /><span class="muted">{{ customerName(row.customer) }}</span></template
          ></template
        >
      </el-table-column>
      <el-table-column :label="w.role" min-width="280">
        <template #default="{ row }"
          >{{ roles[row.role as PersonInFull['role']] }}<br /><span class="muted may">{{
            w.may[row.role as PersonInFull['role']]
          }}</span></template
        >
      </el-table-column>
      <el-table-column :label="w.state" width="170">
        <template #default="{ row }">{{
          row.retired ? w.retired : w.signsIn[(row as PersonInFull).signsIn]
        }}</template>
      </el-table-column>
      <el-table-column width="230" align="right">
        <template #default="{ row }">
          <span class="acts"
            ><el-button
              v-if="!row.retired"
              class="quiet-button"
              :aria-label="w.newSecretFor(row.name)"
              @click="pin(row as PersonInFull)"
              >{{ w.newSecret }}</el-button
            >
            <el-button
              class="quiet-button"
              :aria-label="w.edit(row.name)"
              @click="edit(row as PersonInFull)"
              >{{ w.change }}</el-button
            ></span
          >
        </template>
      </el-table-column>
    </el-table>
  </LoadState>
  <PersonForm v-model="editing" :person="known" :customers="customers ?? []" @saved="changed" />
  <NewPin v-model="pinning" :person="known" @saved="changed" />
</template>

<style scoped>
.tools {
  display: flex;
  justify-content: flex-end;
  margin-bottom: 10px;
}
.may {
  font-size: 13px;
}
:deep(.gone) {
  color: var(--muted);
}
.acts {
  display: flex;
  gap: 8px;
  justify-content: flex-end;
}
</style>
