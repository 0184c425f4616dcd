<script setup lang="ts">
import type { Run } from '~~/core/gear/contactFigures'
import { leverFor, type Figure } from '~~/core/gear/levers'
import type { Verdict } from '~~/core/judge/judge'
import { actionsWords, backlashWords, gearWords, tablesWords, verdictsWords } from '~~/shared/wording/en'
import { worstAfter } from '~~/core/stages/backlash/read'
import { backlashWindow } from '~~/core/register/gearMachine'
import { figure, UNIT_NAMES } from '~~/shared/wording/figures'
import {
  backlashFigure,
  backlashWindowWords,
  layersSeenWords,
  layersToDo,
  windowFigures,
} from '~~/shared/wording/backlash'
import {
  contactLimit,
  contactLimitSource,
  contactQuantityName,
  lastAgainstRule,
  leverName,
  meaningOfContact,
  offParts,
  percentFigure,
  predictedWords,
  shiftFigure,
  shiftReadWords,
  shiftTyped,
  shiftWords,
  whyShift,
} from '~~/shared/wording/gearContact'
import { capital } from '~~/shared/wording/capital'
import { readTypedNumber } from '~~/core/units/typedNumber'
import { loadedAhead } from '../ahead'

const ShiftDialog = loadedAhead(() => import('./ShiftDialog.vue'))
const MeshCleared = loadedAhead(() => import('./MeshCleared.vue'))

/** The blue of both runs dragged on the flanks; what both have in common, what sets them apart; what to shift and how far. */
const job = useJob()
const session = useSession()
const telling = useTelling()
const goOn = inject(goOnKey, () => {})
const w = computed(() => gearWords(telling.value.words))
const v = computed(() => w.value.view)
const state = computed(() => job.gear!)
const live = computed(() => job.liveGear ?? state.value)
const machine = computed(() => state.value.machine)
const closed = computed(() => state.value.closing !== null)
const contact = computed(() => live.value.contact)
const round = computed(() => state.value.rounds.length)
/** Drawn down since: what was painted before no longer stands. */
const again = computed(() => state.value.gearRecheck.missing.includes('contact'))
/** What was painted last, while nothing was changed since. */
const logged = () => (again.value ? null : state.value.contact.now)
const paint = reactive(usePaint('fit', logged))
const before = computed(
  () => (again.value ? state.value.contact.now : contact.value.reads[round.value - 2])?.zones ?? null,
)
const meaning = computed(() => meaningOfContact(live.value, telling.value))
const figures = computed(() => contact.value.now?.figures ?? null)
const quantity = (name: string) => figures.value?.quantities.find((q) => q.name === name)
const off = (run: Run) => {
  const q = quantity(`off.${run}`)
  return q ? offParts(q.value, state.value.machine, telling.value) : null
}

const next = computed(() => {
  const n = contact.value.next
  return n && typeof n !== 'string' ? n : null
})
const drawn = computed(() => {
  const n = next.value
  return n
    ? {
        lever: n.lever,
        way: n.by > 0 ? ('to' as const) : ('from' as const),
        figure: figure(Math.abs(n.by), 'displacement', session.units),
        unit: UNIT_NAMES[session.units].displacement,
      }
    : null
})
const limit = computed(() => contact.value.limits?.off ?? null)
const told = computed(() => {
  const now = figures.value
  if (!now) return []
  return (['together', 'apart'] as const).map((f: Figure) => {
    const lever = leverFor(machine.value.gear.school, f)
    const mine = next.value?.figure === f
    return {
      figure: f,
      value: percentFigure(Math.abs(now[f])),
      verdict: now.verdicts[f],
      limit: percentFigure(limit.value ?? 0),
      now: mine,
      does: mine
        ? shiftWords(next.value!, machine.value, telling.value)
        : now.verdicts[f] === 'out'
          ? ''
          : lever === 'blocks'
            ? w.value.stays.blocks
            : w.value.stays.gear(leverName('gear', machine.value, telling.value)),
    }
  })
})
/** One row a quantity: of both runs the one that is worse, for those that do not say which side. */
const rows = computed(() => {
  const all = figures.value?.quantities ?? []
  const worst = (name: 'length' | 'covered' | 'edge') => {
    const both = all.filter((q) => q.quantity === name)
    return both.length === 0 ? [] : [both.reduce((a, b) => (b.margin < a.margin ? b : a))]
  }
  return [
    ...all.filter((q) => q.quantity === 'off'),
    ...worst('length'),
    ...worst('covered'),
    ...worst('edge').filter((q) => q.verdict !== 'in'),
  ]
})
const backlash = computed(() => live.value.backlash)
const backlashAfter = computed(() => worstAfter(backlash.value, machine.value))
const windowShort = computed(() => windowFigures(backlashWindow(machine.value), telling.value))
const why = computed(() =>
  next.value ? whyShift(next.value, contact.value, machine.value, telling.value) : [],
)
const against = computed(() => lastAgainstRule(contact.value))
const seen = computed(() => contact.value.layersSeen[contact.value.layersSeen.length - 1] ?? null)
const clear = computed(() => state.value.cleared !== null)

const flanks = useTemplateRef<{ focus: () => void }>('flanks')
const ledger = useTemplateRef<{ focusNext: () => void }>('ledger')
const log = () => {
  if (!clear.value) {
    clearing.value = true
    return
  }
  if (paint.log()) void nextTick(() => ledger.value?.focusNext())
}
const clearing = ref(false)
const shifting = ref(false)
const later = useLater(clearing, shifting)
/** The shift as it is asked for, to what hands can do. */
const asked = computed(() => (next.value ? shiftTyped(next.value.by, telling.value) : ''))
const shiftAsIs = () => {
  const n = next.value
  const by = readTypedNumber(asked.value, 'displacement', session.units)
  if (!n || !by.ok) return
  job.log({
    kind: 'gear-shifted',
    payload: { units: session.units, lever: n.lever, by: n.by > 0 ? by.value : -by.value, words: '' },
  })
}
const unread = computed(() => state.value.contact.now === null || again.value || paint.begun)
const source = computed(() => `${capital(contactLimitSource(machine.value, telling.value))}.`)
const done = computed(() => state.value.contact.now !== null && figures.value?.verdict !== 'out')
const working = async () =>
  (await import('~~/shared/stages/contact/working')).contactWorking(live.value, telling.value)
onMounted(() => {
  if (!closed.value && clear.value && !logged() && matchMedia('(pointer: fine)').matches)
    void nextTick(() => flanks.value?.focus())
})
const word = (verdict: Verdict) => verdictsWords(telling.value.words)[verdict]
</script>

<template>
  <BoardFrame :title="v.title(round)" :note="v.note">
    <TwoFlanks
      ref="flanks"
      :zones="paint.read.zones"
      :texts="paint.stands"
      :wanted="contact.wanted?.zones ?? null"
      :ghost="before"
      :ends="machine.gear.ends"
      :off="off"
      :verdicts="figures?.runs ?? null"
      :faults="paint.faults"
      :units="session.units"
      :disabled="closed"
      @zone="paint.drag"
      @type="paint.type"
      @clear="paint.wipe"
      @enter="log"
    />
    <div class="told">
      <section>
        <h3>
          {{ v.fromAbove }} <span class="dim">{{ v.scale(machine.gear.kind) }}</span>
        </h3>
        <MeshFromAbove :kind="machine.gear.kind" :ends="machine.gear.ends" :shift="drawn" />
      </section>
      <section>
        <h3>{{ v.twoRuns }}</h3>
        <RunsTold v-if="told.length" :rows="told" />
        <p v-else class="dim">{{ contact.wanted ? w.byRule(w.schools[machine.gear.school]) : w.unjudged }}</p>
        <p v-if="told.length && next === null" class="dim">{{ w.underLoad }}</p>
      </section>
    </div>
    <div v-if="backlash.now" class="play">
      <WindowScale
        :name="backlashWords(telling.words).view.title"
        :band="backlashWindow(machine)"
        :now="backlash.now.worst"
        :after="backlashAfter"
        :says="backlashFigure(backlash.now.worst, machine, telling)"
        unsigned
        :verdict="backlash.now.verdict"
        :units="session.units"
      />
      <section>
        <h3>{{ backlashWords(telling.words).under }}</h3>
        <p>{{ layersToDo(backlash, telling) }}</p>
        <p class="dim">
          {{
            backlash.cure?.layers
              ? next
                ? backlashWords(telling.words).readAgain
                : backlashWords(telling.words).contactToo
              : backlashWindowWords(backlashWindow(machine), telling)
          }}
        </p>
      </section>
    </div>
  </BoardFrame>
  <LedgerFrame ref="ledger" :mark="meaning.mark" :headline="meaning.headline" :detail="meaning.detail">
    <FigureTable
      v-if="rows.length"
      :head="[v.columns.what, v.columns.found, tablesWords(telling.words).limit, '']"
    >
      <tr v-for="q in rows" :key="q.name">
        <td>{{ q.quantity === 'off' ? contactQuantityName(q, telling) : w.worst[q.quantity] }}</td>
        <td class="figure">
          <strong>{{ Math.round(Math.abs(q.value)) }}</strong>
        </td>
        <td class="figure">{{ contactLimit(q) }}</td>
        <td class="verdict"><VerdictMark :mark="q.verdict" /> {{ word(q.verdict) }}</td>
      </tr>
      <tr v-if="backlash.now">
        <td>{{ backlashWords(telling.words).view.title }}</td>
        <td class="figure">
          <strong>{{ figure(backlash.now.worst, 'displacement', session.units) }}</strong>
        </td>
        <td class="figure">
          {{ windowShort }}
        </td>
        <td class="verdict"><VerdictMark :mark="backlash.now.verdict" /> {{ word(backlash.now.verdict) }}</td>
      </tr>
    </FigureTable>
    <p v-if="against" class="caution">{{ shiftReadWords(against, machine, telling) }}</p>
    <section v-if="why.length && next" class="why">
      <h3>{{ w.why.name(shiftFigure(next.by, telling)) }}</h3>
      <p v-for="line in why" :key="line">{{ line }}</p>
      <p v-if="next.predicted">
        {{ predictedWords(next.predicted, telling) }}
      </p>
    </section>
    <p v-if="seen" class="muted">{{ layersSeenWords(seen, telling) }}</p>
    <p v-if="!closed" class="caution">{{ w.caution }}</p>
    <p v-if="state.cleared" class="muted">
      {{ w.cleared(w.loads[state.cleared.payload.load], state.cleared.payload.helper) }}
    </p>
    <label v-if="!closed && unread && clear" class="remark">
      <span>{{ v.words }}</span>
      <el-input
        :model-value="paint.stands.words"
        :aria-label="v.words"
        maxlength="2000"
        @update:model-value="paint.change({ words: $event })"
        @keydown.enter.prevent="log"
      />
    </label>
    <p v-if="!figures" class="muted">{{ source }}</p>
    <ShowWorking v-if="figures" :steps="working" />
    <template v-if="later">
      <MeshCleared v-model="clearing" />
      <ShiftDialog v-model="shifting" :next="next" />
    </template>
    <template #next>
      <template v-if="closed">
        <el-button class="next-button" @click="goOn()">{{ actionsWords(telling.words).goOn }}</el-button>
      </template>
      <template v-else-if="unread">
        <PassOver v-if="!state.contact.left" stage="contact" :title="v.passOver" />
        <el-button v-if="clear" class="next-button" @click="log">{{ v.log }}</el-button>
        <el-button v-else class="next-button" @click="clearing = true">{{ v.clear }}</el-button>
      </template>
      <template v-else-if="done">
        <el-button link class="text-button" @click="shifting = true">{{ v.otherShift }}</el-button>
        <el-button class="next-button" @click="goOn()">{{ actionsWords(telling.words).goOn }}</el-button>
      </template>
      <template v-else>
        <PassOver stage="contact" :title="actionsWords(telling.words).goOnAsItIs" />
        <el-button v-if="next" link class="text-button" @click="shifting = true">{{
          v.otherShift
        }}</el-button>
        <el-button v-if="next" class="next-button" @click="shiftAsIs">{{
          v.shiftAndPaint(`${asked} ${UNIT_NAMES[session.units].displacement}`)
        }}</el-button>
        <el-button v-else class="next-button" @click="shifting = true">{{ v.shifted }}</el-button>
      </template>
    </template>
  </LedgerFrame>
</template>

<style scoped>
.told,
.play {
  display: grid;
  grid-template-columns: 1fr 1fr;
  gap: 24px;
}
.told,
.play {
  margin-top: 12px;
  padding-top: 10px;
  border-top: 1px solid var(--dye-line);
}
h3 {
  font-size: 16px;
  color: #fff;
}
.dim {
  font-size: 14px;
  font-weight: 400;
  color: var(--scribe-dim);
}
.verdict {
  white-space: nowrap;
  text-align: left;
}
.why h3 {
  font-size: 16px;
  color: var(--ink);
}
.why p {
  color: var(--muted);
  line-height: 1.45;
}
.remark span {
  display: block;
  margin-bottom: 5px;
}
@media (max-width: 640px) {
  .told,
  .play {
    grid-template-columns: 1fr;
  }
}
</style>
