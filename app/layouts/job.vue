<template>
  <div id="main" class="job-shell"><slot /></div>
</template>

<style scoped>
.job-shell {
  height: 100dvh;
}
</style>
