const STEPS: Record<string, readonly [down: number, across: number]> = {
  ArrowUp: [-1, 0],
  ArrowDown: [1, 0],
  ArrowLeft: [0, -1],
  ArrowRight: [0, 1],
}

/** The link that an arrow key leads to from inside a table's cell; cells and rows without one are passed over. */
export function neighbour(from: Element, key: string): HTMLElement | null {
  const cell = from.closest('td, th')
  const row = cell?.closest('tr')
  const step = STEPS[key]
  if (!(cell instanceof HTMLTableCellElement) || row == null || step === undefined) return null
  const [down, across] = step
  const cells = down === 0 ? [...row.cells] : rowsOf(row).map(one => one.cells[cell.cellIndex])
  const here = cells.indexOf(cell)
  const way = down + across > 0 ? cells.slice(here + 1) : cells.slice(0, here).reverse()
  return way.map(one => one?.querySelector<HTMLElement>('a') ?? null).find(link => link !== null) ?? null
}

const rowsOf = (row: HTMLTableRowElement) =>
  [...(row.parentElement?.children ?? [])].filter(one => one instanceof HTMLTableRowElement)
