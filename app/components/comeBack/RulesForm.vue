<script setup lang="ts">
import { comeBackWords } from '~~/shared/wording/en'
import { NO_RULES, RULE_NAMES } from '~~/core/comeBack/rules'
import { readRules, textsOfRules, type RuleTexts } from '~~/shared/comeBack/rulesForm'
import type { Works } from '~~/shared/register/works'

/** Changes the works' rules for coming back. */
const shown = defineModel<boolean>({ required: true })
const session = useSession()
const words = useWords()
const w = comeBackWords(words).rules
const texts = ref<RuleTexts>(textsOfRules())
const faults = ref<Readonly<Record<string, string>>>({})
const { working, message, clear, send } = useSending()
useOnShown(shown, () => {
  texts.value = textsOfRules(session.works?.comeBack ?? NO_RULES)
  faults.value = {}
  clear()
})
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
  if (taken) shown.value = false
  // What was typed stays; the next save is against the works as it now stands.
  else await session.meetWorks().catch(() => null)
}
</script>

<template>
  <el-dialog v-model="shown" :title="w.title" width="min(480px, 94vw)" append-to-body destroy-on-close>
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
</template>

<style scoped>
.form {
  display: grid;
  gap: 12px;
}
.fault {
  color: var(--out);
}
</style>
