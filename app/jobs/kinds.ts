import type { Component } from 'vue'
import type { Job, StageId } from '~~/core/jobs/jobs'
import type { KindOfJob } from '~~/core/jobs/kindOfJob'
import type { Machine } from '~~/core/register/machine'
import type { Findings } from '~~/shared/wording/commonFindings'
import type { Telling } from '~~/shared/wording/telling'
import { ahead } from '~/stages/ahead'

export type Views<S extends StageId> = Readonly<Record<S, Component>>

/** A kind of job with what its run sheet says and what is seen of its stages. */
export interface LoadedKind extends KindOfJob {
  readonly findings: (job: Job, telling: Telling) => Findings
  readonly views: Partial<Views<StageId>>
}

/** The arithmetic of each kind of job comes with the first job of that kind; the others' while the network is there. */
const LOADS: Readonly<Record<Machine['drive'], () => Promise<{ readonly kind: LoadedKind }>>> = {
  coupled: ahead(() => import('./coupled')),
  flange: ahead(() => import('./flange')),
  drum: ahead(() => import('./drum')),
  gear: ahead(() => import('./gear')),
  belt: ahead(() => import('./belt')),
}

/** The kind of job of this machine. Throws an `ApiFailure` that passes where its script can't be had now. */
export const loadKind = async ({ drive }: Pick<Machine, 'drive'>): Promise<LoadedKind> => {
  try {
    return (await LOADS[drive]()).kind
  } catch {
    throw outOfReach()
  }
}
