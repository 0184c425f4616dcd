import { limitSetFields, type LimitSetFields } from '../../shared/limits/limitSet'
import { answerWords } from '../../shared/wording/viewWords'
import { keptTables } from '../tables/keptTables'

/** Tables of limits by speed: one in force for the works, and one for each kind of coupling. Jobs already open keep theirs. */
export const limitSets = keptTables<LimitSetFields>({
  table: 'limit_sets',
  flag: 'in_force',
  holds: (set) => set.inForce,
  fieldsOf: (record, inForce) => limitSetFields.parse({ ...record, inForce }),
  columnsOf: ({ inForce: _, ...record }) => ({
    record,
    names: { level: record.level, coupling: record.coupling.trim() },
  }),
  order: [
    { column: 'level', order: 'desc' },
    { column: 'coupling' },
    { column: 'updated_at', order: 'desc' },
  ],
  words: {
    idTaken: answerWords.limitsIdTaken,
    changed: answerWords.limitsChanged,
    unknown: answerWords.noLimits,
  },
})
