<script setup lang="ts">
import { closingWords } from '~~/shared/wording/en'
import { customerStands, NOBODY_SIGNED, type CustomerDraft } from '~~/shared/stages/close/customer'
import { loadedAhead } from '../ahead'

const CustomerHand = loadedAhead(() => import('./CustomerHand.vue'))
const SignOnGlass = loadedAhead(() => import('./SignOnGlass.vue'))

/** The customer reads how it was left, on the tablet that is handed over, and signs on its glass. */
const props = defineProps<{ over: readonly string[]; title: string }>()
const draft = defineModel<CustomerDraft>({ required: true })
const w = closingWords(useWords()).customer
const shown = ref(false)
const later = useLater(shown)
const tried = ref(false)
const box = useTemplateRef<{ focus: () => void }>('box')
useFirstFocus(shown, () => box.value)
const stands = computed(() => customerStands(draft.value, props.over))
const change = (part: Partial<CustomerDraft>) => {
  draft.value = { ...draft.value, ...part }
}
const open = () => {
  tried.value = false
  // Signed anew: the name is theirs still, the hand is asked for again, and nothing is signed until they are done.
  if (stands.value !== 'open') change({ strokes: [], over: [] })
  shown.value = true
}
const done = () => {
  tried.value = true
  if (draft.value.name.trim() === '') {
    box.value?.focus()
    return
  }
  change({ over: props.over })
  shown.value = false
}
const takeOut = () => {
  draft.value = NOBODY_SIGNED
}
</script>

<template>
  <div class="customer">
    <CustomerHand v-if="stands !== 'open'" :signed="draft" :class="{ stale: stands === 'stale' }" />
    <p v-if="stands === 'stale'" class="caution" role="alert">{{ w.stale }}</p>
    <div class="acts">
      <el-button class="quiet-button" @click="open">{{ stands === 'open' ? w.ask : w.again }}</el-button>
      <el-button v-if="stands !== 'open'" link class="text-button" @click="takeOut">{{
        w.takeOut
      }}</el-button>
    </div>
  </div>
  <LazyElDialog
    v-if="later"
    v-model="shown"
    :title="title"
    width="min(720px, 96vw)"
    append-to-body
    destroy-on-close
  >
    <form class="sheet" @submit.prevent="done">
      <p v-for="line in over" :key="line">{{ line }}</p>
      <FormField :name="w.name" :fault="tried && draft.name.trim() === '' ? w.noName : undefined">
        <el-input
          ref="box"
          :model-value="draft.name"
          :aria-label="w.name"
          maxlength="120"
          autocomplete="off"
          @update:model-value="change({ name: $event })"
        />
      </FormField>
      <div>
        <div class="over-glass">
          <span>{{ w.sign }}</span>
          <el-button
            link
            class="text-button"
            :disabled="draft.strokes.length === 0"
            @click="change({ strokes: [] })"
            >{{ w.clear }}</el-button
          >
        </div>
        <SignOnGlass :model-value="draft.strokes" @update:model-value="change({ strokes: $event })" />
        <p class="muted">{{ w.orPen }}</p>
      </div>
      <el-button native-type="submit" class="next-button">{{ w.done }}</el-button>
    </form>
  </LazyElDialog>
</template>

<style scoped>
.customer {
  display: grid;
  gap: 6px;
}
.acts {
  display: flex;
  gap: 12px;
  align-items: center;
}
.stale {
  opacity: 0.5;
}
.sheet {
  display: grid;
  gap: 12px;
}
.over-glass {
  display: flex;
  justify-content: space-between;
  align-items: center;
  font-size: 14px;
}
</style>
