<script setup lang="ts">
import type { EntryKind } from '~~/core/logbook/entry'
import { leaveTo, leaveToWrite, type Role } from '~~/core/logbook/may'
import { ACCESS, type RouteName } from '~~/shared/api/access'
import type { Somebody } from '~~/shared/people/answers'
import { peopleWords } from '~~/shared/wording/en'
import { gate, type SecondAsked } from '~/people/gate'
import SecretBox from './SecretBox.vue'

/** Somebody who may do it alone looks at it too, and shows their own PIN. */
const props = defineProps<{ asked: SecondAsked }>()
const session = useSession()
/** The right that a route asks for; null where it is an entry. */
const asks = Object.hasOwn(ACCESS, props.asked.what) ? ACCESS[props.asked.what as RouteName].asks : null
const words = useWords()
const w = peopleWords(words).second
const { working, message, send } = useSending()
const name = ref('')
const nameBox = useTemplateRef<{ focus: () => void }>('nameBox')
const secret = ref('')
const shown = computed({
  get: () => gate.second.value === props.asked,
  set: (on) => !on && props.asked.settle(null),
})
useFirstFocus(shown, () => nameBox.value)
/** Whoever else this device knows is offered first. */
const others = computed(() => {
  const known = session.device?.known ?? []
  const mayStandBy = (role: Role) =>
    asks === null
      ? leaveToWrite(role, props.asked.what as EntryKind) === 'alone'
      : leaveTo(role, asks) === 'alone'
  return [...known, ...session.people.filter((p) => !p.retired && !known.some((k) => k.id === p.id))].filter(
    (p) => p.id !== session.authorId && mayStandBy(p.role),
  )
})
const confirm = async () => {
  const body = { act: props.asked.act, what: props.asked.what, name: name.value, secret: secret.value }
  let second: Somebody | null = null
  const stood = await send(async () => {
    second = await askServer<Somebody>('/api/session/second', { method: 'POST', body })
  })
  secret.value = ''
  if (stood && second) props.asked.settle((second as Somebody).id)
}
</script>

<template>
  <el-dialog v-model="shown" :title="w.title" width="min(440px, 94vw)" append-to-body>
    <form class="second" @submit.prevent="confirm">
      <p>{{ asked.about }}</p>
      <p class="muted">{{ w.note }}</p>
      <label>
        <span>{{ w.name }}</span>
        <el-select ref="nameBox" v-model="name" :aria-label="w.name" filterable>
          <el-option v-for="p in others" :key="p.id" :value="p.name" :label="p.name" />
        </el-select>
      </label>
      <SecretBox v-model="secret" :label="w.secret" />
      <p v-if="message" class="fault" role="alert">{{ message }}</p>
      <el-button
        native-type="submit"
        class="next-button"
        :loading="working"
        :disabled="working || name === '' || secret === ''"
        >{{ w.confirm }}</el-button
      >
    </form>
  </el-dialog>
</template>

<style scoped>
.second {
  display: grid;
  gap: 14px;
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
