import {CssBaseline, ThemeProvider} from '@mui/material'
import {MutationCache, QueryCache, QueryClient, QueryClientProvider} from '@tanstack/react-query'
import {StrictMode} from 'react'
import {createRoot} from 'react-dom/client'
import {createBrowserRouter, RouterProvider} from 'react-router'
import {ApiError} from './lib/apiError'
import {me} from './api/account'
import {askForDesk} from './api/desk'
import {KeyboardProvider} from './ui/keys'
import {Problem} from './app/Problem'
import {theme} from './ui/theme'

/** Screens for those who have not logged in. */
const OPEN = /^\/(?:log-in|set-password|invitations\/|my\/|join\/)/

/** Whoever is logged out is brought to the log-in, and back to where they were. */
function logInAgain(error: Error) {
  if (error instanceof ApiError && error.status === 401 && !OPEN.test(location.pathname)) {
    void router.navigate(`/log-in?to=${encodeURIComponent(location.pathname + location.search)}`)
  }
}

const queries = new QueryClient({
  queryCache: new QueryCache({onError: logInAgain}),
  mutationCache: new MutationCache({onError: logInAgain}),
  defaultOptions: {
    queries: {retry: (failures, error) => failures < 2 && error instanceof ApiError && error.status === 0},
  },
})

/** Milliseconds for which the first page of all waits for what a desk shows. */
const PATIENCE = 1200

const router = createBrowserRouter([
  {
    ErrorBoundary: Problem,
    HydrateFallback: () => null,
    children: [
      {path: '/log-in', lazy: async () => ({Component: (await import('./features/account/LogIn')).LogIn})},
      {
        path: '/set-password',
        lazy: async () => ({Component: (await import('./features/account/SetPassword')).SetPassword}),
      },
      {
        path: '/invitations/:token',
        lazy: async () => ({Component: (await import('./features/account/Invitation')).Invitation}),
      },
      {path: '/join/:token', lazy: async () => ({Component: (await import('./features/student/Join')).Join})},
      {path: '/my/:token', lazy: async () => ({Component: (await import('./features/student/MyPage')).MyPage})},
      {
        path: '/my/:token/work/:id',
        lazy: async () => ({Component: (await import('./features/student/MyWork')).MyWork}),
      },
      {
        path: '/my/:token/replies/:handIn',
        lazy: async () => ({Component: (await import('./features/student/MyReply')).MyReply}),
      },
      {path: '/me', lazy: async () => ({Component: (await import('./features/account/Account')).Account})},
      {path: '/outbox', lazy: async () => ({Component: (await import('./features/outbox/Outbox')).Outbox})},
      {path: '/rules/:group/:name', lazy: async () => ({Component: (await import('./features/rule/Rule')).Rule})},
      {path: '/', lazy: async () => ({Component: (await import('./features/shelf/Shelf')).Shelf})},
      {path: '/courses/new', lazy: async () => ({Component: (await import('./features/course/NewCourse')).NewCourse})},
      {
        path: '/courses/:id/settings',
        lazy: async () => ({Component: (await import('./features/course/CourseSettings')).CourseSettings}),
      },
      {path: '/courses/:id/roster', lazy: async () => ({Component: (await import('./features/roster/Roster')).Roster})},
      {
        path: '/courses/:id/gradebook',
        lazy: async () => ({Component: (await import('./features/gradebook/Gradebook')).Gradebook}),
      },
      {path: '/courses/:id/term', lazy: async () => ({Component: (await import('./features/term/Term')).Term})},
      {
        path: '/courses/:id/records',
        lazy: async () => ({Component: (await import('./features/records/Records')).Records}),
      },
      {path: '/courses/:id/remarks', lazy: async () => ({Component: (await import('./features/stock/Stock')).Stock})},
      {path: '/courses/:id/links', lazy: async () => ({Component: (await import('./features/roster/Links')).Links})},
      {
        path: '/courses/:id/new-work',
        lazy: async () => ({Component: (await import('./features/assignment/NewAssignment')).NewAssignment}),
      },
      {
        path: '/assignments/:id/brief',
        lazy: async () => ({Component: (await import('./features/brief/BriefScreen')).BriefScreen}),
      },
      {
        path: '/assignments/:id/sites/:site',
        lazy: async () => ({Component: (await import('./features/given-site/GivenSite')).GivenSite}),
      },
      {
        path: '/assignments/:id/settings',
        lazy: async () => ({
          Component: (await import('./features/assignment/AssignmentSettings')).AssignmentSettings,
        }),
      },
      {path: '/courses/:id', lazy: async () => ({Component: (await import('./features/course/Course')).Course})},
      {
        path: '/assignments/:id',
        lazy: async () => ({Component: (await import('./features/assignment/Assignment')).Assignment}),
      },
      {
        path: '/assignments/:id/class-sheet',
        lazy: async () => ({Component: (await import('./features/class-sheet/ClassSheet')).ClassSheet}),
      },
      {
        path: '/assignments/:id/class-sheet/slips',
        lazy: async () => ({Component: (await import('./features/class-sheet/SlipStrip')).Strip}),
      },
      {
        path: '/assignments/:id/judging/:requirement',
        lazy: async () => ({Component: (await import('./features/judging/Judging')).Judging}),
      },
      {
        path: '/assignments/:id/lesson',
        lazy: async () => ({Component: (await import('./features/lesson/Lesson')).Lesson}),
      },
      {
        path: '/assignments/:id/in-tray',
        lazy: async () => ({Component: (await import('./features/in-tray/InTray')).InTray}),
      },
      {
        path: '/hand-ins/:id',
        // React shows what it waits for for a third of a second at least: what is nearly there is waited for before.
        loader: async ({params: {id = ''}, request}) => {
          const leaf = new URL(request.url).searchParams.get('leaf')
          const asked = askForDesk(queries, id, leaf)
          // A desk that is left lies there no longer: what is pressed next is meant for the one that comes.
          const isFirst = document.getElementById('desk')?.hasChildNodes() !== true
          if (isFirst) await Promise.race([asked, new Promise(done => setTimeout(done, PATIENCE))])
          return null
        },
        shouldRevalidate: ({currentParams, nextParams}) => currentParams.id !== nextParams.id,
        lazy: async () => {
          const [{Desk}] = await Promise.all([
            import('./features/desk/Desk'),
            import('./features/desk/views/source/SourceView'),
          ])
          return {Component: Desk}
        },
      },
      {
        path: '/hand-ins/:id/map',
        lazy: async () => ({Component: (await import('./features/desk/views/map/MapScreen')).MapScreen}),
      },
      {path: '/hand-ins/:id/reply', lazy: async () => ({Component: (await import('./features/reply/Reply')).Reply})},
      {path: '*', Component: Problem},
    ],
  },
])

// Every screen but those of the log-in needs it.
if (!OPEN.test(location.pathname)) queries.query(me).catch(() => undefined)

const place = document.getElementById('desk')
if (place !== null) {
  // What React has mended by itself is no error of the page.
  createRoot(place, {onRecoverableError: error => console.warn(error)}).render(
    <StrictMode>
      <QueryClientProvider client={queries}>
        <ThemeProvider theme={theme}>
          <CssBaseline />
          <KeyboardProvider>
            <RouterProvider router={router} />
          </KeyboardProvider>
        </ThemeProvider>
      </QueryClientProvider>
    </StrictMode>,
  )
}
