import {Box, Link, Typography} from '@mui/material'
import {useState} from 'react'
import {Link as RouterLink} from 'react-router'
import type {Schemas} from '../../lib/schemas'
import {requirementAt} from './address'
import {leastMet, type Row} from './order'

/** The requirements that most hand-ins fall short of, with whose they are. */
export function ByRequirement({rows, requirements}: {rows: Row[]; requirements: Schemas['SheetRequirement'][]}) {
  const [open, setOpen] = useState<string | null>(null)
  const missed = leastMet(rows, requirements)
  const handIns = rows.filter(row => row.handInId !== null).length
  if (missed.length === 0)
    return (
      <Typography variant="body2" color="textSecondary">
        Every requirement is met by everyone.
      </Typography>
    )
  return (
    <Box component="ul" sx={{listStyle: 'none', m: 0, p: 0}}>
      {missed.map(({requirement, by}) => (
        <Box component="li" key={requirement.id} sx={{borderTop: 1, borderColor: 'desk.rule', py: 0.75}}>
          <Box sx={{display: 'grid', gridTemplateColumns: '3.2rem minmax(0, 1fr)', gap: 1, alignItems: 'baseline'}}>
            <Typography variant="body2">
              {by.length} of {handIns}
            </Typography>
            <Link
              component="button"
              variant="body2"
              aria-expanded={open === requirement.id}
              sx={{textAlign: 'left'}}
              onClick={() => setOpen(open === requirement.id ? null : requirement.id)}
            >
              {requirement.title}
            </Link>
          </Box>
          {open === requirement.id && (
            <Typography variant="body2" component="div" sx={{pl: '4.1rem', pt: 0.5}}>
              {by.map(({row, percent}, at) => (
                <span key={row.studentId}>
                  {at > 0 && ', '}
                  <Link component={RouterLink} to={requirementAt(row.handInId ?? '', requirement.id)}>
                    {row.student} ({percent} %)
                  </Link>
                </span>
              ))}
            </Typography>
          )}
        </Box>
      ))}
    </Box>
  )
}
