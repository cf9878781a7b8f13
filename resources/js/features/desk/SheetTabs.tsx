import {Tab, Tabs} from '@mui/material'
import type {View} from './views/views'

/** The ids that tie a tab to its panel. */
export const tabId = (view: string) => `tab-${view}`
export const PANEL = 'sheet'

/** The tabs that are cut into the sheet's top edge: those of the page, a gap, those of the site. */
export function SheetTabs({
  views,
  view,
  onView,
}: {
  views: readonly Pick<View, 'id' | 'label' | 'scope'>[]
  view: string
  onView: (view: string) => void
}) {
  const firstOfSite = views.find(one => one.scope === 'site')
  return (
    <Tabs
      value={view}
      onChange={(_event, to: string) => onView(to)}
      aria-label="Views of the sheet"
      sx={TABS}
      slotProps={{indicator: {sx: {display: 'none'}}}}
    >
      {views.map(one => (
        <Tab
          key={one.id}
          value={one.id}
          label={one.label}
          id={tabId(one.id)}
          aria-controls={PANEL}
          sx={one === firstOfSite ? {ml: {xs: 0.75, lg: 2}} : {}}
        />
      ))}
    </Tabs>
  )
}

const TABS = {
  minHeight: 0,
  flexShrink: 0,
  mb: '-1px',
  '& .MuiTab-root': {
    minHeight: 0,
    minWidth: 0,
    px: {xs: 1, lg: 1.75},
    py: 0.75,
    mr: 0.5,
    fontWeight: 400,
    letterSpacing: 0,
    color: 'text.primary',
    border: 1,
    borderColor: 'transparent',
    borderRadius: '3px 9px 0 0',
    '&:focus-visible': {outlineOffset: -3},
    '&.Mui-selected': {
      color: 'text.primary',
      bgcolor: 'desk.sheet',
      borderColor: 'divider',
      borderBottomColor: 'desk.sheet',
    },
  },
} as const
