<script setup lang="ts">
import type { LessonId } from '~~/core/practice/lessons'

/** What a lesson is about, as a few scribed lines. */
defineProps<{ lesson: LessonId }>()
</script>

<template>
  <svg viewBox="0 0 200 68" class="drawing" aria-hidden="true" fill="none" stroke="#DCE3FF" stroke-width="2">
    <g v-if="lesson === 'plate-tells-otherwise'">
      <path d="M56 10h88v42H56zM64 52h14v8H64zM122 52h14v8h-14z" stroke="#6670BE" />
      <path d="M72 20h56v22H72z" fill="#15183F" />
      <path d="M79 27h20M79 35h28" />
      <path d="M111 35h10" stroke="#E0B04A" stroke-width="4" />
    </g>
    <g v-else-if="lesson === 'foot-that-rocks'">
      <path d="M60 14h80v40H60z" stroke="#6670BE" />
      <path d="M48 48L148 10l4 8L50 54z" fill="#DCE3FF" />
      <path d="M46 8h14v12H46zM140 48h14v12h-14z" />
    </g>
    <g v-else-if="lesson === 'straightedge-first'">
      <path d="M50 26h42v36H50zM108 32h42v30h-42z" fill="#15183F" />
      <path d="M44 18h84v8H44z" fill="#DCE3FF" />
      <path d="M128 28h22" stroke="#E0B04A" stroke-width="4" />
    </g>
    <g v-else-if="lesson === 'which-way-it-counts'">
      <circle cx="90" cy="30" r="22" fill="#15183F" />
      <path d="M90 30l14-12M90 52v10M84 62h12" />
      <path d="M130 54V22m-7 9l7-9 7 9M146 22v32m-7-9l7 9 7-9" stroke="#A3AEE0" />
    </g>
    <g v-else-if="lesson === 'bar-hangs'">
      <path d="M36 60V18" />
      <path d="M36 18h120" stroke="#6670BE" stroke-dasharray="4 4" />
      <path d="M36 18q66 2 116 24" />
      <circle cx="156" cy="48" r="9" fill="#15183F" />
      <path d="M176 20v22m-5-6l5 6 5-6" stroke="#A3AEE0" />
    </g>
    <g v-else-if="lesson === 'bracket-that-slips'">
      <circle cx="100" cy="34" r="25" fill="#15183F" />
      <path d="M100 34V12" stroke="#6670BE" stroke-dasharray="3 3" />
      <path d="M100 34l10-20" />
      <path d="M132 20a36 36 0 1 0 2 24" stroke="#A3AEE0" />
      <path d="M126 48l8-4 2 9" stroke="#A3AEE0" />
    </g>
    <g v-else-if="lesson === 'one-that-wont-repeat'">
      <circle cx="100" cy="34" r="22" />
      <path d="M100 34L86 24M100 34l6-16" stroke-dasharray="0" />
      <circle cx="100" cy="12" r="3.5" fill="#DCE3FF" />
      <circle cx="122" cy="34" r="3.5" fill="#DCE3FF" />
      <circle cx="100" cy="56" r="3.5" fill="#DCE3FF" />
      <circle cx="78" cy="34" r="6" fill="#15183F" />
    </g>
    <g v-else-if="lesson === 'what-the-drawer-holds'">
      <path d="M44 18h46v18H44z" stroke="#6670BE" stroke-dasharray="4 3" />
      <path d="M44 40h46v6H44zM44 50h46v10H44z" fill="#DCE3FF" stroke="none" />
      <path d="M112 8h44v52h-44zM112 25h44M112 42h44M128 17h12M128 34h12M128 51h12" />
    </g>
    <g v-else-if="lesson === 'no-room-in-the-hole'">
      <path d="M66 20h44a14 14 0 0 1 0 28H66a14 14 0 0 1 0-28z" />
      <circle cx="110" cy="34" r="13" fill="#2A2F78" />
      <path d="M134 34h22m-7-6l7 6-7 6M164 18v32" stroke="#A3AEE0" />
    </g>
    <g v-else-if="lesson === 'both-dials-to-zero'">
      <circle cx="72" cy="32" r="20" fill="#15183F" />
      <circle cx="128" cy="32" r="20" fill="#15183F" />
      <path d="M72 32V16M128 32V16M72 60h-16m5-5l-5 5 5 5M128 60h-16m5-5l-5 5 5 5" />
    </g>
    <g v-else-if="lesson === 'coupled-uncoupled'">
      <path d="M40 40h56M104 26h56" />
      <path d="M96 28v24M104 14v24" stroke-width="3" />
      <path d="M40 52h58q4 0 6-14h56" stroke="#A3AEE0" stroke-dasharray="4 3" />
    </g>
    <g v-else-if="lesson === 'cold-but-aimed-hot'">
      <path d="M58 8v32a9 9 0 1 0 12 0V8z" fill="#15183F" />
      <path d="M64 24v20" stroke="#E0B04A" stroke-width="5" />
      <path d="M98 44h64M98 28h64" />
      <path d="M98 28h64" stroke="#E0B04A" stroke-dasharray="5 4" />
      <path d="M176 44V28m-5 7l5-7 5 7" stroke="#A3AEE0" />
    </g>
    <g v-else-if="lesson === 'pipe-that-pulls'">
      <path d="M70 30h60v30H70z" fill="#15183F" />
      <path d="M92 30V8M108 30V8" />
      <path d="M84 30h32" stroke-width="4" />
      <path d="M146 50V18m-6 8l6-8 6 8" stroke="#A3AEE0" />
    </g>
    <g v-else-if="lesson === 'three-touch-one-not'">
      <path d="M46 14h126v8H46z" fill="#DCE3FF" />
      <path d="M54 22h36v40H54zM126 22l38 8v32h-38z" fill="#15183F" />
      <path d="M72 22v24M144 26v20" stroke="#6670BE" stroke-dasharray="3 3" />
      <path d="M168 24v6" stroke="#E0B04A" stroke-width="4" />
    </g>
    <g v-else-if="lesson === 'top-leans-out'">
      <path d="M64 6v56" stroke="#6670BE" stroke-dasharray="4 3" />
      <path d="M56 10h14v48H56z" fill="#15183F" />
      <path d="M120 12l15 -3l10 47l-15 3z" fill="#15183F" />
      <path d="M137 6v56" stroke="#6670BE" stroke-dasharray="4 3" />
      <path d="M152 8l10 4l-8 7" stroke="#E0B04A" />
    </g>
    <g v-else-if="lesson === 'base-that-sticks'">
      <path d="M96 14h56v40H96z" fill="#15183F" />
      <path d="M44 34h38M50 28v12M57 28v12M64 28v12M40 26h8v16h-8z" />
      <path d="M80 34h12" stroke="#E0B04A" stroke-dasharray="3 3" />
      <path d="M90 60h68" stroke="#A3AEE0" />
    </g>
    <g v-else-if="lesson === 'set-otherwise'">
      <path d="M58 10l26 24l-26 24zM118 10l-20 24l20 24z" fill="#15183F" />
      <path d="M126 34h22m-7-6l7 6-7 6" stroke="#A3AEE0" />
      <path d="M150 14a20 20 0 1 1 -6 36" stroke="#E0B04A" />
    </g>
    <g v-else-if="lesson === 'one-of-four'">
      <path d="M40 14h96M40 28h90M40 56h94" stroke-width="6" />
      <path d="M40 42h52" stroke-width="6" stroke="#6670BE" />
      <path d="M124 6v56M142 6v56" stroke="#A3AEE0" stroke-dasharray="3 3" stroke-width="1.5" />
    </g>
    <g v-else-if="lesson === 'slack-after-a-day'">
      <circle cx="60" cy="38" r="13" fill="#15183F" />
      <circle cx="140" cy="34" r="22" fill="#15183F" />
      <path d="M60 25q42 18 80 -13" />
      <path d="M60 51l80 5" />
      <path d="M60 25L140 12" stroke="#6670BE" stroke-dasharray="4 3" />
      <path d="M98 10v12m-4 -5l4 5l4 -5" stroke="#E0B04A" />
    </g>
    <g v-else>
      <path d="M60 44h80v10H60z" fill="#DCE3FF" stroke="none" />
      <path d="M60 34h80v6H60z" fill="#6670BE" stroke="none" />
      <path d="M60 24h80v6H60z" fill="#6670BE" stroke="none" />
      <path d="M150 24v30M146 24h8M146 54h8" stroke="#E0B04A" />
    </g>
  </svg>
</template>

<style scoped>
.drawing {
  display: block;
  width: 100%;
}
</style>
