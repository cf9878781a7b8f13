import {Box, Button} from '@mui/material'
import {useRef, useState, type ChangeEvent, type DragEvent, type ReactNode} from 'react'
import {chosen, dropped, type Placed} from '../lib/files'
import {useKeys} from './keys'

/** Where zips, folders and files are dropped, or chosen. */
export function FileDrop({
  onFiles,
  busy,
  choose,
  testId,
  keyName,
  children,
  after,
}: {
  onFiles: (files: Promise<Placed[]>) => void
  busy: boolean
  /** what the button that chooses files says */
  choose: string
  testId?: string
  /** a key that chooses files */
  keyName?: string
  children: ReactNode
  /** what stands below the buttons */
  after?: ReactNode
}) {
  const [over, setOver] = useState(false)
  const files = useRef<HTMLInputElement>(null)
  const folder = useRef<HTMLInputElement>(null)
  useKeys(keyName === undefined ? [] : [{key: keyName, does: 'choose files', run: () => files.current?.click()}])
  const take = (event: ChangeEvent<HTMLInputElement>) => {
    const list = chosen(event.target.files)
    event.target.value = ''
    if (list.length > 0) onFiles(Promise.resolve(list))
  }
  return (
    <Box
      onDragOver={event => {
        event.preventDefault()
        setOver(true)
      }}
      onDragLeave={() => setOver(false)}
      onDrop={(event: DragEvent) => {
        event.preventDefault()
        setOver(false)
        onFiles(dropped(event.dataTransfer))
      }}
      sx={{
        border: 2,
        borderStyle: over ? 'solid' : 'dashed',
        borderColor: over ? 'desk.ink' : 'desk.rule',
        bgcolor: 'desk.sheet',
        p: 3,
        textAlign: 'center',
      }}
    >
      {children}
      <Box sx={{display: 'flex', flexWrap: 'wrap', gap: 1.5, justifyContent: 'center'}}>
        <Button variant="outlined" loading={busy} onClick={() => files.current?.click()}>
          {choose}
        </Button>
        <Button disabled={busy} onClick={() => folder.current?.click()}>
          Choose a folder
        </Button>
      </Box>
      <input ref={files} type="file" multiple hidden aria-label="A zip or files" data-testid={testId} onChange={take} />
      <input
        ref={element => {
          folder.current = element
          // React does not know this attribute, which every browser at a desk does.
          element?.setAttribute('webkitdirectory', '')
        }}
        type="file"
        hidden
        aria-label="A folder"
        onChange={take}
      />
      {after}
    </Box>
  )
}
