const PRACTICE = 'practice-'

/** A try on the bench goes under an id that no job has. */
export const practiceId = (id: string): string => PRACTICE + id
export const isPractice = (id: string): boolean => id.startsWith(PRACTICE)
