import {Button, Menu, MenuItem} from '@mui/material'
import {useState} from 'react'

const FORMS = [
  {ending: 'csv', words: 'CSV'},
  {ending: 'csv?bom=1', words: 'CSV with a byte order mark, for office programs that misread é'},
  {ending: 'xlsx', words: 'Sheet as XLSX'},
  {ending: 'ods', words: 'Sheet as OpenDocument'},
]

/** The gradebook as a file. */
export function Export({courseId}: {courseId: string}) {
  const [at, setAt] = useState<HTMLElement | null>(null)
  return (
    <>
      <Button aria-haspopup="menu" aria-expanded={at !== null} onClick={event => setAt(event.currentTarget)}>
        Download
      </Button>
      <Menu anchorEl={at} open={at !== null} onClose={() => setAt(null)}>
        {FORMS.map(({ending, words}) => (
          <MenuItem
            key={ending}
            component="a"
            href={`/api/courses/${courseId}/gradebook.${ending}`}
            onClick={() => setAt(null)}
          >
            {words}
          </MenuItem>
        ))}
      </Menu>
    </>
  )
}
