<script setup lang="ts">
import { shellWords } from '~~/shared/wording/en'
import { flipSign } from '~~/core/units/typedNumber'

const { target, close } = useKeypad()
const w = shellWords(useWords()).keypad
const KEYS = ['7', '8', '9', '4', '5', '6', '1', '2', '3', '.', '0', '/'] as const

/** The first key after opening replaces what stood there, as typing over a selection would. */
const fresh = ref(true)
watch(target, () => (fresh.value = true))

const press = (key: string) => {
  const t = target.value
  if (!t) return
  t.set((fresh.value ? '' : t.text()) + key)
  fresh.value = false
}
const back = () => {
  target.value?.set(target.value.text().slice(0, -1))
  fresh.value = false
}
const flip = () => {
  target.value?.set(flipSign(target.value.text()))
  fresh.value = false
}
const next = () => {
  const t = target.value
  close()
  t?.done()
}
</script>

<template>
  <section v-if="target" class="keypad" :aria-label="w.name" @pointerdown.prevent>
    <p class="what">
      {{ target.label }} <strong class="figure">{{ target.text() || ' ' }}</strong> {{ target.unit }}
      <span class="understood">{{ target.understood() }}</span>
    </p>
    <div class="keys figure">
      <button v-for="key in KEYS" :key="key" type="button" @click="press(key)">{{ key }}</button>
    </div>
    <div class="side figure">
      <button type="button" :disabled="!target.signed" :aria-label="w.sign" @click="flip">+/−</button>
      <button type="button" :aria-label="w.plus" @click="press('+')">+</button>
      <button type="button" :aria-label="w.space" @click="press(' ')">␣</button>
      <button type="button" :aria-label="w.back" @click="back">⌫</button>
    </div>
    <div class="ends">
      <button type="button" class="go" @click="next">{{ w.next }}</button>
      <button type="button" @click="close">{{ w.close }}</button>
    </div>
  </section>
</template>

<style scoped>
.keypad {
  position: fixed;
  inset: auto 0 0 0;
  z-index: 40;
  display: grid;
  grid-template-columns: 3fr 1fr 1fr;
  gap: 8px;
  padding: 10px 16px 16px;
  background: var(--panel);
  border-top: 2px solid var(--ink);
}
.what {
  grid-column: 1 / -1;
  font-size: 16px;
}
.what strong {
  font-size: 24px;
  margin: 0 6px;
}
.understood {
  color: var(--muted);
}
.keys {
  display: grid;
  grid-template-columns: repeat(3, 1fr);
  gap: 8px;
}
.side,
.ends {
  display: grid;
  gap: 8px;
}
button {
  min-height: 54px;
  border: 1px solid var(--field-line);
  border-radius: 4px;
  background: var(--sunk);
  font-size: 22px;
}
.ends button {
  font-size: 18px;
}
.go {
  background: var(--brass-press);
  color: var(--on-brass);
  font-weight: 700;
}
</style>
