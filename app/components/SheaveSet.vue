<script setup lang="ts">
import type { SheavePlace } from '~~/core/register/beltMachine'
import { machineAsSet } from '~~/core/register/setSheaves'
import { settingFollows } from '~~/core/stages/inspect/setting'
import type { MachineRecord } from '~~/shared/register/machine'
import { readSetting } from '~~/shared/stages/inspect/form'
import { beltsWords, sheaveSettingWords } from '~~/shared/wording/en'
import { eighths } from '~~/shared/wording/lines'
import { openWords } from '~~/shared/wording/sheaveSetting'

/** How the sheaves of a drive that can be set stand by the register; somebody who set one otherwise tells it here. */
const props = defineProps<{ machine: MachineRecord & { readonly drive: 'belt' } }>()
const emit = defineEmits<{ saved: [] }>()
const session = useSession()
const telling = useTelling()
const w = computed(() => sheaveSettingWords(telling.value.words).register)
/** What calculates reads of a machine; stock and pack rule play no part here. */
const machine = computed(() => ({ ...props.machine, stock: [], packLimit: 1 }))
const sheaves = computed(() =>
  (['motor', 'driven'] as const).flatMap((place) => {
    const { build } = props.machine.sheaves[place]
    if (build?.kind !== 'variable') return []
    const follows = settingFollows(machine.value, place, build.turnsOpen, null)
    return [
      {
        place,
        name: beltsWords(telling.value.words).sheaves[place],
        stands: w.value.stands(openWords(build.turnsOpen, telling.value), eighths(build.turnsMost)),
        gives: follows ? w.value.gives(follows.is.drivenRpm.toFixed(0)) : '',
        read: readSetting(typed.value[place], place, machine.value, telling.value),
      },
    ]
  }),
)
const typed = ref<Record<SheavePlace, string>>({ motor: '', driven: '' })
const said = ref('')
const failed = ref(false)
const working = ref(false)
const keep = async (place: SheavePlace) => {
  const payload = sheaves.value.find((s) => s.place === place)?.read.payload
  if (!payload || working.value) return
  working.value = true
  said.value = ''
  const { id: _, ...record } = props.machine
  const set = machineAsSet(machine.value, { [place]: payload.turns }).sheaves
  try {
    await askServer(`/api/machines/${encodeURIComponent(record.tag)}`, {
      method: 'PUT',
      body: { ...record, sheaves: set },
    })
    typed.value[place] = ''
    failed.value = false
    said.value = w.value.kept
    emit('saved')
  } catch (error) {
    if (!(error instanceof ApiFailure)) throw error
    failed.value = true
    said.value = error.message
  }
  working.value = false
}
</script>

<template>
  <div v-if="sheaves.length > 0" class="set">
    <h2>{{ w.title }}</h2>
    <div v-for="s in sheaves" :key="s.place">
      <p>
        {{ s.name }} <strong>{{ s.stands }}</strong> <span class="muted">{{ s.gives }}</span>
      </p>
      <el-collapse v-if="!machine.retired">
        <el-collapse-item :title="w.tell" name="tell">
          <div class="line">
            <NumberBox
              v-model="typed[s.place]"
              :label="w.box"
              measure="plain"
              :units="session.units"
              :note="s.read.fault"
              :note-is-fault="s.read.fault !== ''"
              @enter="keep(s.place)"
            />
            <el-button
              class="quiet-button"
              :disabled="!s.read.payload || working"
              :loading="working"
              @click="keep(s.place)"
              >{{ w.keep }}</el-button
            >
          </div>
        </el-collapse-item>
      </el-collapse>
    </div>
    <p v-if="said" :class="{ fault: failed }" role="status">{{ said }}</p>
  </div>
</template>

<style scoped>
h2 {
  margin: 14px 0 4px;
}
.line {
  display: flex;
  flex-wrap: wrap;
  gap: 10px 14px;
  align-items: end;
  padding-top: 6px;
}
.fault {
  color: var(--out);
}
</style>
