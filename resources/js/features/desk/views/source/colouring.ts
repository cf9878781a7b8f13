/** Quiet colouring of source: three tones, and everything else as it is. Offsets count UTF-16 units, as strings do. */
export type Tone = 'tag' | 'string' | 'comment'

export interface Run {
  from: number
  to: number
  tone: Tone
}

const COMMENT_OR_TAG = /<!--[\s\S]*?(?:-->|$)|<[!/]?[a-zA-Z](?:[^<>"']|"[^"]*"|'[^']*')*>?/g
const STRING = /"[^"]*"|'[^']*'/g
const SHEET = /\/\*[\s\S]*?(?:\*\/|$)|"[^"\n]*"|'[^'\n]*'|[^{};/"']+(?=\{)/g

export function tones(text: string, kind: string): Run[] {
  if (kind === 'page') return pageTones(text)
  if (kind !== 'stylesheet') return []
  return [...text.matchAll(SHEET)].map(match => ({
    from: match.index,
    to: match.index + match[0].length,
    tone: match[0].startsWith('/*') ? 'comment' : /^["']/.test(match[0]) ? 'string' : 'tag',
  }))
}

function pageTones(text: string): Run[] {
  const runs: Run[] = []
  for (const {0: piece, index} of text.matchAll(COMMENT_OR_TAG)) {
    if (piece.startsWith('<!--')) {
      runs.push({from: index, to: index + piece.length, tone: 'comment'})
      continue
    }
    let from = index
    for (const string of piece.matchAll(STRING)) {
      runs.push({from, to: index + string.index, tone: 'tag'})
      from = index + string.index + string[0].length
      runs.push({from: index + string.index, to: from, tone: 'string'})
    }
    runs.push({from, to: index + piece.length, tone: 'tag'})
  }
  return runs
}

/** The UTF-16 offset of a 1-based column that counts code points. */
export function offsetOf(column: number, line: string): number {
  return Array.from(line)
    .slice(0, column - 1)
    .join('').length
}
