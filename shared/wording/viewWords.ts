/**
 * Words that single views alone use, and those that only the server says: imported by name where they are used, so that no other view loads
 * them. Another language gives the same names.
 */
export { answers as answerWords } from './en/answers'
export { beltLimits as beltLimitWords } from './en/beltLimits'
export { history as historyWords } from './en/history'
export { limitSets as limitSetWords } from './en/limitSets'
export { quick as quickWords } from './en/quick'
export { register as recordWords } from './en/register'
export { sections as sectionWords } from './en/sections'
export { stores as storeWords } from './en/stores'
