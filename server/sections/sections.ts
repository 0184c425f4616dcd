import { sectionFields, type SectionFields } from '../../shared/sections/section'
import { answerWords } from '../../shared/wording/viewWords'
import { keptTables } from '../tables/keptTables'

/** What is known of belt sections: one in use of each section and construction. Jobs already open keep theirs. */
export const beltSections = keptTables<SectionFields>({
  table: 'belt_sections',
  flag: 'in_use',
  holds: (section) => section.inUse,
  fieldsOf: (record, inUse) => sectionFields.parse({ ...record, inUse }),
  columnsOf: ({ inUse: _, ...record }) => ({
    record,
    names: { section: record.section.trim(), construction: record.construction ?? '' },
  }),
  order: [{ column: 'section' }, { column: 'construction' }, { column: 'updated_at', order: 'desc' }],
  words: {
    idTaken: answerWords.sectionIdTaken,
    changed: answerWords.sectionChanged,
    unknown: answerWords.noSection,
  },
})
