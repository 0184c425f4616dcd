import { beltLimitFields, type BeltLimitFields } from '../../shared/beltLimits/beltLimits'
import { answerWords } from '../../shared/wording/viewWords'
import { keptTables } from '../tables/keptTables'

/** What belt drives are judged by: one in force for each kind of belt, and one for every kind. Jobs already open keep theirs. */
export const beltLimits = keptTables<BeltLimitFields>({
  table: 'belt_limits',
  flag: 'in_force',
  holds: (limits) => limits.inForce,
  fieldsOf: (record, inForce) => beltLimitFields.parse({ ...record, inForce }),
  columnsOf: ({ inForce: _, ...record }) => ({ record, names: { kind: record.kind ?? '' } }),
  order: [{ column: 'kind' }, { column: 'updated_at', order: 'desc' }],
  words: {
    idTaken: answerWords.limitsIdTaken,
    changed: answerWords.limitsChanged,
    unknown: answerWords.noLimits,
  },
})
