/** Bytes of a job's file: as many photographs as a job may have, and to spare. */
export const LARGEST_JOB_FILE = 40_000_000
