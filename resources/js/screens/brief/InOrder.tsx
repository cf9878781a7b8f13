import {closestCenter, DndContext, KeyboardSensor, PointerSensor, useSensor, useSensors} from '@dnd-kit/core'
import {SortableContext, sortableKeyboardCoordinates, verticalListSortingStrategy} from '@dnd-kit/sortable'
import {Box} from '@mui/material'
import type {ReactNode} from 'react'

/** Sentences in their order, which is changed by dragging or by the keyboard; what happens is said aloud. */
export function InOrder({
  names,
  onMove,
  children,
}: {
  /** of the sentences, in order */
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
        <Box component="ol" aria-label="What is asked" sx={{listStyle: 'none', m: 0, p: 0}}>
          {children}
        </Box>
      </SortableContext>
    </DndContext>
  )
}
