<script setup lang="ts">
import { NO_RULES, STARTING_RULES, type ComeBackRules } from '~~/core/comeBack/rules'
import { COME_BACK_BOXES } from '~~/shared/register/form'
import { comeBackFields } from '~~/shared/comeBack/rules'
import { issuesOf } from '~~/shared/calculation/issues'
import type { Works } from '~~/shared/register/works'

/** The works' rules for coming back, and how they are changed. */
const session = useSession()
const { comeBack } = useWords()
const w = comeBack.rules
const rules = computed(() => session.works?.comeBack ?? NO_RULES)
const starting: Partial<ComeBackRules> = STARTING_RULES
const rows = computed(() =>
  COME_BACK_BOXES.map((id) => {
    const said = rules.value[id]
    const without = starting[id]
    return {
      id,
      name: w[id],
      text: said !== null ? String(said) : without ? w.starting(String(without)) : w.none,
      said: said !== null,
    }
  }),
)
const editing = ref(false)
const texts = ref<Record<string, string>>({})
const faults = ref<Readonly<Record<string, string>>>({})
const { working, message, clear, send } = useSending()
const begin = () => {
  texts.value = Object.fromEntries(
    COME_BACK_BOXES.map((id) => [id, rules.value[id] === null ? '' : String(rules.value[id])]),
  )
  faults.value = {}
  clear()
  editing.value = true
}
const save = async () => {
  const typed = Object.fromEntries(
    COME_BACK_BOXES.map((id) => {
      const text = (texts.value[id] ?? '').trim()
      return [id, text === '' ? null : Number(text.replace(',', '.'))]
    }),
  )
  const read = comeBackFields.safeParse(typed)
  faults.value = read.success ? {} : Object.fromEntries(issuesOf(read.error).map((i) => [i.path, i.message]))
  if (!read.success) return
  const taken = await send(async () => {
    session.works = await askServer<Works>('/api/works/come-back', {
      method: 'PUT',
      body: { ...read.data, version: session.works?.version ?? 1 },
    })
  })
  if (taken) editing.value = false
  // What was typed stays; the next save is against the works as it now stands.
  else await session.meetWorks().catch(() => null)
}
</script>

<template>
  <section class="panel rules" :aria-label="w.title">
    <div class="head">
      <h2 class="title">{{ w.title }}</h2>
      <el-button link class="text-button" @click="begin">{{ w.change }}</el-button>
    </div>
    <dl>
      <div v-for="r in rows" :key="r.id">
        <dt>{{ r.name }}</dt>
        <dd :class="{ figure: r.said, muted: !r.said }">{{ r.text }}</dd>
      </div>
    </dl>
    <el-dialog v-model="editing" :title="w.title" width="min(480px, 94vw)" append-to-body destroy-on-close>
      <form class="form" @submit.prevent="save">
        <p class="muted">{{ w.detail }}</p>
        <NumberBox
          v-for="id in COME_BACK_BOXES"
          :key="id"
          :model-value="texts[id] ?? ''"
          :label="w[id]"
          measure="plain"
          :units="session.units"
          :note="faults[id] ?? ''"
          :note-is-fault="(faults[id] ?? '') !== ''"
          @update:model-value="texts[id] = $event"
        />
        <p v-if="message" class="fault" role="alert">{{ message }}</p>
        <el-button native-type="submit" class="next-button" :loading="working" :disabled="working">{{
          w.save
        }}</el-button>
      </form>
    </el-dialog>
  </section>
</template>

<style scoped>
.rules {
  padding: 10px 14px;
}
/* A link button stays as wide as its words. */
.head .text-button {
  flex: none;
  white-space: nowrap;
}
.head {
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  justify-content: space-between;
}
h2.title {
  flex: 1;
  margin: 0;
  font-size: 17px;
}
dl {
  margin: 4px 0 0;
}
dl > div {
  display: flex;
  justify-content: space-between;
  gap: 12px;
  border-top: 1px solid var(--hairline);
  padding: 5px 0;
  font-size: 14px;
  line-height: 1.3;
}
dd {
  margin: 0;
  text-align: right;
}
.form {
  display: grid;
  gap: 12px;
}
.fault {
  color: var(--out);
}
</style>
