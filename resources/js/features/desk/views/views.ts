import {lazy, type ComponentType} from 'react'
import {SourceView} from './source/SourceView'

/** A way to look at a leaf, or at the site as a whole. It finds what it needs on the desk. */
export interface View {
  /** in the address */
  id: string
  label: string
  key: string
  scope: 'leaf' | 'site'
  Component: ComponentType
}

/** All views of the desk, in the order of their tabs. A new one is its folder and a line here. */
export const VIEWS: readonly View[] = [
  {
    id: 'source',
    label: 'Source',
    key: '1',
    scope: 'leaf',
    // Nearly every desk begins with it: it comes along, and nothing waits for it.
    Component: SourceView,
  },
  {
    id: 'seen',
    label: 'As seen',
    key: '2',
    scope: 'leaf',
    Component: lazy(async () => ({default: (await import('./seen/SeenView')).SeenView})),
  },
  {
    id: 'both',
    label: 'Both',
    key: '3',
    scope: 'leaf',
    Component: lazy(async () => ({default: (await import('./both/BothView')).BothView})),
  },
  {
    id: 'mended',
    label: 'Mended copy',
    key: '4',
    scope: 'leaf',
    Component: lazy(async () => ({default: (await import('./mended/MendedView')).MendedView})),
  },
  {
    id: 'map',
    label: 'Page map',
    key: '5',
    scope: 'site',
    Component: lazy(async () => ({default: (await import('./map/MapView')).MapView})),
  },
  {
    id: 'menus',
    label: 'Menus',
    key: '6',
    scope: 'site',
    Component: lazy(async () => ({default: (await import('./menus/MenusView')).MenusView})),
  },
  {
    id: 'compared',
    label: 'Pages compared',
    key: '7',
    scope: 'site',
    Component: lazy(async () => ({default: (await import('./compared/ComparedView')).ComparedView})),
  },
  {
    id: 'sheets',
    label: 'Sheets',
    key: '8',
    scope: 'site',
    Component: lazy(async () => ({default: (await import('./sheets/SheetsView')).SheetsView})),
  },
  {
    id: 'attempts',
    label: 'Attempts',
    key: '9',
    scope: 'site',
    Component: lazy(async () => ({default: (await import('./attempts/AttemptsView')).AttemptsView})),
  },
]

/** The view of an address; the first where it names none that there is. */
export const viewOf = (id: string): View => VIEWS.find(one => one.id === id) ?? (VIEWS[0] as View)
