import {QueryClient, QueryClientProvider} from '@tanstack/react-query'
import {cleanup, render, screen} from '@testing-library/react'
import {afterEach, describe, expect, it} from 'vitest'
import {space} from '../../api/courses'
import type {Schemas} from '../../lib/schemas'
import {Storage} from './Storage'

afterEach(cleanup)

const MB = 1_000_000
const used: Schemas['SpaceView'] = {
  course: 950 * MB,
  courseQuota: 1000 * MB,
  installation: 1200 * MB,
  installationQuota: 1000 * MB,
  studentQuota: 500 * MB,
}

describe('what is stored', () => {
  const shown = () => {
    const client = new QueryClient({defaultOptions: {queries: {staleTime: Infinity}}})
    client.setQueryData(space('c').queryKey, used)
    render(
      <QueryClientProvider client={client}>
        <Storage id="c" />
      </QueryClientProvider>,
    )
  }

  it.each([
    ['This course', '95'],
    ['All courses', '100'],
  ])('is drawn as a share of what there may be: %s', (name, percent) => {
    shown()
    expect(screen.getByRole('progressbar', {name: `${name}, storage in use`}).getAttribute('aria-valuenow')).toBe(
      percent,
    )
  })

  it('shows how much is left', () => {
    shown()
    expect(screen.getByText(/^This course: 950 MB of .*, 50 MB left$/)).toBeTruthy()
  })

  it('leaves nothing, and no less, where it is more than there may be', () => {
    shown()
    expect(screen.getByText(/^All courses: .*, 0 (bytes|B|kB|MB) left$/)).toBeTruthy()
  })
})
