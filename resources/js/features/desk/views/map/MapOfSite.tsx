import {useSuspenseQuery} from '@tanstack/react-query'
import {findingsOfLinks} from '../../../../api/desk'
import type {Finding} from '../../margin/marks'
import {Surveyed} from '../Surveyed'
import type {SurveyLink} from './layout'
import {useWalked} from '../seen/walked'
import {PageMap} from './PageMap'

interface Props {
  handIn: string
  leaf: string
  onPage: (path: string) => void
  onLink: (link: SurveyLink, finding: Finding | null) => void
  /** the address at which the map has the whole width; null when it is there */
  alone: string | null
}

/** The page map of a hand-in, with what was found about its links. */
export function MapOfSite({handIn, leaf, onPage, onLink, alone}: Props) {
  const {data: findings} = useSuspenseQuery(findingsOfLinks(handIn))
  const walked = useWalked(handIn)
  return (
    <Surveyed of={{handIn}} leaf={leaf} onPage={onPage}>
      {survey => (
        <PageMap
          survey={survey}
          findings={findings}
          walked={walked}
          leaf={leaf}
          onPage={onPage}
          onLink={onLink}
          alone={alone}
        />
      )}
    </Surveyed>
  )
}
