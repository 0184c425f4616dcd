<script setup lang="ts">
import { comeBackWords } from '~~/shared/wording/en'
import { NO_RULES, RULE_NAMES, STARTING_RULES, type ComeBackRules } from '~~/core/comeBack/rules'

/** The works' rules for coming back, and how they are changed. */
const session = useSession()
const words = useWords()
const w = comeBackWords(words).rules
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
const later = useLater(editing)
</script>

<template>
  <SidePanel :name="w.title">
    <template #act>
      <el-button v-if="session.may('limits')" link class="text-button" @click="editing = true">{{
        w.change
      }}</el-button>
    </template>
    <dl>
      <div v-for="r in rows" :key="r.id">
        <dt>{{ r.name }}</dt>
        <dd :class="{ figure: r.said, muted: !r.said }">{{ r.text }}</dd>
      </div>
    </dl>
    <LazyRulesForm v-if="later" v-model="editing" />
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
</style>
