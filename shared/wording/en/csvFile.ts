import type { CsvFault } from '../../files/csvLines'

/** What is wrong with a CSV file, whatever it holds. */
export const csvFile = {
  tooLong:
    'This line has more cells than there are columns. A comma inside a figure or a text wants quotation marks around it.',
  wrong: (fault: CsvFault): string => {
    switch (fault.is) {
      case 'empty':
        return 'The file is empty.'
      case 'too-many':
        return `That is more than ${fault.most} lines. Split the file.`
      case 'no-columns':
        return `The first line must name the columns; these are missing: ${fault.missing.join(', ')}.`
      case 'torn':
        return `Line ${fault.line}: a quotation mark is opened here and never closed.`
    }
  },
}

export { csvFile as csvFileWords }
