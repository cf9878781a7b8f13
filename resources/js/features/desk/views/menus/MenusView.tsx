import {useDesk} from '../../deskState'
import {SiteSheet} from '../SiteSheet'
import {Surveyed} from '../Surveyed'
import {Menus} from './Menus'

/** Every page's menu, one below the other. */
export function MenusView() {
  const {desk, leaf, turn, go} = useDesk()
  return (
    <SiteSheet name="Menus">
      <Surveyed of={{handIn: desk.id}} leaf={leaf} onPage={turn}>
        {survey => (
          <Menus
            survey={survey}
            onPage={turn}
            onLine={(path, line) => go({leaf: path, view: 'source', line, mark: null})}
          />
        )}
      </Surveyed>
    </SiteSheet>
  )
}
