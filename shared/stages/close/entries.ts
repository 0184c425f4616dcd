import { z } from 'zod'
import { DUE_FOR } from '../../../core/stages/close/due'
import { issue } from '../../issue'
import { oneOf, whole } from '../../calculation/fields'
import { defineKind } from '../../logbook/kind'
import { text, words } from '../../text'

export const closingKinds = {
  'job-closed': defineKind(
    'job-closed',
    z.object({
      signedBy: words('who-signs', 120),
      remarks: text('remarks', 4000),
      exception: text('exception', 1000),
      due: z
        .object({
          on: z.iso.date({ error: issue('day', 'next-look') }),
          what: oneOf('reason-to-come-back', DUE_FOR),
          words: text('note', 200),
        })
        .nullable()
        .optional(),
      signed: z
        .object({
          verdict: oneOf('signed-verdict', ['in', 'edge', 'out', 'unknown']),
          foldVersion: whole('fold-version', 1, 1_000_000),
        })
        .nullable(),
    }),
  ),
}
