import {defaultKeymap, history, historyKeymap} from '@codemirror/commands'
import {css} from '@codemirror/lang-css'
import {html} from '@codemirror/lang-html'
import {HighlightStyle, syntaxHighlighting} from '@codemirror/language'
import {Compartment, EditorState, StateEffect, StateField} from '@codemirror/state'
import {Decoration, EditorView, keymap, lineNumbers, type DecorationSet} from '@codemirror/view'
import {tags} from '@lezer/highlight'
import {Box} from '@mui/material'
import {useImperativeHandle, useLayoutEffect, useRef, type Ref} from 'react'
import {DIFFERENCES, differencesFrom} from '../../../../ui/Differences'
import type {Edit, MendedFinding} from './edits'
import {inOrder} from './edits'

/** What others may do to the text. */
export interface EditorHandle {
  take: (edits: Edit[]) => void
  replace: (text: string) => void
  show: (from: number, to: number) => void
}

/** The copy of a page that is mended: it can be written, and may be shown as what differs from the original. */
export function Editor({
  name,
  kind,
  first,
  original,
  asDifferences,
  findings,
  onText,
  onKeep,
  ref,
}: {
  name: string
  kind: string
  /** the text that it begins with */
  first: string
  original: string
  asDifferences: boolean
  findings: MendedFinding[]
  onText: (text: string) => void
  onKeep: () => void
  ref: Ref<EditorHandle>
}) {
  const place = useRef<HTMLDivElement>(null)
  const view = useRef<EditorView | null>(null)
  const begun = useRef(first)
  const told = useRef({onText, onKeep})
  useLayoutEffect(() => {
    told.current = {onText, onKeep}
  })
  useLayoutEffect(() => {
    if (place.current === null) return
    const made = new EditorView({
      parent: place.current,
      state: EditorState.create({
        doc: begun.current,
        extensions: [
          EditorView.contentAttributes.of({'aria-label': `Mended copy of ${name}`}),
          EditorView.lineWrapping,
          lineNumbers(),
          history(),
          keymap.of([
            {
              key: 'Mod-Enter',
              run: () => {
                told.current.onKeep()
                return true
              },
            },
            ...defaultKeymap,
            ...historyKeymap,
          ]),
          // What is not typed is not there: no tag is closed by itself.
          kind === 'stylesheet' ? css() : html({autoCloseTags: false}),
          syntaxHighlighting(QUIET),
          underlined,
          differences.of([]),
          EditorView.updateListener.of(({docChanged, state}) => {
            if (docChanged) told.current.onText(state.doc.toString())
          }),
        ],
      }),
    })
    view.current = made
    return () => {
      // Whatever is shown anew begins with what was typed.
      begun.current = made.state.doc.toString()
      view.current = null
      made.destroy()
    }
  }, [name, kind])
  useLayoutEffect(() => {
    view.current?.dispatch({
      effects: differences.reconfigure(asDifferences ? differencesFrom(original, false) : []),
    })
  }, [asDifferences, original, name, kind])
  useLayoutEffect(() => {
    view.current?.dispatch({effects: setFindings.of(findings)})
  }, [findings, name, kind])
  useImperativeHandle(
    ref,
    () => ({
      take: edits => {
        const changes = inOrder(edits).map(({from, to, insert}) => ({from, to, insert}))
        view.current?.dispatch({changes, scrollIntoView: true})
      },
      replace: text => view.current?.dispatch({changes: {from: 0, to: view.current.state.doc.length, insert: text}}),
      show: (from, to) => {
        const length = view.current?.state.doc.length ?? 0
        const [start, end] = [Math.min(from, length), Math.min(to, length)]
        view.current?.dispatch({
          selection: {anchor: start, head: end},
          effects: EditorView.scrollIntoView(start, {y: 'center'}),
        })
      },
    }),
    [],
  )
  return <Box ref={place} sx={PAPER} />
}

const differences = new Compartment()
const setFindings = StateEffect.define<MendedFinding[]>()

/** What is found is underlined: new in a bold stroke, what was there in a thin one. Strokes move with the text. */
const underlined = StateField.define<DecorationSet>({
  create: () => Decoration.none,
  update: (old, {effects, changes, state: {doc}}) => {
    const set = effects.find(effect => effect.is(setFindings))
    if (set === undefined) return old.map(changes)
    return Decoration.set(
      set.value
        .map(({from, to, fresh}) => ({from: Math.min(from, doc.length), to: Math.min(to, doc.length), fresh}))
        .filter(({from, to}) => to > from && to - from < LONGEST)
        .map(({from, to, fresh}) => (fresh ? FRESH : STILL).range(from, to)),
      true,
    )
  },
  provide: field => EditorView.decorations.from(field),
})

/** What is about more than so much is not underlined: it is about all of it. */
const LONGEST = 2000
const STILL = Decoration.mark({class: 'still'})
const FRESH = Decoration.mark({class: 'fresh'})

const QUIET = HighlightStyle.define([
  {tag: [tags.tagName, tags.angleBracket, tags.keyword, tags.propertyName], color: 'var(--mui-palette-desk-tag)'},
  {tag: [tags.string, tags.attributeValue, tags.number, tags.color], color: 'var(--mui-palette-desk-string)'},
  {tag: [tags.comment, tags.meta], color: 'var(--mui-palette-text-secondary)', fontStyle: 'italic'},
])

const PAPER = {
  ...DIFFERENCES,
  '& .cm-editor': {height: 'auto', minHeight: '100%', '&.cm-focused': {outline: 'none'}},
  '& .cm-content': {py: 1.5, color: 'text.primary', '&:focus-visible': {outlineOffset: -2}},
  '& .cm-cursor': {borderLeftColor: 'text.primary'},
  '& .still': {borderBottom: '1px solid', borderColor: 'desk.pencil'},
  '& .fresh': {borderBottom: '3px solid', borderColor: 'desk.fault'},
} as const
