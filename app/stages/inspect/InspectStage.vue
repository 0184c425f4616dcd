<script setup lang="ts">
import type { SheavePlace } from '~~/core/register/beltMachine'
import { DRIVE_PLACES, type DrivePlace } from '~~/core/stages/inspect/entries'
import { opensUp } from '~~/core/stages/slackOff/stage'
import { FOUND } from '~~/core/stages/look/entries'
import {
  BLANK_PLACE,
  blankInspection,
  readDrivePlace,
  type InspectTexts,
  type PlaceTexts,
} from '~~/shared/stages/inspect/form'
import { meaningOfInspection } from '~~/shared/wording/drive'
import { actionsWords, beltsWords, inspectWords, sheaveSettingWords } from '~~/shared/wording/en'
import { loadedAhead } from '../ahead'

const SheaveSetting = loadedAhead(() => import('./SheaveSetting.vue'))
const JobPhotograph = loadedAhead(() => import('~/components/JobPhotograph.vue'))
const TakePhotographs = loadedAhead(() => import('~/components/TakePhotographs.vue'))

/** Grooves, bushings, belts, shafts and base looked over while the belts are loose. */
const behind = useBehind()
const job = useJob()
const telling = useTelling()
const goOn = inject(goOnKey, () => {})
const w = computed(() => inspectWords(telling.value.words))
const v = computed(() => w.value.view)
const s = computed(() => sheaveSettingWords(telling.value.words))
const state = computed(() => job.belt!)
const closed = computed(() => state.value.closing !== null)
const inspection = computed(() => state.value.inspection)
const meaning = computed(() => meaningOfInspection(inspection.value, telling.value))
const { draft: form } = useDraft<InspectTexts>('inspect', blankInspection)
const chosen = computed(() => form.value.place)
const typed = computed(() => form.value.places[chosen.value] ?? BLANK_PLACE)
const write = (change: Partial<PlaceTexts>) => {
  form.value.places[chosen.value] = { ...typed.value, ...change }
}
const read = computed(() => readDrivePlace(form.value, telling.value))
const begun = computed(() => read.value.payload !== null || read.value.asks !== '')
const entry = computed(() => inspection.value.facts.looked.get(chosen.value) ?? null)
const before = computed(() =>
  entry.value
    ? v.value.before(
        [w.value.found[entry.value.payload.found], entry.value.payload.words].filter(Boolean).join(': '),
      )
    : '',
)
const others = computed(() => inspection.value.unseen.filter((p) => !form.value.places[p]?.found))
const asked = ref(false)
watch(chosen, () => {
  asked.value = false
})
const words = useTemplateRef<{ focus: () => void }>('words')
const choose = (place: DrivePlace) => {
  form.value.place = place
}
const log = () => {
  const { payload } = read.value
  if (!payload) {
    asked.value = true
    words.value?.focus()
    return
  }
  if (!job.log({ kind: 'drive-looked', payload })) return
  form.value.places[chosen.value] = undefined
  const at = DRIVE_PLACES.indexOf(chosen.value)
  const after = [...DRIVE_PLACES.slice(at + 1), ...DRIVE_PLACES.slice(0, at)]
  const next = after.find((p) => inspection.value.unseen.includes(p))
  if (next) choose(next)
}
const allElseFine = () => {
  const places = others.value
  if (places.length > 0)
    job.log({ kind: 'drive-looked', payload: { places, found: 'fine', words: '', photographs: [] } })
}
/** The drive’s places, or one of its sheaves that can be set; a setting nobody read yet comes first. */
const views = computed(() => [
  { value: 'drive' as const, name: s.value.views.drive },
  ...inspection.value.settings.map(({ place }) => ({ value: place, name: s.value.views[place] })),
])
const unread = inspection.value.settings.find((x) => x.entry === null || x.opened)
const shown = ref<'drive' | SheavePlace>(unread && !closed.value ? unread.place : 'drive')
/** The setting is read: the places of an open drive come next. */
const onward = () => {
  if (inspection.value.unseen.length > 0 && opensUp(state.value)) shown.value = 'drive'
  else goOn()
}
const rows = computed(() =>
  inspection.value.places.flatMap(({ place, entry: e }) =>
    e && e.payload.found !== 'fine'
      ? [w.value.row(`${w.value.places[place].name} (${w.value.found[e.payload.found]})`, e.payload.words)]
      : [],
  ),
)
</script>

<template>
  <SheaveSetting
    v-if="shown !== 'drive'"
    :key="shown"
    v-model="form.settings[shown]"
    :place="shown"
    @onward="onward"
  >
    <ChoiceRow v-model="shown" :label="s.views.label" on-dye :options="views" />
  </SheaveSetting>
  <template v-else>
    <BoardFrame :title="v.title" :note="v.note">
      <ChoiceRow v-if="views.length > 1" v-model="shown" :label="s.views.label" on-dye :options="views" />
      <PlacesList
        v-model="form.place"
        :label="v.place"
        :places="
          inspection.places.map(({ place, entry: e }) => ({
            place,
            name: w.places[place].name,
            found: e?.payload.found ?? null,
            state: e ? w.found[e.payload.found] : v.unseen,
          }))
        "
      />
      <section class="here" :aria-label="w.places[chosen].name">
        <h3>{{ w.places[chosen].name }}</h3>
        <p>{{ w.places[chosen].look }}</p>
        <p v-if="before" class="quiet">{{ before }}</p>
        <div v-if="entry?.payload.photographs.length" class="thumbs">
          <JobPhotograph
            v-for="(id, i) in entry.payload.photographs"
            :id="id"
            :key="id"
            :name="v.photograph(i + 1, w.places[chosen].name)"
          />
        </div>
        <template v-if="!closed">
          <div class="line">
            <ChoiceRow
              :model-value="typed.found"
              :label="v.foundHere"
              show-label
              on-dye
              :options="FOUND.map((value) => ({ value, name: w.found[value] }))"
              @update:model-value="write({ found: $event as 'fine' })"
            />
            <label class="words"
              ><span>{{ v.words }}</span>
              <el-input
                ref="words"
                :model-value="typed.words"
                :aria-label="v.words"
                maxlength="2000"
                @update:model-value="write({ words: $event })"
                @keydown.enter.prevent="log"
              />
            </label>
          </div>
          <p v-if="asked && read.asks" class="fault" role="alert">{{ read.asks }}</p>
          <TakePhotographs
            v-if="behind"
            :key="chosen"
            :ids="typed.photographs"
            :place="w.places[chosen].name"
            @update:ids="write({ photographs: $event })"
          />
        </template>
      </section>
    </BoardFrame>
    <LedgerFrame :mark="meaning.mark" :headline="meaning.headline" :detail="meaning.detail">
      <ul v-if="rows.length > 0" class="rows">
        <li v-for="r in rows" :key="r">{{ r }}</li>
      </ul>
      <p class="muted">{{ beltsWords(telling.words).fingers }}</p>
      <el-button v-if="!closed && others.length > 0 && begun" class="quiet-button" @click="allElseFine">{{
        v.allElseFine(others.length)
      }}</el-button>
      <PassOver v-if="!closed && inspection.unseen.length > 0" stage="inspect" :title="v.passOver" />
      <template #next>
        <el-button
          v-if="closed || (inspection.unseen.length === 0 && !begun)"
          class="next-button"
          @click="goOn()"
          >{{ actionsWords(telling.words).goOn }}</el-button
        >
        <el-button v-else-if="begun || others.length === 0" class="next-button" @click="log">{{
          v.logPlace(w.places[chosen].name.toLowerCase())
        }}</el-button>
        <el-button v-else class="next-button" @click="allElseFine">{{
          v.allElseFine(others.length)
        }}</el-button>
      </template>
    </LedgerFrame>
  </template>
</template>

<style scoped>
.here {
  display: grid;
  gap: 8px;
  margin-top: 14px;
  padding-top: 12px;
  border-top: 1px solid var(--dye-line);
}
.here h3 {
  font-size: 18px;
  color: #fff;
}
.here p {
  color: var(--scribe);
  font-size: 15px;
}
.here .quiet {
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
.here .fault {
  color: var(--out-on-dye);
}
</style>
