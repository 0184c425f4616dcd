/** What joins a motor to its machine, and how it stands; a kind of job each. */
export const DRIVES = ['coupled', 'train', 'flange', 'drum', 'gear', 'belt'] as const
export type Drive = (typeof DRIVES)[number]

/** Names of a list that are for some drives alone; a name that is missing is for all. */
export type OnlyFor<Name extends string> = Readonly<Partial<Record<Name, readonly Drive[]>>>

/** The names that are for this drive. */
export const namesFor = <Name extends string>(
  names: readonly Name[],
  only: OnlyFor<Name>,
  drive: Drive,
): readonly Name[] => names.filter((n) => only[n]?.includes(drive) ?? true)
