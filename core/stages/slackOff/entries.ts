export interface SlackOffEntries {
  /** The motor was brought in and the belts hang loose; `off` where they were lifted off. */
  'slacked-off': { readonly belts: 'loose' | 'off'; readonly words: string }
}
