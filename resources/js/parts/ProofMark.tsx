import {SvgIcon} from '@mui/material'

/** The signs of a proof corrector, drawn for this desk: a caret, a pigtail, a struck stroke, a hook round two words, an eye. */
const SIGNS: Record<string, {path: string; name: string}> = {
  insert: {name: 'insert', path: 'M4 19.5 C7 16 10.5 10 12 4.5 C13.6 10 17 16 20 19.5 M12 4.5 C11.8 4 12.1 3.4 12.5 3'},
  'take-out': {
    name: 'take out',
    path: 'M3 20 L13.5 8.5 C16 5.6 19.5 4 20.3 6.3 C21 8.6 17.8 11 15.2 9.6 C13 8.4 13.7 5 16.4 2.6',
  },
  change: {
    name: 'change',
    path: 'M5 20 C8 14.5 13 8 19 3.5 M9 8.2 C8 6.7 5.4 6.6 4.4 8.4 M15.2 19.6 C17 20.6 19.4 19.6 19.8 17.4',
  },
  move: {name: 'move', path: 'M3 16 C3 9.5 12 10.5 12 14.5 C12 19 21 18.5 21 8.5 M21 8.5 L17.8 11.2 M21 8.5 L23 12'},
  look: {
    name: 'look',
    path: 'M2.5 13 C6 7.5 17 6.5 21.5 12 C18 17.5 7 18.5 2.5 13 M12 9.6 C9.3 9.8 9.4 15 12.2 14.8 C15 14.6 14.7 9.4 12 9.6',
  },
}

const STROKES: Record<string, number> = {fault: 2.6, departure: 1.8, tidy: 1.1}

export function ProofMark({mark, weight = 'departure'}: {mark: string; weight?: string}) {
  const sign = SIGNS[mark] ?? {name: mark, path: ''}
  return (
    <SvgIcon
      viewBox="0 0 24 24"
      titleAccess={sign.name}
      sx={{
        fontSize: 20,
        fill: 'none',
        stroke: 'currentColor',
        strokeWidth: STROKES[weight] ?? 1.8,
        strokeLinecap: 'round',
        strokeLinejoin: 'round',
      }}
    >
      <path d={sign.path} />
    </SvgIcon>
  )
}
