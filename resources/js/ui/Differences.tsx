import {EditorState} from '@codemirror/state'
import {EditorView, lineNumbers} from '@codemirror/view'
import {unifiedMergeView} from '@codemirror/merge'
import {Box} from '@mui/material'
import {useLayoutEffect, useRef} from 'react'
import {mono} from './theme'

/** Two texts as one, line by line: what is gone is struck, what came is underlined in ink. */
export function Differences({before, now, name}: {before: string; now: string; name: string}) {
  const place = useRef<HTMLDivElement>(null)
  useLayoutEffect(() => {
    if (place.current === null) return
    const made = new EditorView({
      parent: place.current,
      state: EditorState.create({
        doc: now,
        extensions: [
          EditorState.readOnly.of(true),
          EditorView.editable.of(false),
          EditorView.contentAttributes.of({tabindex: '0', 'aria-label': `What differs in ${name}`}),
          EditorView.lineWrapping,
          lineNumbers(),
          differencesFrom(before, true),
        ],
      }),
    })
    return () => made.destroy()
  }, [before, now, name])
  return <Box ref={place} sx={DIFFERENCES} />
}

/** How two texts are held against each other: fast on thousands of lines, and in ink and pencil. */
export const differencesFrom = (original: string, isCollapsed: boolean) =>
  unifiedMergeView({
    original,
    mergeControls: false,
    highlightChanges: true,
    gutter: false,
    syntaxHighlightDeletions: false,
    diffConfig: {scanLimit: 2000, timeout: 500},
    ...(isCollapsed ? {collapseUnchanged: {margin: 3, minSize: 6}} : {}),
  })

export const DIFFERENCES = {
  minWidth: 0,
  '& .cm-editor': {height: 'auto', '&.cm-focused': {outline: 'none'}},
  '& .cm-scroller': {fontFamily: mono, fontSize: 12.5, lineHeight: 1.65},
  '& .cm-content': {color: 'text.primary', caretColor: 'currentcolor'},
  '& .cm-line': {pl: 0, pr: 1},
  '& .cm-lineNumbers .cm-gutterElement': {
    minWidth: '3.6em',
    pl: 1,
    pr: 1.25,
    mr: 1.5,
    borderRight: 1,
    borderColor: 'desk.rule',
    userSelect: 'none',
  },
  '& .cm-editor .cm-gutters.cm-gutters': {bgcolor: 'transparent', border: 0, color: 'text.secondary'},
  '& .cm-editor .cm-changedLine.cm-changedLine': {bgcolor: 'action.hover'},
  '& .cm-editor .cm-insertedLine.cm-insertedLine, & .cm-editor .cm-inserted': {bgcolor: 'action.hover'},
  '& .cm-editor .cm-changedText.cm-changedText': {
    background: 'none',
    borderBottom: '2px solid',
    borderColor: 'desk.ink',
    color: 'desk.ink',
  },
  '& .cm-editor .cm-deletedChunk.cm-deletedChunk': {
    bgcolor: 'transparent',
    pl: '6px',
    color: 'desk.pencil',
    textDecoration: 'line-through',
    textDecorationThickness: '1px',
    '& .cm-deletedText': {background: 'none', borderBottom: '1px solid'},
  },
  '& .cm-editor .cm-collapsedLines.cm-collapsedLines': {
    background: 'none',
    color: 'text.secondary',
    fontFamily: 'fontFamily',
    textAlign: 'center',
    py: 0.25,
    borderTop: '1px solid',
    borderBottom: '1px solid',
    borderColor: 'desk.rule',
    '&:before, &:after': {content: 'none'},
  },
} as const
