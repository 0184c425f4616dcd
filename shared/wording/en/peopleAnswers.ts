/** What the server says about signing in, people and customers. */
export const peopleAnswers = {
  signIn: 'Sign in first: show your PIN on this device.',
  signInAs: (name: string) => `${name} has to show their PIN on this device first. What they wrote waits.`,
  wrong: 'No one of that name has this PIN. Check both.',
  wait: (seconds: number) =>
    `Too many wrong guesses. Try again in ${seconds < 90 ? `${seconds} seconds` : `${Math.ceil(seconds / 60)} minutes`}.`,
  chooseOwn: 'This PIN lets you in once. Choose one of your own.',
  anotherThanGiven: 'Choose another than the one you were given.',
  leadThere: 'This works has a lead already. Sign in, or ask them for a PIN.',
  notForRole: (role: string) =>
    `That is not for the role ${role}. Ask a lead, or let somebody sign in who may.`,
  needsSecond: 'This takes the PIN of a second person who may do it alone.',
  secondNotShown: 'The second person has not shown their PIN for this. Let them do it again.',
  secondIsSomebodyElse: 'The second person is somebody else than who is writing.',
  secondNeedsOwn: 'They have yet to choose a PIN of their own. Let them sign in once first.',
  secondMayNot: (name: string) => `${name} may not do this alone either. Ask somebody who may.`,
  ownFeed: 'Make a calendar of your own; that of the works, or of somebody else, is for who plans.',
  idTaken: 'Something else already has this id.',
  nameTaken: 'Somebody here is called that already. Add something that tells them apart.',
  noPerson: 'There is nobody by that id. Look them up under People.',
  personChanged: 'Someone changed this person meanwhile. Look at their change, then make yours again.',
  lastLead: 'Nobody else leads. Make somebody else a lead first, and let them sign in.',
  noCustomer: 'There is no such customer. Look it up under People, Customers.',
  customerChanged: 'Someone changed this customer meanwhile. Look at their change, then make yours again.',
  customerNameTaken: 'Another customer is called that already.',
  customerRetired: 'Nothing is shown to this customer any more. Ask the works.',
  siteIdTaken: 'Another site already has this id.',
}
