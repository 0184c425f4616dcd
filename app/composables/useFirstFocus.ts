import type { Ref } from 'vue'

/** A third of a second: as long as the kit's dialog takes to come up. */
const ENTRANCE_FRAMES = 20

/**
 * Focuses what a dialog asks for as soon as it stands, not when its entrance is over: people begin
 * to type at once, and what they type must not be lost. The kit's dialog takes the focus onto itself
 * a moment later; it is handed back.
 */
export const useFirstFocus = (shown: Ref<boolean>, find: () => { focus: () => void } | null | undefined) => {
  const handBack = (tries: number) => {
    if (!shown.value || tries === 0) return
    const active = document.activeElement
    if (!active || active === document.body || active.classList.contains('el-dialog')) find()?.focus()
    requestAnimationFrame(() => handBack(tries - 1))
  }
  watch(
    shown,
    async (open) => {
      for (let tick = 0; open && tick < 4 && !find(); tick++) await nextTick()
      if (!open) return
      find()?.focus()
      handBack(ENTRANCE_FRAMES)
    },
    { flush: 'post', immediate: true },
  )
}
