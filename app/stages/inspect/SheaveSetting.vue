<script setup lang="ts">
import { lineLimitsOf } from '~~/core/belt/beltLimits'
import { sectionOf, STARTER_SECTIONS } from '~~/core/belt/sections'
import type { BeltMachine, SheavePlace } from '~~/core/register/beltMachine'
import { settingFollows } from '~~/core/stages/inspect/setting'
import { driveOf } from '~~/core/stages/lineUp/line'
import { CONVERSIONS, toCore } from '~~/core/units/unitSystem'
import { readSetting } from '~~/shared/stages/inspect/form'
import { drawSheave, rowsShown, usualBelt } from '~~/shared/stages/inspect/settingDrawing'
import { actionsWords, beltsWords, sheaveSettingWords } from '~~/shared/wording/en'
import { gapFigure, UNIT_NAMES } from '~~/shared/wording/figures'
import { forceFigure } from '~~/shared/wording/forces'
import { eighths, limitByWords } from '~~/shared/wording/lines'
import { ampsFigure, meaningOfSetting, openWords, settingConsequences } from '~~/shared/wording/sheaveSetting'
import { bandSourceWords } from '~~/shared/wording/tension'
import { ahead } from '../ahead'

const loadWorking = ahead(() => import('~~/shared/stages/inspect/settingWorking'))

/** How far a sheave that can be set stands open: what follows from it, beside how the last close left it. */
const props = defineProps<{ place: SheavePlace }>()
const emit = defineEmits<{ onward: [] }>()
const turnsTyped = defineModel<string>({ required: true })
const job = useJob()
const session = useSession()
const telling = useTelling()
const w = computed(() => sheaveSettingWords(telling.value.words))
const state = computed(() => job.belt!)
const registered = computed(() => job.machine as BeltMachine)
const closed = computed(() => state.value.closing !== null)
const sheave = computed(() => registered.value.sheaves[props.place])
const found = computed(() => state.value.inspection.settings.find((s) => s.place === props.place)!)
const read = computed(() => readSetting(turnsTyped.value, props.place, registered.value, telling.value))
const turns = computed(() => read.value.payload?.turns ?? found.value.entry?.payload.turns ?? null)
const follows = computed(() =>
  settingFollows(
    registered.value,
    props.place,
    turns.value ?? job.drive?.turns[props.place] ?? found.value.registered,
    job.drive,
  ),
)
const meaning = computed(() =>
  meaningOfSetting(turns.value === null ? null : follows.value, job.drive, telling.value),
)
const own = (x: number) => toCore(x, 'distance', registered.value.units)
const g = (x: number, unit = true) => gapFigure(x, telling.value, unit)
const SHEET = { width: 440, height: 262 }
const belt = computed(() => {
  const table = sectionOf(STARTER_SECTIONS, registered.value.belts)
  const usual = usualBelt(own(sheave.value.pitchDiameter))
  return { topWidth: table?.topWidth ?? usual.topWidth, height: table?.height ?? usual.height }
})
const drawn = computed(
  () =>
    follows.value &&
    drawSheave(
      follows.value,
      {
        outsideDiameter:
          sheave.value.outsideDiameter === undefined ? null : own(sheave.value.outsideDiameter),
        depths: { outer: own(sheave.value.depthOuter), inner: own(sheave.value.depthInner) },
        belt: belt.value,
      },
      SHEET,
    ),
)
const figures = computed(() => {
  const f = follows.value
  if (!f) return []
  const t = w.value.figures
  const changed = f.changed
  return [
    {
      name: t.opened,
      figure: openWords(f.now, telling.value),
      beside: t.logged(openWords(f.before, telling.value)),
    },
    {
      name: f.shift === 0 ? t.centre : f.shift > 0 ? t.centreAway : t.centreToward,
      figure: g(Math.abs(f.shift)),
      beside: f.moves === 'both' ? t.stays : t.half,
    },
    {
      name: f.ridesLower < 0 ? t.ridesHigher : t.rides,
      figure: g(Math.abs(f.ridesLower)),
      beside: changed
        ? t.pitch(g(f.was.pitchDiameter, false), g(f.is.pitchDiameter, false))
        : t.pitchIs(g(f.is.pitchDiameter, false)),
    },
    {
      name: t.speed,
      figure: t.rpm(f.is.drivenRpm.toFixed(0)),
      beside: changed ? t.was(f.was.drivenRpm.toFixed(0)) : '',
    },
  ]
})
/** What was proved at the last close, and what is to be expected of it now. */
const expected = computed(() => {
  const f = follows.value
  if (!f?.changed) return []
  const e = w.value.expect
  const { line, tension, amperes, is, was } = f
  const band = tension.left?.band?.tension
  const units = session.units
  return [
    ...(line
      ? [
          {
            name: e.offset(UNIT_NAMES[units].distance),
            stale: true,
            left: g(Math.abs(line.left.errors.offset), false),
            expect: g(Math.abs(line.offset), false),
            limit: line.limit === null ? '–' : g(line.limit, false),
          },
        ]
      : []),
    {
      name: e.tension(CONVERSIONS[units].force.unit),
      stale: true,
      left: tension.left?.mean == null ? '–' : forceFigure(tension.left.mean, units),
      expect: e.leans[tension.leans],
      limit: band ? `${forceFigure(band[0], units)}–${forceFigure(band[1], units)}` : '–',
    },
    {
      name: e.amps,
      stale: true,
      left: amperes.before === null ? '–' : ampsFigure(amperes.before),
      expect: is.current ? w.value.table.range(ampsFigure(is.current[0]), ampsFigure(is.current[1])) : '–',
      limit: amperes.plate === null ? '–' : ampsFigure(amperes.plate),
    },
    {
      name: e.rpm,
      stale: false,
      left: was.drivenRpm.toFixed(0),
      expect: is.drivenRpm.toFixed(0),
      limit: '',
    },
  ]
})
const follow = computed(() =>
  follows.value ? settingConsequences(follows.value, registered.value, telling.value) : [],
)
const sources = computed(() => {
  const { plateCurrent } = registered.value
  const read = follows.value?.tension.left
  return w.value.source(
    w.value.offsetFrom(
      limitByWords(
        lineLimitsOf(registered.value, driveOf(registered.value)?.span ?? 0).offset,
        registered.value,
        telling.value,
      ),
    ),
    read?.band
      ? w.value.tensionFrom(bandSourceWords(read, { machine: registered.value }, telling.value))
      : '',
    plateCurrent === undefined ? '' : w.value.currentFrom,
  )
})
const box = useTemplateRef<{ focus: () => void }>('box')
const setsBack = ref(false)
const setBack = () => {
  setsBack.value = true
  turnsTyped.value = follows.value ? eighths(follows.value.before) : ''
  box.value?.focus()
}
const log = () => {
  const { payload } = read.value
  if (!payload) return box.value?.focus()
  if (!job.log({ kind: 'setting-read', payload })) return
  turnsTyped.value = ''
  setsBack.value = false
}
const working = async () =>
  follows.value ? (await loadWorking()).settingWorking(follows.value, registered.value, telling.value) : []
const typed = computed(() => turnsTyped.value.trim() !== '')
</script>

<template>
  <BoardFrame :title="w.title" :note="w.note(w.on[place])">
    <div class="ask">
      <slot />
      <NumberBox
        v-if="!closed"
        ref="box"
        v-model="turnsTyped"
        :label="w.ask.label(beltsWords(telling.words).sheaves[place])"
        measure="plain"
        :units="session.units"
        on-dye
        :note="read.fault"
        :note-is-fault="read.fault !== ''"
        @enter="log"
      />
      <p v-if="!closed" class="how">{{ w.ask.how }}</p>
    </div>
    <div v-if="follows && drawn" class="cut">
      <SheaveBoard
        :drawn="drawn"
        :shift="follows.changed && follows.shift !== 0 ? g(Math.abs(follows.shift)) : ''"
        :moved="follows.changed ? (follows.opened > 0 ? w.outBy : w.inBy)(g(Math.abs(follows.opened))) : ''"
        :left-at="w.leftAt(openWords(follows.before, telling))"
        :words="telling.words"
        :sheet="SHEET"
      />
      <dl>
        <div v-for="f in figures" :key="f.name">
          <dt>{{ f.name }}</dt>
          <dd>
            <span class="figure">{{ f.figure }}</span> <small>{{ f.beside }}</small>
          </dd>
        </div>
      </dl>
    </div>
    <SettingTable v-if="follows" :follows="follows" :rows="rowsShown(follows)" :words="telling.words" />
  </BoardFrame>
  <LedgerFrame :mark="meaning.mark" :headline="meaning.headline" :detail="meaning.detail">
    <FigureTable v-if="expected.length" :head="['', w.expect.left, w.expect.expect, w.expect.limit]">
      <tr v-for="r in expected" :key="r.name">
        <td>
          <span class="name"
            ><VerdictMark v-if="r.stale" mark="stale" silent />{{ r.name
            }}<span v-if="r.stale" class="visually-hidden">{{ w.stale }}</span></span
          >
        </td>
        <td class="figure">{{ r.left }}</td>
        <td class="figure">{{ r.expect }}</td>
        <td class="figure">{{ r.limit }}</td>
      </tr>
    </FigureTable>
    <template v-if="follow.length">
      <h3>{{ w.follows }}</h3>
      <p>{{ follow.join(' ') }}</p>
      <h3>{{ w.sources }}</h3>
      <p>{{ sources }}</p>
    </template>
    <p v-if="setsBack && follows" class="caution">{{ w.setBackHow(openWords(follows.before, telling)) }}</p>
    <p class="muted">{{ beltsWords(telling.words).fingers }}</p>
    <ShowWorking v-if="follows" :steps="working" />
    <template #next>
      <el-button v-if="!closed && follows?.changed && !setsBack" link class="text-button" @click="setBack">{{
        w.setBack(openWords(follows.before, telling))
      }}</el-button>
      <el-button v-if="closed || (!typed && found.entry)" class="next-button" @click="emit('onward')">{{
        follows?.changed && !closed ? w.lineAgain : actionsWords(telling.words).goOn
      }}</el-button>
      <el-button v-else class="next-button" @click="log">{{ w.ask.log }}</el-button>
    </template>
  </LedgerFrame>
</template>

<style scoped>
.name {
  display: flex;
  align-items: center;
  gap: 8px;
  white-space: nowrap;
}
.ask {
  display: grid;
  grid-template-columns: auto minmax(0, 1fr);
  gap: 4px 20px;
  align-items: end;
}
.how {
  color: var(--scribe-dim);
  font-size: 15px;
  grid-column: 1 / -1;
}
.cut {
  display: grid;
  grid-template-columns: minmax(0, 1.55fr) minmax(0, 1fr);
  gap: 14px;
  align-items: center;
  border-bottom: 1px solid var(--dye-line);
  padding-bottom: 8px;
}
dl {
  display: grid;
  gap: 10px;
  margin: 0;
}
dt {
  color: var(--scribe-dim);
  font-size: 15px;
}
dd {
  margin: 0;
  display: flex;
  flex-wrap: wrap;
  align-items: baseline;
  justify-content: space-between;
  gap: 0 10px;
  color: #fff;
}
dd .figure {
  font-size: 25px;
}
dd small {
  color: var(--scribe-dim);
  font-size: 14px;
}
h3 {
  font-size: 16px;
  margin-top: 8px;
}
@media (max-width: 900px) {
  .cut,
  .ask {
    grid-template-columns: minmax(0, 1fr);
  }
}
</style>
