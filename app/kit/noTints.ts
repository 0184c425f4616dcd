/**
 * Stands in for the colour library that the kit's buttons load for a `color` property. No button here has
 * one: colours come from the tokens. Seven kilobytes that no view needs.
 */
// eslint-disable-next-line @typescript-eslint/no-extraneous-class -- the kit wants a class of this name
export class TinyColor {
  constructor() {
    throw new Error('Buttons take their colours from app/assets/tokens.css, not from a color property.')
  }
}
