import {useDesk} from '../../deskState'
import {SiteSheet} from '../SiteSheet'
import {Surveyed} from '../Surveyed'
import {Compared} from './Compared'

/** What every page holds, a row a page. */
export function ComparedView() {
  const {desk, leaf, turn, go} = useDesk()
  return (
    <SiteSheet name="Pages compared">
      <Surveyed of={{handIn: desk.id}} leaf={leaf} onPage={turn}>
        {survey => (
          <Compared
            survey={survey}
            onPage={turn}
            onLine={(path, line) => go({leaf: path, view: 'source', line, mark: null})}
          />
        )}
      </Surveyed>
    </SiteSheet>
  )
}
