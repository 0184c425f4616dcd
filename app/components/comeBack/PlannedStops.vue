<script setup lang="ts">
import { comeBackWords } from '~~/shared/wording/en'
import dayjs from 'dayjs'
import type { StandstillRecord } from '~~/shared/comeBack/standstill'
import { hoursWords } from '~~/shared/wording/comeBack'

/** When halls stand from now on; each can be changed or called off. */
const props = defineProps<{ standstills: readonly StandstillRecord[]; halls: readonly string[]; now: Date }>()
const emit = defineEmits<{ changed: [] }>()
const session = useSession()
const words = useWords()
const w = comeBackWords(words).stops
const editing = ref(false)
const later = useLater(editing)
const known = shallowRef<StandstillRecord | null>(null)
const edit = (stop: StandstillRecord | null) => {
  known.value = stop
  editing.value = true
}
const rows = computed(() =>
  props.standstills
    .filter((s) => Date.parse(s.endsAt) > props.now.getTime())
    .map((stop) => ({
      stop,
      day: dayjs(stop.startsAt).format('ddd D MMM'),
      hours: hoursWords(stop, { words }),
    })),
)
</script>

<template>
  <SidePanel :name="w.title">
    <template #act>
      <el-button v-if="session.may('schedule')" link class="text-button" @click="edit(null)">{{
        w.add
      }}</el-button>
    </template>
    <p v-if="rows.length === 0" class="muted">{{ w.none }}</p>
    <ul v-else>
      <li v-for="r in rows" :key="r.stop.id" :class="{ off: r.stop.cancelled }">
        <el-button
          link
          :disabled="!session.may('schedule')"
          :aria-label="w.edit(r.stop.area, r.day)"
          @click="edit(r.stop)"
        >
          <span class="when"
            ><strong>{{ r.day }}</strong> {{ r.hours }}</span
          >
          <span>{{ r.stop.area }}</span>
          <span v-if="r.stop.cancelled || r.stop.note" class="muted">{{
            r.stop.cancelled ? w.cancelled : r.stop.note
          }}</span>
        </el-button>
      </li>
    </ul>
    <LazyStopForm v-if="later" v-model="editing" :known="known" :halls="halls" @saved="emit('changed')" />
  </SidePanel>
</template>

<style scoped>
ul {
  list-style: none;
  margin: 4px 0 0;
  padding: 0;
  max-height: 268px;
  overflow-y: auto;
}
li .el-button {
  width: 100%;
  height: auto;
  min-height: var(--touch);
  padding: 5px 0;
  border-top: 1px solid var(--hairline);
  border-radius: 0;
  white-space: normal;
  --el-button-text-color: var(--ink);
}
li .el-button > :deep(span) {
  display: grid;
  flex: 1;
  text-align: left;
  font-size: 14px;
  line-height: 1.3;
}
li .el-button:hover strong {
  text-decoration: underline;
}
.off .when {
  text-decoration: line-through;
}
</style>
