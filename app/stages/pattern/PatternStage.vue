<script setup lang="ts">
import type { Run } from '~~/core/gear/contactFigures'
import { actionsWords, gearWords } from '~~/shared/wording/en'
import { offParts } from '~~/shared/wording/gearContact'
import { meaningOfPattern } from '~~/shared/wording/gearPrepare'
import { loadedAhead } from '../ahead'

const JobPhotograph = loadedAhead(() => import('~/components/JobPhotograph.vue'))
const TakePhotographs = loadedAhead(() => import('~/components/TakePhotographs.vue'))

/** The pattern as it is found, photographed and its zone painted on both flanks, before anything is disturbed. */
const behind = useBehind()
const job = useJob()
const session = useSession()
const telling = useTelling()
const goOn = inject(goOnKey, () => {})
const w = computed(() => gearWords(telling.value.words))
const v = computed(() => w.value.view)
const state = computed(() => job.gear!)
const live = computed(() => job.liveGear ?? state.value)
const paint = reactive(usePaint('as-found', () => state.value.contact.asFound))
const locked = computed(() => state.value.closing !== null || state.value.contact.disturbed)
const meaning = computed(() => meaningOfPattern(live.value, telling.value))
/** Held against the register's own zone, where it has one; never against itself. */
const wanted = computed(() =>
  live.value.contact.wanted?.from === 'as-found' ? null : (live.value.contact.wanted?.zones ?? null),
)
const figures = computed(() => (wanted.value ? (live.value.contact.asFound?.figures ?? null) : null))
const off = (run: Run) => {
  const q = figures.value?.quantities.find((x) => x.name === `off.${run}`)
  return q ? offParts(q.value, state.value.machine, telling.value) : null
}
const log = () => {
  if (paint.log()) goOn()
}
</script>

<template>
  <BoardFrame :title="v.asFoundTitle" :note="v.asFoundNote">
    <TwoFlanks
      :zones="paint.read.zones"
      :texts="paint.stands"
      :wanted="wanted"
      :ends="state.machine.gear.ends"
      :off="off"
      :verdicts="figures?.runs ?? null"
      :faults="paint.faults"
      :units="session.units"
      :disabled="locked"
      @zone="paint.drag"
      @type="paint.type"
      @clear="paint.wipe"
      @enter="log"
    />
    <section class="kept">
      <h3>{{ v.photographs }}</h3>
      <div v-if="locked || !behind" class="thumbs">
        <JobPhotograph
          v-for="(id, i) in paint.stands.photographs"
          :id="id"
          :key="id"
          :name="`${v.asFoundTitle} ${i + 1}`"
        />
      </div>
      <TakePhotographs
        v-else
        :ids="paint.stands.photographs"
        :place="v.asFoundTitle"
        @update:ids="paint.change({ photographs: $event })"
      />
      <label v-if="!locked" class="words">
        <span>{{ v.words }}</span>
        <el-input
          :model-value="paint.stands.words"
          :aria-label="v.words"
          maxlength="2000"
          @update:model-value="paint.change({ words: $event })"
          @keydown.enter.prevent="log"
        />
      </label>
      <p v-else-if="paint.stands.words">{{ paint.stands.words }}</p>
    </section>
  </BoardFrame>
  <LedgerFrame :mark="meaning.mark" :headline="meaning.headline" :detail="meaning.detail">
    <p class="muted">{{ w.working.note }}</p>
    <p v-if="!locked" class="caution">{{ w.caution }}</p>
    <template #next>
      <PassOver v-if="!locked && !state.pattern" stage="pattern" :title="v.passPattern" />
      <el-button v-if="!locked && (paint.begun || !state.pattern)" class="next-button" @click="log">{{
        v.logPattern
      }}</el-button>
      <el-button v-else class="next-button" @click="goOn()">{{ actionsWords(telling.words).goOn }}</el-button>
    </template>
  </LedgerFrame>
</template>

<style scoped>
.kept {
  display: grid;
  gap: 10px;
  margin-top: 16px;
  padding-top: 12px;
  border-top: 1px solid var(--dye-line);
}
.kept h3 {
  font-size: 15px;
  font-weight: 400;
}
.thumbs {
  display: flex;
  flex-wrap: wrap;
  gap: 10px;
}
.words span {
  display: block;
  margin-bottom: 5px;
  font-size: 14px;
  color: var(--scribe-dim);
}
</style>
