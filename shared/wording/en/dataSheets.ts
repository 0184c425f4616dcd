import { said } from '../words'

/** Data sheets to print, as they are offered. */
export const dataSheets = {
  title: 'Data sheet to print:',
  blankA4: 'blank, A4',
  blankLetter: 'blank, Letter',
  filledA4: 'filled, A4',
  filledLetter: 'filled, Letter',
}

export const dataSheetsWords = said(dataSheets)
