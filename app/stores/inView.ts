import { defineStore } from 'pinia'
import type { MachineSnapshot } from '~~/shared/register/machine'
import type { ViewFrom } from '~~/shared/wording/otherEnd'

/**
 * The machine of the job in view and the end one looks from: what words need to know. Apart from the
 * job itself, so that views without a job do not load its arithmetic.
 */
export const useInView = defineStore('inView', () => {
  /** Of a train the part of it that is in view. */
  const machine = shallowRef<MachineSnapshot | null>(null)
  const viewFrom = ref<ViewFrom>('movable')
  return { machine, viewFrom }
})
