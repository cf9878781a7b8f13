import {Box} from '@mui/material'
import {useSuspenseQuery} from '@tanstack/react-query'
import {Suspense} from 'react'
import {useNavigate, useParams, useSearchParams} from 'react-router'
import {desk} from '../../../../api/desk'
import {Frame} from '../../../frame/Frame'
import {useKeys} from '../../../../ui/keys'
import {Waiting} from '../../../../ui/Waiting'
import {Screen} from '../../../frame/Screen'
import {MapOfSite} from './MapOfSite'

/** The page map on its own address, with the whole width to itself. */
export function MapScreen() {
  const {id = ''} = useParams()
  return (
    <Screen key={id}>
      <Map id={id} />
    </Screen>
  )
}

function Map({id}: {id: string}) {
  const {data} = useSuspenseQuery(desk(id))
  const [search, setSearch] = useSearchParams()
  const navigate = useNavigate()
  const open = (change: Record<string, string>) =>
    void navigate(`/hand-ins/${id}?${new URLSearchParams(change).toString()}`)
  useKeys([
    {key: 'd', does: 'back to the desk', run: () => open({view: 'map'})},
    {
      key: '.',
      does: 'next student',
      run: () => {
        if (data.nextId !== null) void navigate(`/hand-ins/${data.nextId}/map`)
      },
    },
    {
      key: ',',
      does: 'student before',
      run: () => {
        if (data.previousId !== null) void navigate(`/hand-ins/${data.previousId}/map`)
      },
    },
  ])
  const leaf = search.get('leaf') ?? 'index.html'
  return (
    <Frame
      steps={[
        {name: data.course, to: `/courses/${data.courseId}`},
        {name: data.assignment, to: `/assignments/${data.assignmentId}`},
        {name: data.student, to: `/hand-ins/${id}`},
        {name: 'Page map'},
      ]}
      wide
    >
      <Box
        sx={{flex: 1, overflow: 'auto', bgcolor: 'desk.sheet'}}
        tabIndex={0}
        role="region"
        aria-label={`The page map of ${data.student}’s site`}
      >
        <Suspense fallback={<Waiting>Drawing the map…</Waiting>}>
          <MapOfSite
            handIn={id}
            leaf={leaf}
            onPage={path => (path === leaf ? open({leaf: path}) : setSearch({leaf: path}))}
            onLink={(link, finding) =>
              open({leaf: link.from, line: String(link.line), ...(finding === null ? {} : {mark: finding.fingerprint})})
            }
            alone={null}
          />
        </Suspense>
      </Box>
    </Frame>
  )
}
