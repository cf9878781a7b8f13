import {Box} from '@mui/material'
import type {ReactNode} from 'react'

/** A table as a ruled sheet: thin rules, no boxes. */
export function RuledTable({caption, heads, children}: {caption: string; heads: string[]; children: ReactNode}) {
  return (
    <Box
      component="table"
      sx={{
        borderCollapse: 'collapse',
        width: '100%',
        fontSize: '0.86rem',
        lineHeight: 1.4,
        mt: 1,
        '& th, & td': {
          textAlign: 'left',
          verticalAlign: 'top',
          py: 0.75,
          pr: 2,
          borderBottom: 1,
          borderColor: 'desk.rule',
          fontWeight: 400,
        },
        '& thead th': {color: 'text.secondary', fontVariant: 'small-caps', whiteSpace: 'nowrap'},
        '& tbody th': {fontWeight: 600},
      }}
    >
      <caption className="unseen">{caption}</caption>
      <thead>
        <tr>
          {heads.map((head, index) => (
            <th key={`${head} ${index}`} scope="col">
              {head}
            </th>
          ))}
        </tr>
      </thead>
      <tbody>{children}</tbody>
    </Box>
  )
}
