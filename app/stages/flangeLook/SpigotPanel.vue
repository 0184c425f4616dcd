<script setup lang="ts">
import { flangeWords, lookWords } from '~~/shared/wording/en'
import { SPIGOT_FITS } from '~~/core/register/flangeMachine'
import { readSpigot } from '~~/shared/stages/flangeLook/form'
import { spigotWords } from '~~/shared/wording/flange'

/** How the motor sits in its register: whether it goes sideways, and how far from stop to stop. */
const look = useSharedLook()
const job = useJob()
const session = useSession()
const telling = useTelling()
const goOn = inject(goOnKey, () => {})
const w = computed(() => flangeWords(telling.value.words).spigot)
const state = computed(() => job.flange!)
const read = computed(() => readSpigot(look.form.spigot, telling.value))
const log = () => {
  const { payload } = read.value
  if (look.closed || !payload) return
  if (job.log({ kind: 'spigot-felt', payload })) look.form.spigot = { fit: '', play: '', words: '' }
}
const headline = computed(() => spigotWords(state.value.spigot, telling.value))
</script>

<template>
  <BoardFrame :title="w.title" :note="headline">
    <slot name="tools" />
    <svg viewBox="0 0 420 190" class="section" aria-hidden="true">
      <path class="body" d="M110 20h200v66h60v22H50V86h60z" />
      <path class="body spigot" d="M128 108h164v26H128z" />
      <path class="frame" d="M50 112h72v24h176v-24h72v50H50z" />
      <path
        v-if="look.form.spigot.fit === 'loose'"
        class="play"
        d="M122 124h6M292 124h6M104 148h34M282 148h34"
      />
      <path class="axis" d="M210 8V182" />
    </svg>
    <p class="asked">{{ w.asked }}</p>
    <div class="row">
      <ChoiceRow
        :model-value="look.form.spigot.fit"
        :label="w.ask"
        show-label
        on-dye
        :disabled="look.closed"
        :options="SPIGOT_FITS.map((value) => ({ value, name: w.fit[value] }))"
        @update:model-value="look.form.spigot.fit = $event as 'tight'"
      />
      <NumberBox
        v-if="look.form.spigot.fit === 'loose'"
        v-model="look.form.spigot.play"
        :label="w.play"
        measure="displacement"
        :units="session.units"
        on-dye
        :disabled="look.closed"
        :note="read.fault || w.noPlay"
        :note-is-fault="read.fault !== ''"
        @enter="log"
      />
      <label class="words"
        ><span>{{ w.words }}</span>
        <el-input
          v-model="look.form.spigot.words"
          :aria-label="w.words"
          maxlength="2000"
          :disabled="look.closed"
          @keydown.enter.prevent="log"
        />
      </label>
    </div>
  </BoardFrame>
  <LedgerFrame :mark="state.spigot.from === 'job' ? 'done' : 'todo'" :headline="headline">
    <template #next>
      <el-button v-if="read.payload && !look.closed" class="next-button" @click="log">{{ w.log }}</el-button>
      <el-button v-else class="next-button" @click="goOn()">{{
        lookWords(telling.words).view.goOn
      }}</el-button>
    </template>
  </LedgerFrame>
</template>

<style scoped>
.section {
  display: block;
  width: min(420px, 100%);
  margin: 8px auto;
}
.body {
  fill: #24296a;
  stroke: #fff;
  stroke-width: 1.6;
}
.frame {
  fill: var(--dye-deep);
  stroke: var(--scribe-dim);
}
.play {
  stroke: var(--brass-on-dye);
  stroke-width: 4;
}
.axis {
  stroke: var(--scribe-dim);
  stroke-dasharray: 12 5 3 5;
}
.asked {
  max-width: 62ch;
  color: var(--scribe);
}
.row {
  display: flex;
  flex-wrap: wrap;
  gap: 12px 20px;
  align-items: start;
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
.words :deep(.el-input__wrapper) {
  min-height: var(--touch);
}
</style>
