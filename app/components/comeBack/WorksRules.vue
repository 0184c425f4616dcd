<script setup lang="ts">
import { NO_RULES, RULE_NAMES, STARTING_RULES, type ComeBackRules } from '~~/core/comeBack/rules'
import { readRules, textsOfRules, type RuleTexts } from '~~/shared/comeBack/rulesForm'
import type { Works } from '~~/shared/register/works'

/** The works' rules for coming back, and how they are changed. */
const session = useSession()
const words = useWords()
const w = words.comeBack.rules
const rules = computed(() => session.works?.comeBack ?? NO_RULES)
const starting: Partial<ComeBackRules> = STARTING_RULES
const rows = computed(() =>
  RULE_NAMES.map((id) => {
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
const texts = ref<RuleTexts>(textsOfRules())
const faults = ref<Readonly<Record<string, string>>>({})
const { working, message, clear, send } = useSending()
const begin = () => {
  texts.value = textsOfRules(rules.value)
  faults.value = {}
  clear()
  editing.value = true
}
const save = async () => {
  const read = readRules(texts.value, words)
  faults.value = read.faults
  if (!read.rules) return
  const taken = await send(async () => {
    session.works = await askServer<Works>('/api/works/come-back', {
      method: 'PUT',
      body: { ...read.rules, version: session.works?.version ?? 1 },
    })
  })
  if (taken) editing.value = false
  // What was typed stays; the next save is against the works as it now stands.
  else await session.meetWorks().catch(() => null)
}
</script>

<template>
  <SidePanel :name="w.title">
    <template #act>
      <el-button link class="text-button" @click="begin">{{ w.change }}</el-button>
    </template>
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
          v-for="id in RULE_NAMES"
          :key="id"
          :model-value="texts[id]"
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
  </SidePanel>
</template>

<style scoped>
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
