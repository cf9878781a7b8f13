/** What is typed as a number, with a point or a comma; NaN for what is none. */
export const typedNumber = (text: string): number => Number(text.replace(',', '.'))

/** Points are kept to hundredths: without the error of binary numbers in a sum of them. */
export const hundredths = (points: number): number => Math.round(100 * points) / 100

/** The least first, alike ones by name, and those without a value last. */
export function leastFirst<T>(all: T[], value: (one: T) => number | null, name: (one: T) => string): T[] {
  return [...all].sort((a, b) => {
    const [one, other] = [value(a), value(b)]
    if (one === null || other === null) return Number(one === null) - Number(other === null)
    return one - other || name(a).localeCompare(name(b))
  })
}
