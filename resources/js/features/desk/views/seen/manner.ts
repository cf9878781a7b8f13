/** The element that is pointed at, by its place in the page, and what is done when another is. */
export interface Pointing {
  at: string | null
  /** what is outlined while nothing is pointed at: links are followed all the same */
  outlined?: string | null
  onPoint: (at: string | null) => void
}

/** How a page is shown: without touching its files. */
export interface Manner {
  scripts: boolean
  /** `own`, `none`, or `sheet:` or `given:` and the path of the stylesheet in place of its own */
  styles: string
  /** px; null for as wide as there is room */
  width: number | null
}

export const AS_IT_IS: Manner = {scripts: false, styles: 'own', width: null}
