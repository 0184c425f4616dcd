<script setup lang="ts">
import { comeBackWords } from '~~/shared/wording/en'
import dayjs from 'dayjs'
import type { FeedAnswer, NewFeedAnswer } from '~~/shared/api/answers'
import { newId } from '~/device/newId'

/** Calendars to subscribe to: made with a secret address that is shown once, ended for good. */
const session = useSession()
const words = useWords()
const comeBack = comeBackWords(words)
const w = comeBack.feeds
const { data, failure, load } = useAnswer<readonly FeedAnswer[]>(() => '/api/feeds')
const WORKS = 'works'
const making = ref(false)
const whose = ref<string>(WORKS)
const id = ref('')
const made = shallowRef<NewFeedAnswer | null>(null)
const said = ref('')
const { working, message, clear, send } = useSending()
const address = computed(() => (made.value ? `${location.origin}${made.value.address}` : ''))
const tag = useTag(address)
/** One's own is everybody's to make; that of the works, or of somebody else, takes who plans. */
const whoMay = computed(() =>
  session.people.filter((p) => !p.retired && (session.may('schedule') || p.id === session.authorId)),
)
const begin = () => {
  id.value = newId()
  whose.value = session.may('schedule') ? WORKS : session.authorId
  made.value = null
  clear()
  said.value = ''
  making.value = true
}
const done = async (work: () => Promise<unknown>) => {
  await send(work)
  await load()
}
const make = () =>
  done(async () => {
    made.value = await askServer<NewFeedAnswer>('/api/feeds', {
      method: 'POST',
      body: { id: id.value, person: whose.value === WORKS ? null : whose.value },
    })
  })
const end = (feed: FeedAnswer) =>
  done(() => askServer(`/api/feeds/${feed.id}`, { method: 'PUT', body: { revoked: true } }))
const copy = async () => {
  try {
    await navigator.clipboard.writeText(address.value)
    said.value = w.copied
  } catch {
    // Over plain http a page may not reach the clipboard.
    said.value = w.copyByHand
  }
}
const day = (at: string) => dayjs(at).format('D MMM YYYY')
const rows = computed(() =>
  (data.value ?? []).map((f) => ({
    feed: f,
    name: f.personName === null ? w.ofWorks : w.of(f.personName),
    state: f.revokedAt
      ? w.ended(day(f.revokedAt))
      : `${w.made(day(f.madeAt))}, ${f.readAt ? w.read(dayjs(f.readAt).format('D MMM, HH:mm')) : w.neverRead}`,
  })),
)
</script>

<template>
  <SidePanel :name="w.title">
    <template #act>
      <el-button link class="text-button" @click="begin">{{ w.make }}</el-button>
    </template>
    <p v-if="failure" class="fault" role="alert">{{ failure.message }}</p>
    <p v-if="message && !making" class="fault" role="alert">{{ message }}</p>
    <p v-if="data && rows.length === 0" class="muted">{{ w.none }}</p>
    <ul>
      <li v-for="r in rows" :key="r.feed.id">
        <span>{{ r.name }}</span>
        <el-button
          v-if="!r.feed.revokedAt && (session.may('schedule') || r.feed.person === session.authorId)"
          link
          class="text-button"
          :disabled="working"
          @click="end(r.feed)"
          >{{ w.end }}</el-button
        >
        <span class="muted">{{ r.state }}</span>
      </li>
    </ul>
    <el-dialog v-model="making" :title="w.makeTitle" width="min(460px, 94vw)" append-to-body destroy-on-close>
      <div v-if="!made" class="form">
        <p class="muted">{{ w.detail }}</p>
        <FormField :name="w.whose">
          <el-select v-model="whose" :aria-label="w.whose">
            <el-option v-if="session.may('schedule')" :value="WORKS" :label="w.works" />
            <el-option v-for="p in whoMay" :key="p.id" :value="p.id" :label="p.name" />
          </el-select>
        </FormField>
        <p v-if="message" class="fault" role="alert">{{ message }}</p>
        <el-button class="next-button" :loading="working" :disabled="working" @click="make">{{
          w.makeIt
        }}</el-button>
      </div>
      <div v-else class="form">
        <p>{{ w.once }}</p>
        <img :src="tag" :alt="w.tag(address)" width="240" height="240" />
        <p class="address figure">{{ address }}</p>
        <el-button class="next-button" @click="copy">{{ w.copy }}</el-button>
        <p v-if="said" role="status">{{ said }}</p>
      </div>
    </el-dialog>
  </SidePanel>
</template>

<style scoped>
ul {
  list-style: none;
  margin: 4px 0 0;
  padding: 0;
}
li {
  display: grid;
  grid-template-columns: 1fr auto;
  align-items: center;
  border-top: 1px solid var(--hairline);
  padding: 4px 0;
  font-size: 14px;
}
li .muted {
  grid-column: 1 / -1;
}
.form {
  display: grid;
  gap: 12px;
}
img {
  justify-self: center;
  background: #fff;
}
.address {
  overflow-wrap: anywhere;
  user-select: all;
  font-size: 14px;
}
.fault {
  color: var(--out);
}
</style>
