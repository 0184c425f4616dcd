<script setup lang="ts">
import { TURNING_NOTE } from '~~/shared/wording/names'
import { UNIT_NAMES } from '~~/shared/wording/figures'
import { setUpWorking } from '~~/shared/working/setUp'
import { settleSetUp } from '~~/core/logbook/setUp'

const job = useJob()
const session = useSession()
const goOn = inject(goOnKey, () => {})
const { form, begin, remark, value, payload, missing, clear } = useSetUpForm()
begin()

const closed = computed(() => job.state?.closed != null)
const movable = computed(() => job.machine?.movableName ?? 'Motor')
const stationary = computed(() => job.machine?.stationaryName ?? 'Driven machine')
const preview = computed(() => {
  const p = payload.value
  if (!p) return null
  const entry = job.compose({ kind: 'set-up', payload: p })
  return entry.kind === 'set-up' ? settleSetUp(entry) : null
})
const working = computed(() => (preview.value ? setUpWorking(preview.value, session.units) : []))

const headline = computed(() => {
  if (missing.value.length === 0 && preview.value && !preview.value.holdsZero)
    return 'A dial does not come back to zero. Something slipped: find it before reading.'
  if (missing.value.length === 0) return 'The set-up is complete and holds its zero.'
  if (missing.value.includes('sag')) return 'How far does the bar hang? Forgotten sag looks like a low motor.'
  if (missing.value.includes('rimReturned') || missing.value.includes('faceReturned'))
    return 'Zero both dials, turn one full turn, read them again.'
  return 'Check each distance against the tape.'
})

const form$ = useTemplateRef<HTMLFormElement>('fields')
const log = () => {
  if (!payload.value) {
    const firstFault = [...(form$.value?.querySelectorAll('input[type=text]') ?? [])].find(
      (el) =>
        el instanceof HTMLInputElement &&
        (el.value.trim() === '' || el.getAttribute('aria-invalid') === 'true'),
    )
    if (firstFault instanceof HTMLInputElement) firstFault.focus()
    return
  }
  job.log({ kind: 'set-up', payload: payload.value })
  clear()
  goOn()
}
useNextKey(() => !closed.value && log())

const MISSING_NAMES: Readonly<Record<Field, string>> = {
  rimPlane: 'the rim dial’s plane',
  face: 'the face circle',
  toInboard: 'the inboard feet',
  inboardToOutboard: 'the outboard feet',
  sag: 'the bar sag',
  faceSag: 'the face dial’s sag',
  graduation: 'one graduation',
  rimReturned: 'rim after the full turn',
  faceReturned: 'face after the full turn',
}
type Field = Parameters<typeof remark>[0]
const bind = (name: Field) => ({
  modelValue: form.value[name],
  'onUpdate:modelValue': (text: string) => (form.value[name] = text),
  units: session.units,
  note: remark(name).text,
  noteIsFault: remark(name).fault,
  required: true,
  onDye: true,
  onEnter: log,
})
</script>

<template>
  <BoardFrame title="Set up the dials" note="rim and face · seen from the side, 12 is up">
    <SetUpChain
      :rim-plane="value('rimPlane')"
      :face-diameter="value('face')"
      :to-inboard="value('toInboard')"
      :inboard-to-outboard="value('inboardToOutboard')"
      :carried-by="form.carriedBy"
      :plunger="form.plunger"
      :movable-name="movable"
      :stationary-name="stationary"
      :unit="UNIT_NAMES[session.units].distance"
    />
    <form ref="fields" class="fields" @submit.prevent="log">
      <div class="row four">
        <NumberBox v-bind="bind('rimPlane')" label="Centre to rim dial" measure="distance" />
        <NumberBox v-bind="bind('toInboard')" label="Centre to inboard feet" measure="distance" />
        <NumberBox v-bind="bind('inboardToOutboard')" label="Inboard to outboard feet" measure="distance" />
        <NumberBox v-bind="bind('face')" :label="`Face circle, ${form.diameterForm}`" measure="distance" />
      </div>
      <div class="row four">
        <NumberBox
          v-bind="bind('sag')"
          :label="form.sagForm === 'hang' ? 'Bar sag: it hangs' : 'Bar sag: at 6 on a pipe'"
          measure="displacement"
          :signed="form.sagForm === 'pipe-at-6'"
        />
        <NumberBox v-bind="bind('faceSag')" label="Face dial’s own sag" measure="displacement" signed />
        <NumberBox v-bind="bind('graduation')" label="One graduation" measure="displacement" />
        <ChoiceRow
          v-model="form.diameterForm"
          label="Face circle taped as"
          show-label
          on-dye
          :options="[
            { value: 'diameter', name: 'Diameter' },
            { value: 'radius', name: 'Radius' },
          ]"
        />
      </div>
      <div class="row three">
        <ChoiceRow
          v-model="form.carriedBy"
          label="The bracket sits on"
          show-label
          on-dye
          :options="[
            { value: 'movable', name: movable },
            { value: 'stationary', name: stationary },
          ]"
        />
        <ChoiceRow
          v-model="form.plunger"
          label="Face plunger points"
          show-label
          on-dye
          :options="[
            { value: 'away', name: 'Away' },
            { value: 'back', name: 'Back' },
          ]"
        />
        <ChoiceRow
          v-model="form.sagForm"
          label="Sag told as"
          show-label
          on-dye
          :options="[
            { value: 'hang', name: 'Hangs' },
            { value: 'pipe-at-6', name: 'Pipe, at 6' },
          ]"
        />
      </div>
      <div class="row three">
        <ChoiceRow
          v-model="form.turning"
          label="Shafts that turn"
          show-label
          on-dye
          :options="[
            { value: 'both', name: 'Both' },
            { value: 'movable', name: 'Moved one' },
            { value: 'stationary', name: 'Other one' },
          ]"
        />
        <ChoiceRow
          v-model="form.rises"
          label="Press the rim plunger"
          show-label
          on-dye
          :options="[
            { value: 'rises', name: 'Rises' },
            { value: 'falls', name: 'Falls' },
          ]"
        />
        <ChoiceRow
          v-model="form.faceRises"
          label="Press the face plunger"
          show-label
          on-dye
          :options="[
            { value: 'rises', name: 'Rises' },
            { value: 'falls', name: 'Falls' },
          ]"
        />
      </div>
      <div class="row turn">
        <p>Zero both dials at the start. Turn one full turn the way you will read. They show now:</p>
        <NumberBox v-bind="bind('rimReturned')" label="Rim after the turn" measure="displacement" signed />
        <NumberBox v-bind="bind('faceReturned')" label="Face after the turn" measure="displacement" signed />
      </div>
    </form>
  </BoardFrame>
  <LedgerFrame :mark="missing.length > 0 ? 'todo' : preview?.holdsZero ? 'done' : 'out'" :headline="headline">
    <TurnedDownEntries />
    <p>
      Bracket tight, dials preloaded to mid-travel, clear for a full sweep. Press a plunger: does the number
      rise?
    </p>
    <p class="muted">{{ TURNING_NOTE }}</p>
    <p v-if="job.state?.setUp" class="muted">
      Logging again starts a new set-up; sets already read keep theirs.
    </p>
    <ShowWorking :steps="working" />
    <template #next>
      <button type="button" class="next-button" :disabled="closed" @click="log">
        {{ missing[0] ? `Next: ${MISSING_NAMES[missing[0]]}` : 'Log the set-up' }}
      </button>
    </template>
  </LedgerFrame>
</template>

<style scoped>
.fields {
  display: grid;
  gap: 14px;
  padding-top: 10px;
}
.row {
  display: grid;
  gap: 14px;
  align-items: start;
}
.four {
  grid-template-columns: repeat(4, minmax(0, 1fr));
}
.three {
  grid-template-columns: 1.35fr 1fr 1fr;
}
.turn {
  grid-template-columns: 1.4fr 1fr 1fr;
  align-items: end;
  border-top: 1px solid var(--dye-line);
  padding-top: 10px;
}
@media (max-width: 860px) {
  .four {
    grid-template-columns: repeat(2, minmax(0, 1fr));
  }
  .three {
    grid-template-columns: 1fr;
  }
}
</style>
