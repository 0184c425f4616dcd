import type { TypedMeasure } from '../../core/units/typedNumber'

interface Place {
  /** Where the value stands in the record, `feet.movable.0.x`. */
  readonly path: string
  readonly label: string
  /** The heading it stands under. */
  readonly group: string
}

interface NumberRules {
  readonly signed?: boolean
  readonly optional?: boolean
  /** Left empty it isn't in the record at all; an optional one is null otherwise. */
  readonly absent?: boolean
}

/** One box of the register form. */
export type RecordBox = Place &
  (
    | { readonly kind: 'shims' | 'toggle' }
    /** Where it is `absent`, an empty one isn't in the record at all. */
    | { readonly kind: 'text'; readonly absent?: boolean }
    | ({ readonly kind: 'number'; readonly measure: TypedMeasure } & NumberRules)
    | {
        readonly kind: 'choice'
        readonly options: readonly { readonly value: string; readonly name: string }[]
        /** Another choice asks for other boxes: the part of the record it stands in, by choice. */
        readonly opens?: Readonly<Record<string, object>>
      }
  )

/** The boxes of one group; paths are counted from `root`. */
export const boxesOf = (group: string, root = '') => ({
  text: (path: string, label: string, rules: { readonly absent?: boolean } = {}): RecordBox => ({
    group,
    path: root + path,
    label,
    kind: 'text',
    ...rules,
  }),
  shims: (path: string, label: string): RecordBox => ({ group, path: root + path, label, kind: 'shims' }),
  toggle: (path: string, label: string): RecordBox => ({ group, path: root + path, label, kind: 'toggle' }),
  number: (path: string, label: string, measure: TypedMeasure, rules: NumberRules = {}): RecordBox => ({
    group,
    path: root + path,
    label,
    kind: 'number',
    measure,
    ...rules,
  }),
  choice: <T extends string>(
    path: string,
    label: string,
    values: readonly T[],
    name: (value: T) => string,
    opens?: Readonly<Record<T, object>>,
  ): RecordBox => ({
    group,
    path: root + path,
    label,
    kind: 'choice',
    options: values.map((value) => ({ value, name: name(value) })),
    ...(opens ? { opens } : {}),
  }),
})
