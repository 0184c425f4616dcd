<script setup lang="ts">
import { machineNames } from '~~/shared/wording/machineNames'
import { actionsWords, lookWords, placesWords } from '~~/shared/wording/en'
import PinsDone from './PinsDone.vue'
import PipeDial from './PipeDial.vue'
import { FOUND, type Place } from '~~/core/stages/look/entries'
import { readPipe, readPlace } from '~~/shared/stages/look/form'
import { pipeWorking } from '~~/shared/stages/look/working'
import { meaningOfLooks, pipeWords } from '~~/shared/wording/look'
import { loadedAhead } from '../ahead'

const JobPhotograph = loadedAhead(() => import('~/components/JobPhotograph.vue'))
const TakePhotographs = loadedAhead(() => import('~/components/TakePhotographs.vue'))

/** One page of places: each fine, put right or to report, with words and photographs. */
const behind = useBehind()
const look = useSharedLook()
const job = useJob()
const telling = useTelling()
const goOn = inject(goOnKey, () => {})
const w = computed(() => lookWords(telling.value.words))
const v = computed(() => w.value.view)

const looks = computed(() => look.state.looks)
const chosen = computed(() => look.form.place)
const name = computed(() => placesWords(telling.value.words)[chosen.value].name)
const names = computed(() => machineNames(look.state))
const read = computed(() => readPlace(look.form, telling.value))
const pipe = computed(() => readPipe(look.form, telling.value))
const asked = ref(false)
watch(chosen, () => {
  asked.value = false
})
const shown = computed(() =>
  look.looksWith(
    pipe.value.payload && chosen.value === 'pipe' ? { kind: 'pipe-read', payload: pipe.value.payload } : null,
  ),
)
const meaning = computed(() => meaningOfLooks(shown.value, telling.value))
const entry = computed(() => looks.value.facts.looked.get(chosen.value) ?? null)
const before = computed(() =>
  entry.value
    ? v.value.before(
        [w.value.found[entry.value.payload.found], entry.value.payload.words].filter(Boolean).join(': '),
      )
    : '',
)
const others = computed(() => looks.value.unseen.filter((p) => !look.form.places[p]?.found))
const typed = computed(() => read.value.payload !== null || read.value.asks !== '')

const words = useTemplateRef<{ focus: () => void }>('words')
const choose = (place: Place) => {
  look.form.place = place
}
/** To the next place nobody looked at, or that is still half typed. */
const next = () => {
  const rest = look.places
  const at = rest.indexOf(chosen.value)
  const after = [...rest.slice(at + 1), ...rest.slice(0, at)].find((p) => looks.value.unseen.includes(p))
  if (after) choose(after)
}
const logPlace = () => {
  if (look.closed) return
  const { payload } = read.value
  if (!payload) {
    asked.value = true
    words.value?.focus()
    return
  }
  if (!job.log({ kind: 'place-looked', payload })) return
  look.form.places[chosen.value] = undefined
  next()
}
const allElseFine = () => {
  const places = others.value
  if (places.length === 0) return
  job.log({ kind: 'place-looked', payload: { places, found: 'fine', words: '', photographs: [] } })
}
const skipping = ref(false)
const skip = (why: string) => {
  if (job.log({ kind: 'stage-skipped', payload: { stage: 'look', why } })) goOn()
}
const rows = computed(() =>
  looks.value.places.flatMap(({ place, entry: e }) =>
    e && e.payload.found !== 'fine'
      ? [
          {
            place,
            words: w.value.row(
              placesWords(telling.value.words)[place].name,
              w.value.found[e.payload.found],
              e.payload.words,
            ),
          },
        ]
      : [],
  ),
)
const working = () => (shown.value.pipe ? pipeWorking(shown.value.pipe, telling.value) : [])
</script>

<template>
  <BoardFrame :title="v.title" :note="look.state.machine.drive === 'gear' ? '' : v.note">
    <slot name="tools" />
    <div class="round" :class="{ alone: look.state.machine.drive === 'gear' }">
      <PlacesMap
        v-if="look.state.machine.drive !== 'gear'"
        class="map"
        :places="looks.places.map((p) => ({ place: p.place, found: p.entry?.payload.found ?? null }))"
        :chosen="chosen"
        :stationary-name="names.stationary"
        :movable-name="names.movable"
        @choose="choose"
      />
      <PlacesList
        v-model="look.form.place"
        class="two"
        :label="v.place"
        :places="
          looks.places.map(({ place, entry: e }) => ({
            place,
            name: placesWords(telling.words)[place].name,
            found: e?.payload.found ?? null,
            state: e ? w.found[e.payload.found] : v.unseen,
          }))
        "
      />
    </div>
    <section class="here" :aria-label="name">
      <h3>{{ name }}</h3>
      <p class="look">{{ placesWords(telling.words)[chosen].look }}</p>
      <p v-if="before" class="quiet">{{ before }}</p>
      <div v-if="entry?.payload.photographs.length" class="thumbs">
        <JobPhotograph
          v-for="(id, i) in entry.payload.photographs"
          :id="id"
          :key="id"
          :name="v.photograph(i + 1, name)"
        />
      </div>
      <template v-if="!look.closed">
        <div class="line">
          <ChoiceRow
            :model-value="look.place.found"
            :label="v.foundHere"
            show-label
            on-dye
            :options="FOUND.map((value) => ({ value, name: w.found[value] }))"
            @update:model-value="look.write({ found: $event as 'fine' })"
          />
          <label class="words"
            ><span>{{ v.words }}</span>
            <el-input
              ref="words"
              :model-value="look.place.words"
              :placeholder="v.wordsHint"
              :aria-label="v.words"
              maxlength="2000"
              @update:model-value="look.write({ words: $event })"
              @keydown.enter.prevent="logPlace"
            />
          </label>
        </div>
        <p v-if="asked && read.asks" class="fault" role="alert">{{ read.asks }}</p>
        <TakePhotographs
          v-if="behind"
          :key="chosen"
          :ids="look.place.photographs"
          :place="name"
          @update:ids="look.write({ photographs: $event })"
        />
        <PinsDone v-if="chosen === 'pins' || chosen === 'gear-pins'" />
      </template>
      <PipeDial v-if="chosen === 'pipe'" />
      <p v-if="chosen === 'feet' || chosen === 'pads'" class="caution">{{ v.lifting }}</p>
    </section>
  </BoardFrame>
  <LedgerFrame :mark="meaning.mark" :headline="meaning.headline" :detail="meaning.detail">
    <ul v-if="rows.length > 0" class="rows">
      <li v-for="r in rows" :key="r.place">{{ r.words }}</li>
    </ul>
    <p v-if="looks.facts.pins && !looks.pinsOut">{{ v.pinsAre(w.pins[looks.facts.pins.payload.did]) }}</p>
    <p v-if="shown.pipe && shown.pipe.verdict !== 'out'">{{ pipeWords(shown.pipe, telling) }}</p>
    <el-button v-if="!look.closed && others.length > 0 && typed" class="quiet-button" @click="allElseFine">{{
      v.allElseFine(others.length)
    }}</el-button>
    <el-button
      v-if="!look.closed && looks.unseen.length > 0"
      link
      class="text-button"
      @click="skipping = true"
      >{{ v.passOver }}</el-button
    >
    <ShowWorking v-if="shown.pipe" :steps="working" />
    <WhyDialog
      v-model="skipping"
      :title="v.passOver"
      :question="actionsWords(telling.words).why"
      :action="actionsWords(telling.words).passOver"
      @say="skip"
    />
    <template #next>
      <el-button
        v-if="look.closed || (looks.unseen.length === 0 && !typed)"
        class="next-button"
        @click="goOn()"
        >{{ v.goOn }}</el-button
      >
      <el-button v-else-if="typed || others.length === 0" class="next-button" @click="logPlace">{{
        v.logPlace(name.toLowerCase())
      }}</el-button>
      <el-button v-else class="next-button" @click="allElseFine">{{
        v.allElseFine(others.length)
      }}</el-button>
    </template>
  </LedgerFrame>
</template>

<style scoped>
.round {
  display: grid;
  grid-template-columns: minmax(200px, 270px) minmax(0, 1fr);
  gap: 18px;
}
.alone {
  grid-template-columns: 1fr;
}
.two {
  grid-template-columns: repeat(2, minmax(0, 1fr));
}
.here {
  display: grid;
  gap: 8px;
  margin-top: 12px;
  padding-top: 10px;
  border-top: 1px solid var(--dye-line);
}
.here h3 {
  font-size: 18px;
  color: #fff;
}
.look,
.quiet {
  color: var(--scribe);
  font-size: 15px;
}
.quiet {
  color: var(--scribe-dim);
}
.line {
  display: flex;
  flex-wrap: wrap;
  gap: 10px 16px;
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
.words :deep(.el-input__wrapper) {
  min-height: var(--touch);
}
.thumbs {
  display: flex;
  flex-wrap: wrap;
  gap: 10px;
}
.rows {
  padding-left: 18px;
}
.fault {
  color: var(--out-on-dye);
}
@media (max-width: 640px) {
  .round {
    grid-template-columns: 1fr;
  }
  .map {
    display: none;
  }
}
</style>
