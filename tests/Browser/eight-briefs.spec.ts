import {execFileSync} from 'node:child_process'
import {existsSync, readdirSync} from 'node:fs'
import {expect, type Locator, type Page} from '@playwright/test'
import type {Schemas} from '../../resources/js/lib/schemas'
import {entriesAsLines, partsAsLines, stepsAsLines} from '../../resources/js/features/brief/lines'
import {test} from './desk'

// Every brief that ships can be built on the screen, sentence by sentence and blank by blank, without a line of YAML.

type Values = Record<string, unknown>

const words = (value: unknown) => (typeof value === 'string' ? value : JSON.stringify(value ?? ''))
type Kinds = Schemas['BriefKinds']
type Field = Schemas['BriefFieldView']

const YAML =
  'require "vendor/autoload.php"; echo json_encode(Symfony\\Component\\Yaml\\Yaml::parseFile($argv[1]), JSON_UNESCAPED_UNICODE);'

const readBrief = (name: string) =>
  JSON.parse(execFileSync('php', ['-r', YAML, `docs/briefs/${name}/brief.yaml`], {encoding: 'utf8'})) as {
    title: string
    marking?: Values
    requirements: Values[]
    ignore?: unknown[]
  }

/** What a brief is held against has to be there before the brief can be used. */
async function give(page: Page, name: string) {
  const inputs = Object.entries({starter: 'Files: starter files', copy: 'Files: texts'})
  const wanted = inputs.filter(([folder]) => existsSync(`docs/briefs/${name}/${folder}`))
  if (wanted.length === 0) return
  await page.getByRole('link', {name: 'Assignment settings'}).click()
  for (const [folder, input] of wanted) {
    const at = `docs/briefs/${name}/${folder}`
    const given = page.waitForResponse(answer => answer.url().includes(`/materials/${folder}`))
    await page.getByLabel(input).setInputFiles(readdirSync(at).map(file => `${at}/${file}`))
    await given
  }
  await page.goBack()
}

/** Types a brief as an instructor would, and counts what that takes: a click, a choice or a text is one action. */
class Typist {
  actions = 0

  constructor(
    private readonly page: Page,
    private readonly kinds: Kinds,
  ) {}

  async ask(wanted: Values) {
    const alike = (values: Values) =>
      Object.entries(values).filter(([name, value]) => JSON.stringify(value) === JSON.stringify(wanted[name])).length -
      Object.keys(values).filter(name => !(name in wanted)).length
    const [nearest] = this.kinds.readyMade
      .filter(({values}) => values.kind === wanted.kind)
      .sort((one, other) => alike(other.values) - alike(one.values))
    expect(nearest, `nothing can be asked for of the kind ${String(wanted.kind)}`).toBeDefined()
    if (nearest === undefined) return
    const list = this.page.getByRole('list', {name: 'What is asked'})
    const before = await list.getByRole('listitem').count()
    await this.page.getByLabel('Ask for…').fill(nearest.words)
    // What it says makes room for itself: a click on what is below would miss until it stands there.
    const said = this.page.waitForResponse(answer => answer.url().endsWith('/brief/reading'))
    await this.page.getByRole('option', {name: nearest.words, exact: true}).click()
    await said
    this.actions += 2
    const sentence = list.getByRole('listitem').nth(before)
    const kind = this.kinds.kinds.find(one => one.kind === wanted.kind)
    const fields = [...(kind?.fields ?? []), ...this.kinds.terms].filter(({name}) => name !== 'id' && name !== 'kind')
    const shown = fields.filter(({name}) => name in wanted || name in nearest.values)
    if (
      shown.some(
        ({name, required}) => !required && !(name in nearest.values) && !['title', 'points', 'pages'].includes(name),
      )
    ) {
      await sentence.getByRole('button', {name: 'What else can be said'}).click()
      await expect(sentence.getByRole('button', {name: 'Only what is said'})).toBeVisible()
      this.actions++
    }
    for (const field of shown) {
      if (JSON.stringify(wanted[field.name]) !== JSON.stringify(nearest.values[field.name]))
        await this.fill(sentence, field, wanted[field.name])
    }
  }

  async fill(place: Locator, field: Field, value: unknown) {
    const label = field.name.replaceAll('_', ' ')
    const worded = place.locator('label').filter({has: this.page.locator(`span:text-is("${label}")`)})
    const labelled = place.getByLabel(label, {exact: true})
    switch (field.type) {
      case 'yes or no':
      case 'choice':
        await worded
          .locator('select')
          .selectOption(typeof value === 'boolean' ? (value ? 'yes' : 'no') : value === undefined ? '' : words(value))
        this.actions++
        return
      case 'texts':
        return this.several(labelled, (Array.isArray(value) ? value : [value]).map(String))
      case 'pages': {
        const scope =
          value === undefined || value === 'all'
            ? 'all'
            : value === 'home'
              ? 'home'
              : Array.isArray(value)
                ? 'these'
                : 'not'
        await worded.locator('select').selectOption(scope)
        this.actions++
        if (scope === 'these' || scope === 'not')
          await this.several(
            place.getByLabel('which pages'),
            (scope === 'these' ? value : (value as {not: string[]}).not) as string[],
          )
        return
      }
      case 'parts':
      case 'entries':
      case 'steps':
        await labelled.fill({parts: partsAsLines, entries: entriesAsLines, steps: stepsAsLines}[field.type](value))
        this.actions++
        return
      default:
        await worded.locator('input').fill(value === undefined ? '' : words(value))
        this.actions++
    }
  }

  /** Several texts, each typed and ended with Enter, in place of those that stand there. */
  private async several(input: Locator, texts: string[]) {
    const there = await input.locator('xpath=..').locator('.MuiChip-root').count()
    await input.focus()
    for (let left = there; left > 0; left--) await input.press('Backspace')
    for (const text of texts) {
      await input.fill(text)
      await input.press('Escape')
      await input.press('Enter')
    }
    this.actions += there + 2 * texts.length
  }
}

const counted: string[] = []

for (const name of readdirSync('docs/briefs')) {
  test(`the brief ${name.replaceAll('-', ' ')} is built on the screen`, async ({page}) => {
    const wanted = readBrief(name)
    await page.getByRole('main').getByRole('link', {name: 'Web Craft 1'}).click()
    await page.getByRole('link', {name: 'Set new work'}).click()
    await page.getByLabel('Title').fill(`${name} ${Date.now().toString(36)}`)
    await page.getByRole('button', {name: 'Set it'}).click()
    await give(page, name)
    await page.getByRole('link', {name: 'Write it'}).click()
    const kinds = (await page.evaluate(
      async () => (await fetch('/api/brief-kinds')).json() as Promise<unknown>,
    )) as Kinds
    const typist = new Typist(page, kinds)
    const main = page.getByRole('main')
    for (const field of kinds.own)
      if (field.name in wanted) await typist.fill(main, field, wanted[field.name as 'title'])
    for (const requirement of wanted.requirements) await typist.ask(requirement)
    const marking = page.getByRole('region', {name: 'Deductions and late work'})
    for (const field of kinds.marking) {
      const value = wanted.marking?.[field.name]
      if (value !== undefined) await typist.fill(marking, field, value)
    }
    await expect(page.getByRole('button', {name: 'Use this brief'})).toBeEnabled()
    await expect(page.getByRole('contentinfo')).toContainText('kept at')
    await page.getByRole('button', {name: 'Use this brief'}).click()
    typist.actions++
    await expect(page.getByText(/Version 1, [\d.]+ points in all/)).toBeVisible()

    const id = page.url().split('/').at(-1) ?? ''
    const {source} = (await page.evaluate(
      async at => (await fetch(`/api/assignments/${at}/brief/draft`)).json() as Promise<unknown>,
      id,
    )) as {source: string}
    const built = JSON.parse(
      execFileSync('php', ['-r', YAML.replace('parseFile($argv[1])', 'parse(stream_get_contents(STDIN))')], {
        input: source,
        encoding: 'utf8',
      }),
    ) as typeof wanted
    const bare = (one: Values) => Object.fromEntries(Object.entries(one).filter(([field]) => field !== 'id'))
    expect(built.requirements.map(bare)).toEqual(wanted.requirements.map(bare))
    expect({...built, requirements: []}).toEqual({...wanted, requirements: []})
    counted.push(`${name}: ${typist.actions} actions, ${wanted.requirements.length} sentences`)
  })
}

test.afterAll(() => console.log(counted.join('\n')))
