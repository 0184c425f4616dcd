import { said } from '../words'

/** What buttons and questions say on several stages. */
export const actions = {
  goOn: 'Go on',
  goOnAsItIs: 'Go on as it is and say why',
  logIt: 'Log it',
  logCorrection: 'Log the correction',
  leaveAsItWas: 'Leave it as it was',
  whatWasWrong: 'What was wrong with it?',
  why: 'Why?',
  passOver: 'Pass it over',
  remark: 'Remark',
  tryAgain: 'Try again',
  fetching: 'Fetching',
  showWorking: 'Show working',
  reasonPrints: 'Your reason prints on the report.',
}

export const actionsWords = said(actions)
