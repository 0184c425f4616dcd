<script setup lang="ts">
import { peopleWords, shellWords } from '~~/shared/wording/en'
import FirstLead from './FirstLead.vue'
import SignInForm from './SignInForm.vue'

/** Nobody is signed in, or the device is locked: who is writing? What was typed stays behind it. */
const session = useSession()
const outbox = useOutbox()
const words = useWords()
const w = peopleWords(words).signIn
const roles = peopleWords(words).roles
const shell = shellWords(words)
const device = computed(() => session.device ?? { current: null, known: [], first: false, note: null })
const picked = ref<string | undefined>(undefined)
const other = ref(false)
/** Whoever was writing comes first. */
const known = computed(() =>
  [...device.value.known].sort(
    (a, b) => Number(b.id === session.authorId) - Number(a.id === session.authorId),
  ),
)
const was = computed(() => known.value.find((p) => p.id === session.authorId) ?? null)
watch(
  was,
  (person) => {
    if (person) picked.value ??= person.name
  },
  { immediate: true },
)
const typing = computed(() => other.value || picked.value === undefined)
const pick = (name: string) => {
  other.value = false
  picked.value = name
}
const demo = computed(() => device.value.note)
/** Asked again now and then: the server may be back, or out of reach. */
const away = ref(false)
const look = async () => {
  away.value = await askServer('/api/health', { seconds: 4 }).then(
    () => false,
    (failure: unknown) => failure instanceof ApiFailure && failure.status === 0,
  )
  if (!away.value && !session.device?.note && !session.device?.first) void session.learn()
}
onMounted(look)
useIntervalFn(look, 5000)
const waiting = computed(() => outbox.waiting.length)
</script>

<template>
  <div class="gate" role="dialog" aria-modal="true" :aria-label="w.title">
    <div class="sheet">
      <header>
        <img src="/mark.svg" alt="" width="34" height="34" />
        <span>{{ shell.product }}</span>
      </header>
      <FirstLead v-if="device.first" />
      <template v-else>
        <h1>{{ was ? w.locked(was.name) : w.who }}</h1>
        <p v-if="was" class="muted">{{ w.lockedNote }}</p>
        <p v-if="waiting">{{ w.waits(shell.connection.waiting(waiting)) }}</p>
        <ul v-if="known.length">
          <li v-for="p in known" :key="p.id">
            <el-button class="person" :aria-pressed="!other && picked === p.name" @click="pick(p.name)">
              <span>{{ p.name }}</span>
              <span class="muted">{{ roles[p.role] }}</span>
            </el-button>
          </li>
          <li>
            <el-button class="person" :aria-pressed="other" @click="other = true">
              <span>{{ w.other }}</span>
            </el-button>
          </li>
        </ul>
        <div v-if="away && session.author" class="away" role="status">
          <p>{{ w.outOfReach }}</p>
          <el-button class="quiet-button" @click="session.goOn()">{{
            w.goOn(session.author.name)
          }}</el-button>
        </div>
        <SignInForm v-else v-bind="typing || picked === undefined ? {} : { name: picked }" />
        <aside v-if="demo" class="demo">
          <p>{{ w.demo(demo.secret) }}</p>
          <p class="names">
            <el-button v-for="name in demo.people" :key="name" class="name" @click="pick(name)">{{
              name
            }}</el-button>
          </p>
          <p v-if="demo.customer">{{ w.demoCustomer(demo.customer.name, demo.customer.secret) }}</p>
        </aside>
      </template>
    </div>
  </div>
</template>

<style scoped>
.gate {
  position: fixed;
  inset: 0;
  z-index: 3000;
  display: grid;
  place-items: start center;
  padding: 6vh 16px 24px;
  overflow-y: auto;
  background: var(--page);
}
.sheet {
  display: grid;
  gap: 16px;
  width: min(440px, 100%);
  padding: 24px;
  background: var(--panel);
  border: 1px solid var(--hairline);
  border-radius: 6px;
}
header {
  display: flex;
  gap: 10px;
  align-items: center;
  color: var(--muted);
}
h1 {
  font-size: 22px;
}
ul {
  display: grid;
  gap: 8px;
  margin: 0;
  padding: 0;
  list-style: none;
}
.person {
  width: 100%;
  min-height: 48px;
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
.away {
  display: grid;
  gap: 12px;
}
.demo {
  display: grid;
  gap: 8px;
  padding-top: 14px;
  border-top: 1px solid var(--hairline);
  font-size: 14px;
}
.names {
  display: flex;
  flex-wrap: wrap;
  gap: 8px;
}
.name {
  min-height: var(--touch);
  margin: 0;
}
</style>
