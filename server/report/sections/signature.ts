import { closingWords, reportWords, verdictsWords } from '../../../shared/wording/en'
import type { Content } from 'pdfmake/interfaces'
import { GLASS, type CustomerSigned } from '../../../core/stages/close/glass'
import { signatureSvg } from '../../../shared/drawing/signature'
import { signedOtherwise } from '../../../core/stages/close/closing'
import { dueWords } from '../../../shared/wording/due'
import { block, QUIET, when } from '../blocks'
import type { Common, Section } from '../section'

/** How wide a drawn signature prints, points. */
const HAND = 140

/** A name over the line it stands for, and what the line is for under it. */
const line = (above: string, below: string): Content => ({
  stack: [
    { text: above || ' ', margin: [0, 26, 0, 2] },
    { canvas: [{ type: 'line', x1: 0, y1: 0, x2: 220, y2: 0, lineWidth: 0.7 }] },
    { text: below, color: QUIET },
  ],
})

/** The customer's own hand over the line, with their name under it; the line alone where they sign on paper. */
const customerLine = (signed: CustomerSigned | null, below: string): Content => {
  if (!signed) return line('', below)
  const named = [below, signed.name].join(': ')
  if (signed.strokes.length === 0) return line('', named)
  return {
    stack: [
      { svg: signatureSvg(signed.strokes), width: HAND, height: (HAND * GLASS.height) / GLASS.width },
      { canvas: [{ type: 'line', x1: 0, y1: 0, x2: 220, y2: 0, lineWidth: 0.7 }] },
      { text: named, color: QUIET },
    ],
  }
}

/** Remarks at closing, the exception, what was signed, and room for both signatures. */
export const signature: Section<Common> = ({ closing, outcome }, { personName, telling }) => {
  const { words } = telling
  const w = reportWords(words).signature
  const differs = signedOtherwise(closing, outcome)
  return [
    block(
      w.name,
      ...(closing?.payload.remarks ? [{ text: closing.payload.remarks }] : []),
      ...(closing?.payload.exception ? [{ text: w.exception(closing.payload.exception), bold: true }] : []),
      ...(closing?.payload.due ? [{ text: dueWords(closing.payload.due, { words }) }] : []),
      ...(differs
        ? [
            {
              text: closingWords(words).signedOtherwise(
                verdictsWords(words)[differs.signed],
                verdictsWords(words)[differs.now],
              ),
              bold: true,
            },
          ]
        : []),
      {
        text: closing ? w.closed(when(closing.madeAt), personName(closing.author)) : w.stillOpen,
      },
      {
        columns: [
          line(closing?.payload.signedBy ?? '', w.signature),
          customerLine(closing?.payload.customer ?? null, w.customer),
        ],
      },
    ),
  ]
}
