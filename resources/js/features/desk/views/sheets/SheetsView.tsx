import {useDesk} from '../../deskState'
import {SiteSheet} from '../SiteSheet'
import {Surveyed} from '../Surveyed'
import {Sheets} from './Sheets'

/** The stylesheets, rule by rule, with what each reaches. */
export function SheetsView() {
  const {desk, leaf, turn, go} = useDesk()
  return (
    <SiteSheet name="Sheets">
      <Surveyed of={{handIn: desk.id}} leaf={leaf} onPage={turn}>
        {survey => (
          <Sheets survey={survey} onLine={(path, line) => go({leaf: path, view: 'source', line, mark: null})} />
        )}
      </Surveyed>
    </SiteSheet>
  )
}
