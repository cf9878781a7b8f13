import {QueryClient, QueryClientProvider} from '@tanstack/react-query'
import {cleanup, fireEvent, render, screen, waitFor} from '@testing-library/react'
import type {ReactNode} from 'react'
import {useForm} from 'react-hook-form'
import {MemoryRouter} from 'react-router'
import {afterEach, beforeEach, describe, expect, it, vi} from 'vitest'
import {ApiError} from '../lib/apiError'
import {FileDrop} from './FileDrop'
import {DeleteByName} from './form/DeleteByName'
import {Field, sayBeside} from './form/form'
import {TimeZone} from './form/TimeZone'
import {GroupChoice, groupsOf} from './GroupChoice'
import {KeyboardProvider} from './keys'
import {NotShown} from './NotShown'
import {PdfLink} from './PdfLink'

afterEach(cleanup)

const withQueries = (children: ReactNode) => (
  <QueryClientProvider client={new QueryClient()}>{children}</QueryClientProvider>
)

describe('deleting by name', () => {
  const fill = (name: string) => {
    fireEvent.change(screen.getByLabelText('Type the name of the course'), {target: {value: name}})
    fireEvent.submit(screen.getByRole('form', {name: 'Delete the course'}))
  }

  it('sends the name that was typed', async () => {
    const sent: string[] = []
    const onDelete = (name: string) => Promise.resolve(void sent.push(name))
    render(withQueries(<DeleteByName what="the course" onDelete={onDelete} />))
    fill('Tidal Webs')
    await waitFor(() => expect(sent).toEqual(['Tidal Webs']))
  })

  it('says why it was refused', async () => {
    const onDelete = () => Promise.reject(new Error('That is not its name. Nothing was deleted.'))
    render(withQueries(<DeleteByName what="the course" onDelete={onDelete} />))
    fill('Tidal')
    expect((await screen.findByRole('alert')).textContent).toBe('That is not its name. Nothing was deleted.')
  })
})

describe('a group of the class', () => {
  it('is each one once, in order, without those who are in none', () => {
    expect(groupsOf([{group: 'B'}, {group: ''}, {group: 'A'}, {group: 'B'}])).toEqual(['A', 'B'])
  })

  it('cannot be chosen where there are none', () => {
    const {container} = render(<GroupChoice groups={[]} value="" onChange={() => undefined} />)
    expect(container.textContent).toBe('')
  })

  it('is chosen', () => {
    const onChange = vi.fn()
    render(<GroupChoice groups={['A', 'B']} value="" onChange={onChange} />)
    fireEvent.change(screen.getByLabelText('of which group'), {target: {value: 'B'}})
    expect(onChange).toHaveBeenCalledWith('B')
  })
})

describe('a screen that could not be shown', () => {
  it('can be tried again', () => {
    const onRetry = vi.fn()
    render(
      <MemoryRouter>
        <NotShown onRetry={onRetry}>Why</NotShown>
      </MemoryRouter>,
    )
    fireEvent.click(screen.getByRole('button', {name: 'Try again'}))
    expect(onRetry).toHaveBeenCalledOnce()
  })

  it.each([
    [false, 1],
    [true, 0],
  ])('leads back to the shelf only those who have one: open %s', (open, links) => {
    render(
      <MemoryRouter>
        <NotShown onRetry={() => undefined} open={open}>
          Why
        </NotShown>
      </MemoryRouter>,
    )
    expect(screen.queryAllByRole('link', {name: 'back to the shelf'})).toHaveLength(links)
  })
})

describe('files to drop', () => {
  const shown = (onFiles = vi.fn(), busy = false) => {
    render(
      <KeyboardProvider>
        <FileDrop onFiles={onFiles} busy={busy} choose="Choose zips" testId="zips">
          Drop them here
        </FileDrop>
      </KeyboardProvider>,
    )
    return onFiles
  }

  it('are taken when they were chosen', async () => {
    const onFiles = shown()
    const file = Object.assign(new File(['x'], 'wfinch.zip'), {webkitRelativePath: ''})
    fireEvent.change(screen.getByTestId('zips'), {target: {files: [file]}})
    expect(await onFiles.mock.calls[0]?.[0]).toEqual([{path: 'wfinch.zip', file}])
  })

  it('are not taken when the choice was given up', () => {
    const onFiles = shown()
    fireEvent.change(screen.getByTestId('zips'), {target: {files: []}})
    expect(onFiles).not.toHaveBeenCalled()
  })

  it('cannot be chosen while others are on their way', () => {
    shown(vi.fn(), true)
    expect(screen.getByRole('button', {name: 'Choose a folder'}).hasAttribute('disabled')).toBe(true)
  })
})

describe('a form', () => {
  function Asked({error, zone}: {error?: Error; zone?: string}) {
    const form = useForm({defaultValues: {title: '', time_zone: zone ?? ''}})
    return (
      <>
        <Field form={form} name="title" label="Title" helperText="as students read it" />
        <TimeZone form={form} name="time_zone" helperText="of the course" none="my own" />
        <button onClick={() => error !== undefined && sayBeside(error, form, {name: 'title'})}>send</button>
      </>
    )
  }

  it('shows help below a field', () => {
    render(<Asked />)
    expect(screen.getByText('as students read it')).toBeTruthy()
  })

  it.each([{title: ['Type a title.']}, {name: ['Type a title.']}])(
    'says beside a field what the server says of it: %j',
    async fields => {
      render(<Asked error={new ApiError('Refused', 422, fields)} />)
      fireEvent.click(screen.getByRole('button', {name: 'send'}))
      expect(await screen.findByText('Type a title.')).toBeTruthy()
    },
  )

  it('says nothing beside a field of what it does not have', () => {
    render(<Asked error={new ApiError('Refused', 422, {other: ['No.']})} />)
    fireEvent.click(screen.getByRole('button', {name: 'send'}))
    expect(screen.queryByText('No.')).toBeNull()
  })

  it('begins the time zones with none and the one that is chosen', () => {
    render(<Asked zone="Asia/Tokyo" />)
    const zones = [...screen.getByLabelText('Time zone').querySelectorAll('option')].map(one => one.textContent)
    expect(zones.slice(0, 2)).toEqual(['my own', 'Asia/Tokyo'])
    expect(new Set(zones).size).toBe(zones.length)
  })
})

describe('a page as PDF', () => {
  beforeEach(() => {
    URL.createObjectURL = vi.fn(() => 'blob:x')
  })

  const click = () => {
    render(withQueries(<PdfLink href="/reply.pdf" name="reply" />))
    fireEvent.click(screen.getByRole('button', {name: 'As PDF'}))
  }

  it('is saved when it is there', async () => {
    vi.stubGlobal('fetch', () => Promise.resolve(new Response('%PDF')))
    const saved = vi.spyOn(HTMLAnchorElement.prototype, 'click').mockImplementation(() => undefined)
    click()
    await waitFor(() => expect(saved).toHaveBeenCalledOnce())
  })

  it('says why there is none', async () => {
    vi.stubGlobal('fetch', () => Promise.resolve(Response.json({message: 'There is no printer.'}, {status: 503})))
    click()
    expect((await screen.findByRole('alert')).textContent).toBe('There is no printer.')
  })

  it('says what the server answered where it gave no words', async () => {
    vi.stubGlobal('fetch', () => Promise.resolve(new Response('', {status: 500})))
    click()
    expect((await screen.findByRole('alert')).textContent).toBe('The server answered with 500.')
  })
})
