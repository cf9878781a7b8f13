import {SvgIcon} from '@mui/material'
import signs from '../lib/proof-marks.json'

/**
 * The signs of a proof corrector, drawn for this desk: a caret, a pigtail, a struck stroke, a hook round two words, an
 * eye. Replies that are taken along as one page draw them too.
 */
const SIGNS: Record<string, {path: string; name: string}> = signs

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
