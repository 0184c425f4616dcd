import type { Component } from 'vue'
import type { Job, StageId } from '~~/core/jobs/jobs'
import type { PartRow, TrainState } from '~~/core/jobs/train'
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
  /** The parts of a line that a stage is done at; missing where a machine has none. */
  readonly partsAt?: (train: TrainState, stage: StageId) => readonly PartRow[]
}

/** The arithmetic of each kind of job comes with the first job of that kind; the others' while the network is there. */
const LOADS: Readonly<Record<Machine['drive'], () => Promise<{ readonly kind: LoadedKind }>>> = {
  coupled: ahead(() => import('./coupled')),
  train: ahead(() => import('./train')),
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
