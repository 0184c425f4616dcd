<script setup lang="ts">
import type { MachineSummary } from '~~/shared/api/answers'
import type { Customer } from '~~/shared/people/customer'
import { peopleWords } from '~~/shared/wording/en'
import { newId } from '~/device/newId'

/** A customer added or changed: its sites, and which machines stand there. */
const props = defineProps<{ customer: Customer | null }>()
const emit = defineEmits<{ saved: [] }>()
const shown = defineModel<boolean>({ required: true })
const words = useWords()
const w = peopleWords(words).customers
const { working, message, refused, clear, send } = useSending()
const { data: machines } = useAnswer<readonly MachineSummary[]>(() => '/api/machines')
interface Site {
  id: string
  name: string
  machines: string[]
}
const id = ref('')
const name = ref('')
const namesLeftOut = ref(false)
const retired = ref(false)
const sites = ref<Site[]>([])
const box = useTemplateRef<{ focus: () => void }>('box')
useFirstFocus(shown, () => box.value)
const fresh = (): Site => ({ id: newId(), name: '', machines: [] })
useOnShown(shown, () => {
  clear()
  const { customer } = props
  id.value = customer?.id ?? newId()
  name.value = customer?.name ?? ''
  namesLeftOut.value = customer?.namesLeftOut ?? false
  retired.value = customer?.retired ?? false
  sites.value = customer?.sites.map((s) => ({ ...s, machines: [...s.machines] })) ?? [fresh()]
})
const save = async () => {
  const body = {
    name: name.value.trim(),
    namesLeftOut: namesLeftOut.value,
    retired: retired.value,
    sites: sites.value,
  }
  const { customer } = props
  const sent = await send(() =>
    customer
      ? askServer(`/api/customers/${customer.id}`, {
          method: 'PUT',
          body: { ...body, version: customer.version },
        })
      : askServer('/api/customers', { method: 'POST', body: { id: id.value, ...body } }),
  )
  if (!sent) return
  shown.value = false
  emit('saved')
}
const faultOf = (n: number) =>
  Object.entries(refused.value).find(([path]) => path.startsWith(`sites.${n}.`))?.[1] ?? ''
</script>

<template>
  <el-dialog
    v-model="shown"
    :title="customer ? w.edit(customer.name) : w.add"
    width="min(560px, 94vw)"
    append-to-body
  >
    <form class="form" @submit.prevent="save">
      <label>
        <span>{{ w.name }}</span>
        <el-input ref="box" v-model="name" maxlength="80" />
      </label>
      <p v-if="refused.name" class="fault" role="alert">{{ refused.name }}</p>
      <el-checkbox v-model="namesLeftOut">{{ w.namesLeftOut }}</el-checkbox>
      <fieldset v-for="(site, n) in sites" :key="site.id">
        <legend>{{ w.site }} {{ n + 1 }}</legend>
        <label>
          <span>{{ w.siteName }}</span>
          <el-input v-model="site.name" :aria-label="`${w.siteName} ${n + 1}`" maxlength="80" />
        </label>
        <label>
          <span>{{ w.machines }}</span>
          <el-select v-model="site.machines" :aria-label="`${w.machines} ${n + 1}`" multiple filterable>
            <el-option
              v-for="m in machines ?? []"
              :key="m.tag"
              :value="m.tag"
              :label="`${m.tag} ${m.name}`"
            />
          </el-select>
        </label>
        <p v-if="faultOf(n)" class="fault" role="alert">{{ faultOf(n) }}</p>
        <el-button link class="drop" @click="sites.splice(n, 1)">{{ w.dropSite }}</el-button>
      </fieldset>
      <el-button class="quiet-button" @click="sites.push(fresh())">{{ w.addSite }}</el-button>
      <el-checkbox v-if="customer" v-model="retired">{{ w.retire }}</el-checkbox>
      <p v-if="message && Object.keys(refused).length === 0" class="fault" role="alert">{{ message }}</p>
      <el-button native-type="submit" class="next-button" :loading="working" :disabled="working">{{
        w.save
      }}</el-button>
    </form>
  </el-dialog>
</template>

<style scoped>
.form {
  display: grid;
  gap: 12px;
}
fieldset {
  display: grid;
  gap: 10px;
  margin: 0;
  padding: 10px 14px 4px;
  border: 1px solid var(--hairline);
  border-radius: 4px;
}
label > span {
  display: block;
  margin-bottom: 4px;
  font-size: 14px;
}
.form :deep(.el-tag) {
  --el-tag-text-color: var(--ink);
  height: auto;
  font-size: 14px;
}
.drop {
  justify-self: start;
  min-height: var(--touch);
}
.fault {
  color: var(--out);
}
</style>
