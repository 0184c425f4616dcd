<script setup lang="ts">
import { ROLES, type Role } from '~~/core/logbook/may'
import type { Customer } from '~~/shared/people/customer'
import type { PersonInFull } from '~~/shared/people/answers'
import { peopleWords } from '~~/shared/wording/en'
import { newId } from '~/device/newId'
import { oncePin } from '~/people/oncePin'
import PinTold from './PinTold.vue'

/** Somebody added or changed. */
const props = defineProps<{ person: PersonInFull | null; customers: readonly Customer[] }>()
const emit = defineEmits<{ saved: [] }>()
const shown = defineModel<boolean>({ required: true })
const words = useWords()
const { admin: w, roles } = peopleWords(words)
const { working, message, refused, clear, send } = useSending()
const id = ref('')
const name = ref('')
const role = ref<Role>('millwright')
const customer = ref('')
const retired = ref(false)
const secret = ref('')
/** Told once they are there: their PIN is nowhere else. */
const given = ref('')
const box = useTemplateRef<{ focus: () => void }>('box')
useFirstFocus(shown, () => box.value)
useOnShown(shown, () => {
  clear()
  given.value = ''
  id.value = props.person?.id ?? newId()
  name.value = props.person?.name ?? ''
  role.value = props.person?.role ?? 'millwright'
  customer.value = props.person?.customer ?? ''
  retired.value = props.person?.retired ?? false
  secret.value = oncePin(role.value)
})
watch(role, (now) => (secret.value = oncePin(now)))
const save = async () => {
  const fields = {
    name: name.value.trim(),
    role: role.value,
    customer: role.value === 'customer' && customer.value !== '' ? customer.value : null,
  }
  const { person } = props
  const sent = person
    ? await send(() =>
        askServer(`/api/people/${person.id}`, {
          method: 'PUT',
          body: { ...fields, retired: retired.value, version: person.version },
        }),
      )
    : await send(() =>
        askServer('/api/people', { method: 'POST', body: { id: id.value, ...fields, secret: secret.value } }),
      )
  if (!sent) return
  emit('saved')
  if (person) shown.value = false
  else given.value = secret.value
}
</script>

<template>
  <el-dialog
    v-model="shown"
    :title="person ? w.edit(person.name) : w.add"
    width="min(480px, 94vw)"
    append-to-body
  >
    <PinTold v-if="given" :pin="given" @told="shown = false" />
    <form v-else class="form" @submit.prevent="save">
      <label>
        <span>{{ w.name }}</span>
        <el-input ref="box" v-model="name" maxlength="80" />
      </label>
      <p v-if="refused.name" class="fault" role="alert">{{ refused.name }}</p>
      <label>
        <span>{{ w.role }}</span>
        <el-select v-model="role" :aria-label="w.role">
          <el-option v-for="r in ROLES" :key="r" :value="r" :label="roles[r]" />
        </el-select>
      </label>
      <p class="muted">{{ w.may[role] }}</p>
      <p v-if="refused.role" class="fault" role="alert">{{ refused.role }}</p>
      <label v-if="role === 'customer'">
        <span>{{ w.customer }}</span>
        <el-select v-model="customer" :aria-label="w.customer">
          <el-option v-for="c in customers" :key="c.id" :value="c.id" :label="c.name" />
        </el-select>
      </label>
      <p v-if="refused.customer" class="fault" role="alert">{{ refused.customer }}</p>
      <el-checkbox v-if="person" v-model="retired">{{ w.letInNoMore }}</el-checkbox>
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
label > span {
  display: block;
  margin-bottom: 4px;
  font-size: 14px;
}
.muted {
  font-size: 14px;
}
.fault {
  color: var(--out);
}
</style>
