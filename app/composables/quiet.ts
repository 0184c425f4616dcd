import type { Component, InjectionKey, Ref } from 'vue'

/** What the bench puts at the head of a ledger, and whether the checks keep quiet beside it. */
export interface Quiet {
  readonly panel: Component
  readonly hush: Readonly<Ref<boolean>>
}
export const quietKey: InjectionKey<Quiet> = Symbol('quiet')

const NEVER = computed(() => false)

/** Whether the checks keep quiet here: on the bench, until they are asked. */
export const useHush = (): Readonly<Ref<boolean>> => inject(quietKey, null)?.hush ?? NEVER
