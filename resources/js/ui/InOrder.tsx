import {closestCenter, DndContext, KeyboardSensor, PointerSensor, useSensor, useSensors} from '@dnd-kit/core'
import {SortableContext, sortableKeyboardCoordinates, useSortable, verticalListSortingStrategy} from '@dnd-kit/sortable'
import {Box} from '@mui/material'
import type {ReactNode} from 'react'

/** Things in their order, which is changed by dragging or by the keyboard; what happens is said aloud. */
export function InOrder({
  label,
  names,
  onMove,
  children,
}: {
  label: string
  /** by which each is known, in order */
  names: string[]
  onMove: (from: number, to: number) => void
  children: ReactNode
}) {
  const sensors = useSensors(
    useSensor(PointerSensor, {activationConstraint: {distance: 4}}),
    useSensor(KeyboardSensor, {coordinateGetter: sortableKeyboardCoordinates}),
  )
  return (
    <DndContext
      sensors={sensors}
      collisionDetection={closestCenter}
      onDragEnd={({active, over}) => {
        const [from, to] = [names.indexOf(String(active.id)), names.indexOf(String(over?.id))]
        if (from >= 0 && to >= 0 && from !== to) onMove(from, to)
      }}
    >
      <SortableContext items={names} strategy={verticalListSortingStrategy}>
        <Box component="ol" aria-label={label} sx={{listStyle: 'none', m: 0, p: 0}}>
          {children}
        </Box>
      </SortableContext>
    </DndContext>
  )
}

/** One of them, with its number as the handle by which it is moved. */
export function Movable({
  id,
  at,
  title,
  children,
}: {
  id: string
  /** counted from 0 */
  at: number
  title: string
  children: ReactNode
}) {
  const {attributes, listeners, setNodeRef, transform, transition, isDragging} = useSortable({id})
  return (
    <Box
      component="li"
      ref={setNodeRef}
      style={{
        transform: transform === null ? undefined : `translateY(${transform.y}px)`,
        transition: transition ?? undefined,
      }}
      sx={{
        borderTop: 1,
        borderColor: 'divider',
        py: 1.25,
        position: 'relative',
        ...(isDragging && {bgcolor: 'background.default', zIndex: 1, borderBottom: 1}),
      }}
    >
      <Box
        component="button"
        type="button"
        {...attributes}
        {...listeners}
        aria-label={`Move ${title}`}
        title="Drag it; or space, the arrow keys, and space again"
        sx={{
          font: 'inherit',
          color: 'text.secondary',
          background: 'none',
          border: 0,
          p: 0,
          position: 'absolute',
          left: '-2rem',
          width: '1.5rem',
          cursor: 'grab',
          touchAction: 'none',
        }}
      >
        {at + 1}
      </Box>
      {children}
    </Box>
  )
}
