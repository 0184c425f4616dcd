<script setup lang="ts">
import { shellWords } from '~~/shared/wording/en'

const session = useSession()
const words = useWords()
const w = shellWords(words)
const route = useRoute()
const outbox = useOutbox()
const views = computed(() =>
  [
    { to: '/', name: w.today },
    { to: '/machines', name: w.machines },
    { to: '/logbook', name: w.logbook },
    { to: '/calendar', name: w.calendar },
    { to: '/stores', name: w.stores },
    { to: '/limits', name: w.limits },
    { to: '/sums', name: w.sums },
    { to: '/practice', name: w.practice },
  ].map((v) => ({ ...v, here: v.to !== '/' && route.path.startsWith(v.to) })),
)
const here = computed(() =>
  route.path === '/' ? w.today : (views.value.find((v) => v.here)?.name ?? w.views),
)
/** As wide as the views have room side by side; see the style below. */
const narrow = useMediaQuery('(max-width: 1190px)')
const behind = useBehind()
onMounted(() => {
  session.meetPeople().catch(() => null)
  void outbox.begin()
})
</script>

<template>
  <div class="shell">
    <a href="#main" class="skip">{{ w.skip }}</a>
    <header class="top">
      <NuxtLink to="/" class="home" :aria-label="w.toToday">
        <img src="/mark.svg" alt="" width="30" height="30" />
      </NuxtLink>
      <nav :aria-label="w.main">
        <NuxtLink v-for="v in views" :key="v.to" :to="v.to" :class="{ 'router-link-exact-active': v.here }">{{
          v.name
        }}</NuxtLink>
      </nav>
      <LazyViewsMenu v-if="narrow" :views="views" :here="here" />
      <span class="gap" />
      <SessionControls />
    </header>
    <LazyDeviceStrip v-if="behind" />
    <main id="main"><slot /></main>
  </div>
</template>

<style scoped>
.shell {
  min-height: 100%;
}
.skip {
  position: absolute;
  left: -999px;
}
.skip:focus {
  left: 8px;
  top: 8px;
  background: var(--panel);
  padding: 8px;
  z-index: 10;
}
.top {
  display: flex;
  align-items: center;
  gap: 20px;
  min-height: var(--header);
  padding: 0 20px;
  background: var(--panel);
  border-bottom: 1px solid var(--hairline);
}
.home {
  display: flex;
}
nav {
  display: flex;
  align-self: stretch;
}
nav a {
  display: flex;
  align-items: center;
  padding: 0 14px;
  min-height: var(--header);
  text-decoration: none;
  font-weight: 600;
  border-bottom: 3px solid transparent;
}
nav a.router-link-exact-active {
  border-bottom-color: var(--dye);
}
:root[data-bay='dim'] nav a.router-link-exact-active {
  border-bottom-color: var(--scribe);
}
@media (max-width: 1190px) {
  nav {
    display: none;
  }
  .top {
    gap: 10px;
    padding: 0 12px;
  }
}
.gap {
  flex: 1;
}
@media (max-width: 640px) {
  .gap {
    display: none;
  }
}
</style>
