/** What writes times in a zone; undefined for that of the browser. */
const clocks = (timeZone?: string) => {
  const format = (parts: Intl.DateTimeFormatOptions) => new Intl.DateTimeFormat('en-GB', {...parts, timeZone})
  return {
    day: format({weekday: 'short', day: 'numeric', month: 'short'}),
    time: format({hour: '2-digit', minute: '2-digit'}),
    year: format({year: 'numeric'}),
  }
}

let clock = clocks()

/** From now on times are shown in this zone of the IANA database; null for that of the browser. */
export function readIn(timeZone: string | null) {
  try {
    clock = clocks(timeZone ?? undefined)
  } catch {
    // A zone that this browser does not know.
    clock = clocks()
  }
}

function written(iso: string, {day, time, year}: typeof clock): string {
  const date = new Date(iso)
  const its = year.format(date)
  return `${day.format(date)}${its === year.format(new Date()) ? '' : ` ${its}`}, ${time.format(date)}`
}

/** A time in the reader's zone, such as "Tue 24 Nov, 14:02", with its year where it is not this one. */
export const when = (iso: string): string => written(iso, clock)

/**
 * A time as a clock in some zone shows it, with the name of the zone where that is not what the reader's clock shows.
 *
 * @param timeZone of the IANA database, such as that of a course
 */
export function whenIn(iso: string, timeZone: string): string {
  const here = when(iso)
  try {
    const there = written(iso, clocks(timeZone))
    return there === here ? here : `${there} (${timeZone})`
  } catch {
    // A zone that this browser does not know.
    return here
  }
}

export const hour = (date: Date) => clock.time.format(date)

/** A count with its word: "1 page", "3 pages". */
export const many = (count: number, one: string, more = `${one}s`) => `${count} ${count === 1 ? one : more}`
