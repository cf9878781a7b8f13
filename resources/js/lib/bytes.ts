const UNITS = [
  ['GB', 1e9],
  ['MB', 1e6],
  ['kB', 1e3],
] as const

/** A size in words: "17 bytes", "3.2 MB", "20 GB". */
export function bytes(count: number): string {
  for (const [unit, size] of UNITS)
    if (count >= size) return `${+(count / size).toFixed(count < 10 * size ? 1 : 0)} ${unit}`
  return `${count} ${count === 1 ? 'byte' : 'bytes'}`
}
