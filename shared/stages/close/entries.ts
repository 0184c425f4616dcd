import { z } from 'zod'
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
      signed: z
        .object({
          verdict: oneOf('signed-verdict', ['in', 'edge', 'out', 'unknown']),
          foldVersion: whole('fold-version', 1, 1_000_000),
        })
        .nullable(),
    }),
  ),
}
