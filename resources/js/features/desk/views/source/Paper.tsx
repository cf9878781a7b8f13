import {EditorState, RangeSetBuilder, StateEffect, StateField, type Extension, type Text} from '@codemirror/state'
import {
  Decoration,
  EditorView,
  GutterMarker,
  gutterLineClass,
  lineNumbers,
  WidgetType,
  type DecorationSet,
} from '@codemirror/view'
import {Box} from '@mui/material'
import {useEffect, useImperativeHandle, useLayoutEffect, useRef, type Ref} from 'react'
import {mono} from '../../../../ui/theme'
import {tones} from './colouring'
import type {State} from '../../margin/marks'
import type {Stretch} from './folds'
import type {Stroke} from './strokes'

/** What others may ask of the paper. */
export interface PaperHandle {
  /** the height at which a line begins, in pixels below the top of the paper */
  heightOf: (line: number) => number
}

interface Props {
  name: string
  /** with no line ends but line feeds */
  text: string
  kind: string
  strokes: Stroke[]
  /** lines that are folded away */
  folds?: Stretch[]
  /** folded lines were asked for, by the first of them */
  onUnfold?: (from: number) => void
  line: number | null
  /** a line was chosen with the arrow keys */
  onLine: (line: number) => void
  /** a line's number was clicked; with the shift key, up to there */
  onWrite: (line: number, isUpTo: boolean) => void
  /** lines have got another height */
  onHeights: () => void
  ref: Ref<PaperHandle>
}

/**
 * Numbered source with pen strokes under what the marks cover. It can be read and not written; only what is seen is
 * drawn.
 */
export function Paper({
  name,
  text,
  kind,
  strokes,
  folds = NO_FOLDS,
  onUnfold,
  line,
  onLine,
  onWrite,
  onHeights,
  ref,
}: Props) {
  const place = useRef<HTMLDivElement>(null)
  const view = useRef<EditorView | null>(null)
  const told = useRef({line, onLine, onWrite, onHeights, onUnfold})
  useLayoutEffect(() => {
    told.current = {line, onLine, onWrite, onHeights, onUnfold}
  })
  useLayoutEffect(() => {
    if (place.current === null) return
    const made = new EditorView({
      parent: place.current,
      state: EditorState.create({
        doc: text,
        extensions: [
          EditorState.readOnly.of(true),
          EditorView.editable.of(false),
          EditorView.contentAttributes.of({tabindex: '0', 'aria-label': `Source of ${name}`}),
          EditorView.lineWrapping,
          EditorView.decorations.of(toneSet(text, kind)),
          EditorView.decorations.of(hanging(text)),
          marks,
          chosenLine,
          foldedLines,
          EditorView.domEventHandlers({
            click: ({target}) => {
              const from =
                target instanceof HTMLElement ? target.closest<HTMLElement>('[data-fold]')?.dataset.fold : undefined
              if (from === undefined) return false
              told.current.onUnfold?.(Number(from))
              return true
            },
          }),
          lineNumbers({
            domEventHandlers: {
              click: ({state}, {from}, event) => {
                told.current.onWrite(state.doc.lineAt(from).number, event instanceof MouseEvent && event.shiftKey)
                return true
              },
            },
          }),
          EditorView.domEventHandlers({
            click: (event, {state}) => {
              const at = view.current?.posAtCoords(event)
              // Whoever marks words to copy them chooses no line.
              if (at == null || !window.getSelection()?.isCollapsed || event.defaultPrevented) return false
              told.current.onLine(state.doc.lineAt(at).number)
              return false
            },
          }),
          EditorView.updateListener.of(({geometryChanged}) => {
            if (geometryChanged) told.current.onHeights()
          }),
          EditorView.domEventHandlers({
            keydown: (event, {state}) => {
              const by = {ArrowUp: -1, ArrowDown: 1}[event.key]
              if (by === undefined || event.ctrlKey || event.metaKey || event.altKey) return false
              const next = (told.current.line ?? (by === 1 ? 0 : state.doc.lines + 1)) + by
              told.current.onLine(Math.min(state.doc.lines, Math.max(1, next)))
              event.preventDefault()
              return true
            },
          }),
        ],
      }),
    })
    view.current = made
    return () => {
      view.current = null
      made.destroy()
    }
  }, [name, text, kind])
  useLayoutEffect(() => {
    view.current?.dispatch({effects: setStrokes.of(strokes)})
  }, [strokes, name, text, kind])
  useLayoutEffect(() => {
    view.current?.dispatch({effects: setFolds.of(folds)})
    told.current.onHeights()
  }, [folds, name, text, kind])
  useLayoutEffect(() => {
    view.current?.dispatch({effects: setLine.of(line)})
  }, [line, name, text, kind])
  useEffect(() => {
    // The first measure of all comes with the first frame, and tells nobody.
    told.current.onHeights()
  }, [name, text, kind])
  useImperativeHandle(
    ref,
    () => ({
      heightOf: number => {
        const paper = view.current
        if (paper === null) return 0
        const {doc} = paper.state
        return (
          paper.lineBlockAt(doc.line(Math.min(Math.max(1, number), doc.lines)).from).top + paper.documentPadding.top
        )
      },
    }),
    [],
  )
  return <Box ref={place} sx={PAPER} />
}

const setStrokes = StateEffect.define<Stroke[]>()
const setLine = StateEffect.define<number | null>()
const NO_FOLDS: Stretch[] = []
const setFolds = StateEffect.define<Stretch[]>()

class Numeral extends WidgetType {
  constructor(
    readonly numeral: number,
    readonly state: string,
  ) {
    super()
  }

  override eq(other: Numeral) {
    return other.numeral === this.numeral && other.state === this.state
  }

  override toDOM() {
    const sign = document.createElement('sup')
    sign.textContent = String(this.numeral)
    sign.className = this.state
    return sign
  }
}

class Beside extends GutterMarker {
  constructor(override readonly elementClass: string) {
    super()
  }

  override eq(other: Beside) {
    return other.elementClass === this.elementClass
  }
}

const BESIDE: Partial<Record<State, Beside>> = {
  inked: new Beside('beside-inked'),
  pencilled: new Beside('beside-pencilled'),
}

/** What stands in place of lines that are folded away. */
class Fold extends WidgetType {
  constructor(readonly stretch: Stretch) {
    super()
  }

  override eq({stretch: {from, to}}: Fold) {
    return from === this.stretch.from && to === this.stretch.to
  }

  override toDOM() {
    const {from, to} = this.stretch
    const button = document.createElement('button')
    button.type = 'button'
    button.className = 'fold'
    button.dataset.fold = String(from)
    button.textContent = `${to - from + 1} quiet lines, ${from} to ${to}`
    return button
  }

  override ignoreEvent() {
    return false
  }
}

const foldedLines = StateField.define<DecorationSet>({
  create: () => Decoration.none,
  update: (old, {effects, state: {doc}}) => {
    const set = effects.find(effect => effect.is(setFolds))
    if (set === undefined) return old
    return Decoration.set(
      set.value
        .filter(({to}) => to <= doc.lines)
        .map(stretch =>
          Decoration.replace({widget: new Fold(stretch), block: true}).range(
            doc.line(stretch.from).from,
            doc.line(stretch.to).to,
          ),
        ),
    )
  },
  provide: field => EditorView.decorations.from(field),
})

interface Marks {
  drawn: DecorationSet
  beside: ReturnType<typeof besideLines>
}

/** The strokes as they are drawn: under the text, as numerals at the ends of lines, and along the line numbers. */
const marks = StateField.define<Marks>({
  create: () => ({drawn: Decoration.none, beside: new RangeSetBuilder<GutterMarker>().finish()}),
  update: (old, {effects, state}) => {
    const set = effects.find(effect => effect.is(setStrokes))
    return set === undefined
      ? old
      : {drawn: drawnStrokes(set.value, state.doc), beside: besideLines(set.value, state.doc)}
  },
  provide: (field): Extension => [
    EditorView.decorations.from(field, ({drawn}) => drawn),
    gutterLineClass.from(field, ({beside}) => beside),
  ],
})

const chosenLine = StateField.define<DecorationSet>({
  create: () => Decoration.none,
  update: (old, {effects, state: {doc}}) => {
    const set = effects.find(effect => effect.is(setLine))
    if (set === undefined) return old
    if (set.value === null || set.value > doc.lines) return Decoration.none
    return Decoration.set(Decoration.line({class: 'chosen'}).range(doc.line(set.value).from))
  },
  provide: field => EditorView.decorations.from(field),
})

function drawnStrokes(strokes: Stroke[], doc: Text): DecorationSet {
  const drawn = strokes.flatMap(({line, from, to, state, numeral}) => {
    const {from: start, to: end} = doc.line(line)
    const stroke = {from: Math.min(end, start + from), to: Math.min(end, start + to)}
    return [
      ...(stroke.to > stroke.from && state !== 'rubbed-out'
        ? [Decoration.mark({class: `stroke ${state}`}).range(stroke.from, stroke.to)]
        : []),
      ...(numeral === null
        ? []
        : [
            Decoration.line({attributes: {'data-line': String(line)}}).range(start),
            Decoration.widget({widget: new Numeral(numeral, state), side: 1}).range(end),
          ]),
    ]
  })
  return Decoration.set(drawn, true)
}

/** Ink along a line hides pencil. */
function besideLines(strokes: Stroke[], doc: Text) {
  const states = new Map<number, State>()
  for (const {line, state} of strokes) if (states.get(line) !== 'inked') states.set(line, state)
  const builder = new RangeSetBuilder<GutterMarker>()
  for (const [line, state] of [...states].sort(([a], [b]) => a - b)) {
    const {from} = doc.line(line)
    const marker = BESIDE[state]
    if (marker !== undefined) builder.add(from, from, marker)
  }
  return builder.finish()
}

function toneSet(text: string, kind: string): DecorationSet {
  const builder = new RangeSetBuilder<Decoration>()
  for (const {from, to, tone} of tones(text, kind)) if (to > from) builder.add(from, to, TONES[tone])
  return builder.finish()
}

/** Lines that are wrapped go on a little further in than they begin. */
function hanging(text: string): DecorationSet {
  const builder = new RangeSetBuilder<Decoration>()
  let at = 0
  for (const line of text.split('\n')) {
    const indent = Math.min(DEEPEST, line.length - line.trimStart().length)
    if (indent > 0) builder.add(at, at, HANGING[indent] ?? Decoration.line({}))
    at += line.length + 1
  }
  return builder.finish()
}

/** Columns beyond which no line is hung further in. */
const DEEPEST = 24

const HANGING = Array.from({length: DEEPEST + 1}, (_, indent) =>
  Decoration.line({attributes: {style: `padding-left:${indent + 2}ch;text-indent:-${indent + 2}ch`}}),
)

const TONES = {
  tag: Decoration.mark({class: 'tone-tag'}),
  string: Decoration.mark({class: 'tone-string'}),
  comment: Decoration.mark({class: 'tone-comment'}),
}

const PAPER = {
  minWidth: 0,
  '& .cm-editor': {height: 'auto', '&.cm-focused': {outline: 'none'}},
  '& .cm-scroller': {fontFamily: mono, fontSize: 12.5, lineHeight: 1.65, overflow: 'visible'},
  '& .cm-content': {py: 1.5, color: 'text.primary', '&:focus-visible': {outlineOffset: -2}},
  '& .cm-line': {pl: '2ch', pr: 1, textIndent: '-2ch', '&.chosen': {bgcolor: 'action.hover'}},
  '& .cm-editor .cm-gutters.cm-gutters': {bgcolor: 'transparent', border: 0, color: 'text.secondary'},
  '& .cm-lineNumbers .cm-gutterElement': {
    minWidth: '3.6em',
    pl: 1,
    pr: 1.25,
    mr: 1.5,
    cursor: 'pointer',
    userSelect: 'none',
    borderRight: 1,
    borderColor: 'desk.rule',
    '&:hover': {color: 'desk.ink'},
    '&.beside-pencilled': {borderColor: 'desk.pencil'},
    '&.beside-inked': {borderRight: 3, mr: 1.25, borderColor: 'desk.ink'},
  },
  '& .fold': {
    display: 'block',
    width: '100%',
    my: 0.5,
    py: 0.25,
    border: 0,
    borderTop: '1px solid',
    borderBottom: '1px solid',
    borderColor: 'desk.rule',
    bgcolor: 'transparent',
    color: 'text.secondary',
    font: 'inherit',
    fontFamily: 'fontFamily',
    textAlign: 'center',
    cursor: 'pointer',
    '&:hover': {color: 'desk.ink'},
  },
  '& .tone-tag': {color: 'desk.tag'},
  '& .tone-string': {color: 'desk.string'},
  '& .tone-comment': {color: 'text.secondary', fontStyle: 'italic'},
  '& .stroke.pencilled': {borderBottom: '1px solid', borderColor: 'desk.pencil'},
  '& .stroke.inked': {borderBottom: '2px solid', borderColor: 'desk.ink'},
  '& sup': {
    fontFamily: 'fontFamily',
    ml: '3px',
    fontSize: '0.8em',
    lineHeight: 0,
    color: 'desk.pencil',
    '&.inked': {color: 'desk.ink', fontWeight: 800},
  },
} as const
