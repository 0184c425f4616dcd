<script setup lang="ts">
import { secondScreenWords, shellWords } from '~~/shared/wording/en'
import MateCommand from '~/components/secondScreen/MateCommand.vue'
import { MATE_SIDES, type MateSide } from '~~/shared/secondScreen/call'
import { newId } from '~/device/newId'

/** The second screen: for whoever stands at the far side of the machine, read at three metres. */
definePageMeta({ layout: 'job' })
const route = useRoute()
const job = useJob()
const outbox = useOutbox()
const words = useWords()
const w = secondScreenWords(words)
const HERE_MS = 20_000
const own = newId()
useHead({ title: () => w.title(job.machine?.tag ?? shellWords(words).job) })
watch(
  () => String(route.params.id),
  (id) => void job.open(id),
  { immediate: true },
)
const side = useLocalStorage<MateSide | ''>('hc.mate.side', '')
const online = useOnline()
/** The last word got through. */
const reached = ref(true)
const here = async () => {
  reached.value = await job.call({ says: 'here', from: own })
}
useIntervalFn(() => void here(), HERE_MS)
watch(online, (now) => now && void here())
watch(
  () => [job.machine !== null, outbox.linked] as const,
  ([opened, linked]) => opened && linked && void here(),
  { immediate: true },
)
// Whoever stands at the far side is asked at which, as seen from behind the motor.
watch(
  () => job.viewFrom,
  () => (job.viewFrom = 'movable'),
  { immediate: true },
)
/** Kinds of job whose machine is pushed sideways from one side or the other. */
const WATCHED_PUSH: readonly string[] = ['coupled', 'drum', 'train']
// Of a line the machine that is moved now is the one that is spoken of.
watch(
  () => job.train?.plan?.left[0] ?? null,
  (moving) => (job.part = moving),
  { immediate: true },
)
/** The screen stays on while it is looked at. */
const wake = useWakeLock()
onMounted(() => void wake.request('screen').catch(() => null))
onBeforeUnmount(() => job.leave())
const status = computed(() =>
  !online.value || !reached.value || !outbox.linked || !outbox.reachable
    ? w.unlinked
    : outbox.waiting.length > 0
      ? w.sending
      : w.linked,
)
</script>

<template>
  <div class="mate">
    <header>
      <span role="status" class="line" :class="{ lost: status === w.unlinked }">{{ status }}</span>
      <span>{{ job.machine?.tag }}</span>
    </header>
    <LoadState
      v-if="!job.machine || !job.folded"
      :waiting="!job.machine"
      :failure="job.failure"
      @again="job.open(String(route.params.id))"
    />
    <section v-else-if="!side && WATCHED_PUSH.includes(job.folded.kind)" class="ask">
      <h1>{{ w.sideAsk }}</h1>
      <el-button v-for="s in MATE_SIDES" :key="s" class="big" @click="side = s">{{ w.sides[s] }}</el-button>
      <p>{{ w.sideHint }}</p>
    </section>
    <MateCommand v-else :own="own" :side="side || '9'" :job="job.folded" @round="side = ''" />
  </div>
</template>

<style scoped>
.mate {
  min-height: 100dvh;
  display: flex;
  flex-direction: column;
  padding: 14px 20px 20px;
  background: var(--dye);
  color: var(--scribe);
}
header {
  display: flex;
  justify-content: space-between;
  gap: 12px;
  font-size: 15px;
  color: var(--scribe);
}
.line::before {
  content: '';
  display: inline-block;
  width: 10px;
  height: 10px;
  margin-right: 8px;
  border-radius: 5px;
  background: #58d3be;
}
.lost {
  color: var(--out-on-dye);
}
.lost::before {
  background: none;
  border: 2px solid var(--out-on-dye);
}
.ask {
  flex: 1;
  display: grid;
  align-content: center;
  gap: 16px;
}
h1 {
  font-size: 40px;
  color: #fff;
}
.big.el-button {
  width: 100%;
  min-height: 84px;
  margin: 0;
  font-size: 24px;
  font-weight: 700;
  white-space: normal;
  background: var(--brass-on-dye);
  border: 0;
  color: #15183f;
}
</style>
