import Papa from 'papaparse'

/** Whatever a spreadsheet would run as a formula; figures with a sign are none. */
export const FORMULA = /^(?:[=@\t\r]|[+-](?![\d.]))/

/** Rows as CSV under the names of their columns; nothing of it is run by a spreadsheet that opens it. */
export const csvText = (
  columns: readonly string[],
  rows: readonly (readonly (string | number | boolean | null)[])[],
): string => {
  const table = { fields: [...columns], data: rows.map((r) => [...r]) }
  // Heads alone end in a line's end already.
  return Papa.unparse(table, { escapeFormulae: FORMULA, newline: '\r\n' }).replace(/(\r\n)?$/, '\r\n')
}
