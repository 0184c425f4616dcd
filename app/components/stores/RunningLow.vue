<script setup lang="ts">
import { shellWords } from '~~/shared/wording/en'
import { storeWords } from '~~/shared/wording/viewWords'
import { toCore } from '~~/core/units/unitSystem'
import { dayOf, daysBetween } from '~~/core/comeBack/days'
import type { StoresAnswer } from '~~/shared/api/answers'
import { thickness } from '~~/shared/wording/figures'
import { spareName } from '~~/shared/wording/spareBelts'

/** Shims and belts that are to be ordered, and instruments whose calibration has run out. */
const { data } = useAnswer<StoresAnswer>(() => '/api/stores')
const session = useSession()
const words = useWords()
const w = storeWords
const low = computed(() =>
  (data.value?.lots ?? [])
    .filter((l) => l.isLow)
    .map((l) => ({
      id: l.id,
      name: `${thickness(toCore(l.thickness, 'displacement', l.units), l.units)} ${shellWords(words).unitNames[l.units]}`,
      what: [l.kind === 'laminated' ? storeWords.form.laminated.toLowerCase() : '', l.size, l.place]
        .filter((s) => s !== '')
        .join(', '),
      left: w.today.of(l.free, l.low),
    })),
)
const belts = computed(() =>
  (data.value?.belts ?? [])
    .filter((b) => b.isLow)
    .map((b) => ({
      id: b.id,
      name: spareName(b, { words, units: session.units }),
      what: b.place,
      left: w.belts.of(b.now, b.low),
    })),
)
const today = dayOf(new Date())
const past = computed(() =>
  (data.value?.instruments ?? []).flatMap((i) =>
    i.due !== null && i.due < today
      ? [{ id: i.id, name: i.name, over: w.instruments.past(daysBetween(i.due, today)) }]
      : [],
  ),
)
</script>

<template>
  <div class="low">
    <section v-if="low.length > 0" class="panel" :aria-label="w.today.low">
      <h2 class="title">
        <NuxtLink to="/stores">{{ w.today.low }}</NuxtLink>
      </h2>
      <p v-for="l in low" :key="l.id">
        <strong class="figure">{{ l.name }}</strong> <span class="muted">{{ l.what }}</span>
        <span class="left">{{ l.left }}</span>
      </p>
    </section>
    <section v-if="belts.length > 0" class="panel" :aria-label="w.belts.low">
      <h2 class="title">
        <NuxtLink to="/stores">{{ w.belts.low }}</NuxtLink>
      </h2>
      <p v-for="b in belts" :key="b.id">
        <strong>{{ b.name }}</strong> <span class="muted">{{ b.what }}</span>
        <span class="left">{{ b.left }}</span>
      </p>
    </section>
    <section v-if="past.length > 0" class="panel" :aria-label="w.today.past">
      <h2 class="title">
        <NuxtLink to="/stores">{{ w.today.past }}</NuxtLink>
      </h2>
      <p v-for="i in past" :key="i.id">
        <strong>{{ i.name }}</strong> <span class="left">{{ i.over }}</span>
      </p>
    </section>
  </div>
</template>

<style scoped>
.low {
  display: grid;
  gap: 14px;
}
section {
  padding: 10px 14px 6px;
}
h2.title {
  margin: 0 0 4px;
  font-size: 16px;
}
h2 a {
  text-decoration: none;
}
h2 a:hover {
  text-decoration: underline;
}
p {
  display: flex;
  flex-wrap: wrap;
  gap: 0 8px;
  border-top: 1px solid var(--hairline);
  padding: 6px 0;
  font-size: 14px;
  line-height: 1.35;
}
.left {
  margin-left: auto;
}
</style>
