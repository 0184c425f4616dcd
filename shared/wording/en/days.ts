import { said } from '../words'

const days = {
  months: ['Jan', 'Feb', 'Mar', 'Apr', 'May', 'Jun', 'Jul', 'Aug', 'Sep', 'Oct', 'Nov', 'Dec'],
  day: (day: number, month: string, year: number) => `${day} ${month} ${year}`,
}

export const daysWords = said(days)
