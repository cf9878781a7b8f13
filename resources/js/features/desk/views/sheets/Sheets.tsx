import {Box, Link, Typography} from '@mui/material'
import {Fragment} from 'react'
import {mono} from '../../../../ui/theme'
import {Empty} from '../../../../ui/Remark'
import {RuledTable} from '../../../../ui/RuledTable'
import {many} from '../../../../lib/when'
import type {Survey} from '../map/layout'

type Sheet = Survey['sheets'][number]
type Rule = Sheet['rules'][number]
type Contrast = Survey['contrast'][number]
type OnLine = (path: string, line: number) => void

/** The states of links. */
const WHEN: Record<string, string> = {
  visited: 'Visited',
  hover: 'Under the pointer',
  focus: 'With the focus',
}

/** Every stylesheet with its rules in order and what they reach, and the colours that text is read in. */
export function Sheets({survey, onLine}: {survey: Survey; onLine: OnLine}) {
  const {sheets, contrast, unjudged, unused} = survey
  if (sheets.length === 0)
    return (
      <Box sx={{p: 4}}>
        <Empty>There is no stylesheet in this hand-in, and none in its pages.</Empty>
      </Box>
    )
  return (
    <Box sx={{px: 3, py: 1.5}}>
      {contrast.length > 0 && (
        <Box component="section" aria-labelledby="contrast" sx={{mb: 4}}>
          <Typography variant="h2" id="contrast">
            Text and what is behind it
          </Typography>
          <Typography variant="body2" color="textSecondary" sx={{mb: 1.5}}>
            The hardest to read first. What is below the contrast that WCAG 2.2 asks for is in ink.
          </Typography>
          <Box
            component="ul"
            sx={{
              listStyle: 'none',
              m: 0,
              p: 0,
              display: 'grid',
              gridTemplateColumns: 'repeat(auto-fill, minmax(15rem, 1fr))',
              gap: 2,
            }}
          >
            {contrast.map(pair => (
              <Swatch
                key={`${pair.path} ${pair.line} ${pair.when} ${pair.text} ${pair.background}`}
                pair={pair}
                onLine={onLine}
              />
            ))}
          </Box>
          {unjudged.length > 0 && <NotJudged unjudged={unjudged} onLine={onLine} />}
        </Box>
      )}
      {sheets.map(sheet => (
        <SheetRules key={`${sheet.path} ${sheet.line}`} sheet={sheet} onLine={onLine} />
      ))}
      {unused.length > 0 && <Unused unused={unused} onLine={onLine} />}
    </Box>
  )
}

function Swatch({pair, onLine}: {pair: Contrast; onLine: OnLine}) {
  return (
    <li>
      {/* The student's own colours: what is shown here is what is judged. */}
      <Box
        style={{color: pair.text, backgroundColor: pair.background}}
        sx={{
          fontFamily: 'fontFamily',
          px: 1.5,
          py: 1,
          border: 1,
          borderColor: 'divider',
          overflow: 'hidden',
          whiteSpace: 'nowrap',
          textOverflow: 'ellipsis',
        }}
        className="swatch"
      >
        {pair.sample === '' ? 'Sample text' : pair.sample}
      </Box>
      <Typography
        variant="body2"
        sx={{mt: 0.5, color: pair.enough ? 'text.secondary' : 'desk.ink', fontWeight: pair.enough ? 400 : 700}}
      >
        {pair.when !== null && `${WHEN[pair.when] ?? pair.when}: `}
        {pair.ratio}:1, {pair.enough ? `enough (${pair.needed}:1)` : `needs ${pair.needed}:1`}
      </Typography>
      <Typography variant="body2" color="textSecondary">
        <Box component="span" sx={{fontFamily: mono, fontSize: '0.85em'}}>
          {pair.text} on {pair.background}
        </Box>
        , {many(pair.elements, 'element')},{' '}
        <Link component="button" underline="always" onClick={() => onLine(pair.path, pair.line)}>
          {pair.path}, line {pair.line}
        </Link>
      </Typography>
    </li>
  )
}

/** Where it is silent, it says why. */
function NotJudged({unjudged, onLine}: {unjudged: Survey['unjudged']; onLine: OnLine}) {
  return (
    <Typography variant="body2" color="textSecondary" sx={{mt: 2}}>
      Not judged:{' '}
      {unjudged.map(({reason, elements, path, line}, index) => (
        <Fragment key={reason}>
          {index > 0 && '; '}
          text of {many(elements, 'element')}, as {reason} (the first at{' '}
          <Link component="button" underline="always" onClick={() => onLine(path, line)}>
            {path}, line {line}
          </Link>
          )
        </Fragment>
      ))}
      .
    </Typography>
  )
}

/** Classes and ids that nothing speaks of. */
function Unused({unused, onLine}: {unused: Survey['unused']; onLine: OnLine}) {
  return (
    <Box component="section" sx={{mb: 4}}>
      <Typography variant="h2">Names without a rule</Typography>
      <Typography variant="body2" color="textSecondary">
        Classes and ids in the pages that no stylesheet, link or label speaks of.
      </Typography>
      <RuledTable caption="Names without a rule" heads={['Name', 'On', 'First at']}>
        {unused.map(({name, elements, pages, path, line}) => (
          <tr key={name}>
            <Box component="th" scope="row" sx={{fontFamily: mono}}>
              {name}
            </Box>
            <td>
              {many(elements, 'element')} on {many(pages, 'page')}
            </td>
            <td>
              <Link component="button" onClick={() => onLine(path, line)}>
                {path}, line {line}
              </Link>
            </td>
          </tr>
        ))}
      </RuledTable>
    </Box>
  )
}

function SheetRules({sheet, onLine}: {sheet: Sheet; onLine: OnLine}) {
  const idle = sheet.rules.filter(rule => rule.elements === 0).length
  const hasBeaten = sheet.rules.some(rule => rule.beaten.length > 0)
  return (
    <Box component="section" sx={{mb: 4}}>
      <Typography variant="h2">
        {sheet.path}
        {sheet.line > 1 && `, line ${sheet.line}`}
      </Typography>
      <Typography variant="body2" color="textSecondary">
        {sheet.pages === 0
          ? 'No page uses it.'
          : `Used on ${many(sheet.pages, 'page')}. ${many(sheet.rules.length + sheet.more, 'rule')}, ${idle === 0 ? 'all of which reach something' : `${idle} of which reach nothing`}.`}
        {sheet.general && ' It was made for any site, so what it reaches nothing with is no slip.'}
      </Typography>
      {sheet.rules.length > 0 && (
        <RuledTable
          caption={`The rules of ${sheet.path}`}
          heads={['Line', 'Rule', 'Reaches', ...(hasBeaten ? ['Never shows'] : [])]}
        >
          {sheet.rules.map(rule => (
            <RuleRow
              key={`${rule.line} ${rule.selector}`}
              sheet={sheet}
              rule={rule}
              onLine={onLine}
              hasBeaten={hasBeaten}
            />
          ))}
        </RuledTable>
      )}
      {sheet.more > 0 && (
        <Typography variant="body2" color="textSecondary" sx={{mt: 1}}>
          And {many(sheet.more, 'more rule')}.
        </Typography>
      )}
    </Box>
  )
}

function RuleRow({sheet, rule, hasBeaten, onLine}: {sheet: Sheet; rule: Rule; hasBeaten: boolean; onLine: OnLine}) {
  const isIdle = rule.elements === 0 && !sheet.general && sheet.pages > 0
  return (
    <tr>
      <td>{rule.line}</td>
      <th scope="row">
        <Link
          component="button"
          onClick={() => onLine(sheet.path, rule.line)}
          sx={{fontFamily: mono, fontSize: '0.85rem', textAlign: 'left', overflowWrap: 'anywhere'}}
        >
          {rule.selector}
        </Link>
      </th>
      <td>
        <Box component="span" sx={isIdle ? {color: 'desk.ink', fontWeight: 700} : {}}>
          {rule.elements === 0 ? 'nothing' : `${many(rule.elements, 'element')} on ${many(rule.pages, 'page')}`}
        </Box>
      </td>
      {hasBeaten && (
        <td>
          {rule.beaten.map(one => (
            <Box key={one} component="s" sx={{display: 'block', fontFamily: mono, fontSize: '0.85rem'}}>
              {one}
            </Box>
          ))}
        </td>
      )}
    </tr>
  )
}
