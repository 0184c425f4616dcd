interface KeypadTarget {
  readonly label: string
  readonly unit: string
  readonly signed: boolean
  readonly text: () => string
  readonly set: (text: string) => void
  readonly done: () => void
  readonly understood: () => string
}

const target = shallowRef<KeypadTarget | null>(null)

/** The big keypad that opens when a number box is touched; one for the whole program. */
export const useKeypad = () => ({
  target,
  open: (box: KeypadTarget) => {
    target.value = box
  },
  close: () => {
    target.value = null
  },
})
