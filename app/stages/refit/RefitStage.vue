<script setup lang="ts">
import { PINS_AT_REFIT, type PinsAtRefit } from '~~/core/stages/refit/entries'
import { actionsWords, gearPrepareWords } from '~~/shared/wording/en'
import { layersLines, meaningOfRefit } from '~~/shared/wording/gearPrepare'

/** Everything back in on its own marked layers; the pins stay out until the contact is right. */
const job = useJob()
const telling = useTelling()
const goOn = inject(goOnKey, () => {})
const p = computed(() => gearPrepareWords(telling.value.words))
const w = computed(() => p.value.refit)
const state = computed(() => job.gear!)
const closed = computed(() => state.value.closing !== null)
const meaning = computed(() => meaningOfRefit(state.value, telling.value))
const { draft: form, clear } = useDraft('refit', () => ({
  pins: 'left-out' as PinsAtRefit,
  bearings: 'new' as 'new' | 'same',
  words: '',
}))
const again = ref(false)
const asks = computed(() => !closed.value && (state.value.refit === null || again.value))
const notes = computed(() =>
  (['covers', 'seals', 'waiting'] as const).flatMap((id) => {
    const said = state.value.machine.gear.notes[id]
    return said ? [{ name: w.value[id], said }] : []
  }),
)
const log = () => {
  const { pins, bearings, words } = form.value
  if (!job.log({ kind: 'gear-refitted', payload: { pins, bearings, words: words.trim() } })) return
  clear()
  goOn()
}
</script>

<template>
  <BoardFrame :title="w.title" :note="w.note">
    <StepList :name="w.todo" :steps="w.steps" />
    <section class="lies">
      <h3>{{ p.layers.title }}</h3>
      <p v-for="line in layersLines(state, telling)" :key="line">{{ line }}</p>
    </section>
    <section v-if="notes.length" class="lies">
      <h3>{{ w.site }}</h3>
      <dl>
        <template v-for="n in notes" :key="n.name">
          <dt>{{ n.name }}</dt>
          <dd>{{ n.said }}</dd>
        </template>
      </dl>
    </section>
    <form v-if="asks" class="asked" @submit.prevent="log">
      <ChoiceRow
        v-model="form.pins"
        :label="w.asked.pins"
        show-label
        on-dye
        :options="PINS_AT_REFIT.map((value) => ({ value, name: w.pins[value] }))"
      />
      <ChoiceRow
        v-model="form.bearings"
        :label="w.asked.bearings"
        show-label
        on-dye
        :options="(['new', 'same'] as const).map((value) => ({ value, name: w.bearings[value] }))"
      />
      <label class="words">
        <span>{{ w.asked.words }}</span>
        <el-input
          v-model="form.words"
          :aria-label="w.asked.words"
          maxlength="2000"
          @keydown.enter.prevent="log"
        />
      </label>
    </form>
  </BoardFrame>
  <LedgerFrame :mark="meaning.mark" :headline="meaning.headline" :detail="meaning.detail">
    <p class="caution">{{ p.tighten.caution }}</p>
    <template #next>
      <template v-if="asks">
        <PassOver v-if="!state.refit" stage="refit" :title="w.passOver" />
        <el-button class="next-button" @click="log">{{ w.log }}</el-button>
      </template>
      <template v-else>
        <el-button v-if="!closed" link class="text-button" @click="again = true">{{ w.again }}</el-button>
        <el-button class="next-button" @click="goOn()">{{ actionsWords(telling.words).goOn }}</el-button>
      </template>
    </template>
  </LedgerFrame>
</template>

<style scoped>
.lies,
.asked {
  margin-top: 16px;
  padding-top: 12px;
  border-top: 1px solid var(--dye-line);
}
.lies h3 {
  font-size: 16px;
  color: #fff;
}
dl {
  display: grid;
  grid-template-columns: 90px 1fr;
  gap: 4px 12px;
  margin: 6px 0 0;
}
dt {
  color: var(--scribe-dim);
}
dd {
  margin: 0;
}
.asked {
  display: flex;
  flex-wrap: wrap;
  gap: 12px 18px;
  align-items: end;
}
.words {
  flex: 1 1 240px;
}
.words span {
  display: block;
  margin-bottom: 5px;
  font-size: 14px;
  color: var(--scribe-dim);
}
</style>
