<script setup lang="ts">
import { pictureWords } from '~~/shared/wording/en'
import { dayWords, timeWords } from '~~/shared/wording/days'
import { asPng, pictureOf } from '~/picture/boardPicture'

/** The board in view as a picture: looked at, and taken as SVG or PNG. */
const shown = defineModel<boolean>({ required: true })
const props = defineProps<{ about: string }>()
const words = useWords()
const w = pictureWords(words)
const files = shallowRef<{ readonly svg: string; readonly png: string | null } | null>(null)
const none = ref(false)
const name = computed(() => props.about.replace(/[^\p{L}\p{N}]+/gu, '-').replace(/^-|-$/g, ''))

const letGo = () => {
  if (files.value) for (const url of Object.values(files.value)) if (url) URL.revokeObjectURL(url)
  files.value = null
}
const draw = async () => {
  letGo()
  none.value = false
  const now = Date.now()
  // A view that holds more than its drawing says which part of it is meant.
  const board = document.querySelector('[data-picture]') ?? document.querySelector('.board')
  const picture =
    board && (await pictureOf(board, w.under(props.about, dayWords(now, { words }), timeWords(now))))
  if (!picture) {
    none.value = true
    return
  }
  const svg = URL.createObjectURL(new Blob([picture.svg], { type: 'image/svg+xml' }))
  const png = await asPng(picture).then(
    (blob) => URL.createObjectURL(blob),
    () => null,
  )
  files.value = { svg, png }
}
useOnShown(shown, () => void draw())
onBeforeUnmount(letGo)
</script>

<template>
  <el-dialog v-model="shown" :title="w.title" width="min(720px, 94vw)" append-to-body>
    <p v-if="none" role="status">{{ w.none }}</p>
    <template v-else-if="files">
      <img :src="files.svg" :alt="about" />
      <p class="take">
        <a class="text-button" :href="files.svg" :download="`${name}.svg`">{{ w.svg }}</a>
        <a v-if="files.png" class="text-button" :href="files.png" :download="`${name}.png`">{{ w.png }}</a>
      </p>
    </template>
  </el-dialog>
</template>

<style scoped>
img {
  display: block;
  max-width: 100%;
  max-height: 52vh;
  margin: 0 auto;
}
.take {
  display: flex;
  gap: 24px;
  margin-top: 12px;
}
</style>
