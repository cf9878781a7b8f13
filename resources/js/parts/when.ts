const day = new Intl.DateTimeFormat('en-GB', {weekday: 'short', day: 'numeric', month: 'short'})
const time = new Intl.DateTimeFormat('en-GB', {hour: '2-digit', minute: '2-digit'})

/** A time in the reader's zone, such as "Tue 24 Nov, 14:02", with its year where it is not this one. */
export function when(iso: string): string {
  const date = new Date(iso)
  const year = date.getFullYear() === new Date().getFullYear() ? '' : ` ${date.getFullYear()}`
  return `${day.format(date)}${year}, ${time.format(date)}`
}

export const hour = (date: Date) => time.format(date)

/** A count with its word: "1 page", "3 pages". */
export const many = (count: number, one: string, more = `${one}s`) => `${count} ${count === 1 ? one : more}`
