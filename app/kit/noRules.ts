/**
 * Stands in for the checker that the kit's forms load for a `rules` property. No form here has one: what is typed is
 * checked by the schemas of `shared/`. Seven kilobytes that no view needs.
 */
export default class {
  validate(): never {
    throw new Error('What is typed is checked by the schemas of shared/, not by a rules property.')
  }
}
