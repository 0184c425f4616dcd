<script setup lang="ts">
import { peopleWords, shellWords } from '~~/shared/wording/en'
import { gate } from '~/people/gate'
import { LOCKS_AFTER, useLocksAfter } from '~/people/locksAfter'
import OwnPin from './people/OwnPin.vue'
import SignInForm from './people/SignInForm.vue'

/** Passes the device on to another hand, locks it, signs out. */
const open = defineModel<boolean>({ required: true })
const session = useSession()
const words = useWords()
const w = shellWords(words)
const { menu, signIn, roles } = peopleWords(words)
const picked = ref<string | null>(null)
const other = ref(false)
const changing = ref(false)
const list = useTemplateRef('list')
useOnShown(open, () => {
  picked.value = gate.asksFor.value ? session.personName(gate.asksFor.value) : null
  gate.asksFor.value = null
  other.value = false
  changing.value = false
})
useFirstFocus(open, () =>
  picked.value ? null : list.value?.querySelector<HTMLElement>('[aria-pressed="true"]'),
)
const current = computed(() => session.device?.current ?? null)
/** Those this device knows, and the others of the works. */
const people = computed(() => {
  const known = session.device?.known ?? []
  const others = session.people.filter((p) => !p.retired && !known.some((k) => k.id === p.id))
  return [...known.filter((p) => p.role !== 'customer'), ...others]
})
const choose = (id: string, name: string) => {
  if (id === current.value?.id) {
    open.value = false
    return
  }
  picked.value = name
  other.value = false
}
const after = useLocksAfter()
const locks = computed({ get: () => String(after.value), set: (n) => (after.value = Number(n)) })
const leave = async (how: () => Promise<unknown>) => {
  open.value = false
  await how()
}
</script>

<template>
  <el-dialog v-model="open" :title="w.whoIsWriting" width="min(420px, 94vw)" append-to-body>
    <template v-if="picked !== null || other">
      <SignInForm v-bind="picked === null ? {} : { name: picked }" @done="open = false" />
      <el-button link class="back" @click="((picked = null), (other = false))">{{ signIn.back }}</el-button>
    </template>
    <OwnPin v-else-if="changing" @done="changing = false" />
    <template v-else>
      <ul ref="list">
        <li v-for="p in people" :key="p.id">
          <el-button class="person" :aria-pressed="p.id === current?.id" @click="choose(p.id, p.name)">
            <span>{{ p.name }}</span>
            <span class="muted">{{ roles[p.role] }}</span>
          </el-button>
        </li>
      </ul>
      <div class="more">
        <el-button class="quiet-button" @click="leave(session.lock)">{{ menu.lock }}</el-button>
        <el-button class="quiet-button" @click="leave(() => session.post('/out', {}))">{{
          menu.out
        }}</el-button>
        <el-button class="quiet-button" @click="changing = true">{{ menu.change }}</el-button>
        <el-button class="quiet-button" @click="leave(() => session.post('/out', { everywhere: true }))">{{
          menu.outEverywhere
        }}</el-button>
      </div>
      <ChoiceRow
        v-model="locks"
        :label="menu.locksAfter"
        show-label
        :options="LOCKS_AFTER.map((n) => ({ value: String(n), name: menu.minutes(n) }))"
      />
      <p class="places">
        <NuxtLink v-if="session.may('people')" to="/people" @click="open = false">{{ menu.people }}</NuxtLink>
        <NuxtLink to="/device" @click="open = false">{{ menu.device }}</NuxtLink>
      </p>
    </template>
  </el-dialog>
</template>

<style scoped>
ul {
  display: grid;
  gap: 8px;
  max-height: 44vh;
  margin: 0;
  padding: 2px;
  overflow-y: auto;
  list-style: none;
}
.person {
  width: 100%;
  min-height: var(--touch);
}
.person :deep(> span) {
  display: flex;
  justify-content: space-between;
  gap: 12px;
  width: 100%;
}
.person[aria-pressed='true'] {
  border-color: var(--ink);
  font-weight: 600;
}
.more {
  display: grid;
  grid-template-columns: 1fr 1fr;
  gap: 8px;
  margin: 18px 0 12px;
  padding-top: 16px;
  border-top: 1px solid var(--hairline);
}
.more .el-button {
  margin: 0;
}
.places {
  display: flex;
  gap: 20px;
  margin-top: 8px;
}
.places a {
  display: inline-flex;
  align-items: center;
  min-height: var(--touch);
}
.back {
  min-height: var(--touch);
  margin-top: 6px;
}
</style>
