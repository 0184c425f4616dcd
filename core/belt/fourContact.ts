/** Which of the four rims an edge touches; near is nearer the other shaft. */
export interface FourContacts {
  readonly reference: { readonly far: boolean; readonly near: boolean }
  readonly other: { readonly near: boolean; readonly far: boolean }
}

export type ContactDiagnosis = 'in-line' | 'offset' | 'turned' | 'reference-unsure'

/**
 * The quick check with a straight edge: all touch, in line; both rims of the other sheave stand
 * off alike, offset; one of them touches, turned; the edge rocks on the reference, its face is bad
 * or the edge is not straight. Numbers follow (docs/methods/four-contact.md).
 */
export const fourContact = (contacts: FourContacts): ContactDiagnosis => {
  const { reference, other } = contacts
  if (!reference.far || !reference.near) return 'reference-unsure'
  if (other.near && other.far) return 'in-line'
  return other.near || other.far ? 'turned' : 'offset'
}
