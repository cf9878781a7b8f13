/** What the browser keeps of notes in the making begins with this. */
export const DRAFTS = 'note being written: '

/** On logging out: what one person was writing is not for the next at this machine. */
export function forgetDrafts() {
  for (const name of Object.keys(localStorage)) if (name.startsWith(DRAFTS)) localStorage.removeItem(name)
}
