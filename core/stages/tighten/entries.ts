export interface TightenEntries {
  /** The base bolts drawn down; line and tension are read again after it. */
  'base-tightened': { readonly words: string }
}
