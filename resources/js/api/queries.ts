import {queryOptions, type QueryClient} from '@tanstack/react-query'
import {readIn} from '../parts/when'
import {api, unwrap, type Schemas} from './client'
import {readingOrder} from '../screens/desk/order'

/** When each answer was first seen: one that comes again unchanged is the same object. */
const firstSeen = new WeakMap<object, number>()

/** How long to wait before asking again, in milliseconds: soon at first, later and later while nothing changes. */
function later(answer: object): number {
  const now = Date.now()
  const first = firstSeen.get(answer) ?? now
  firstSeen.set(answer, first)
  return Math.min(8000, Math.max(500, (now - first) / 4))
}

const busy = (run: Schemas['RunView'] | null) => run?.state === 'queued' || run?.state === 'running'

export const me = queryOptions({
  queryKey: ['me'],
  queryFn: async () => {
    const who = await unwrap(api.GET('/api/me'))
    readIn(who.timeZone)
    return who
  },
  staleTime: Infinity,
})

/** Letters that no mail server took. */
export const outbox = queryOptions({queryKey: ['outbox'], queryFn: () => unwrap(api.GET('/api/outbox'))})

/** A site that nobody handed in. */
export const givenSite = (assignment: string, site: string) =>
  queryOptions({
    queryKey: ['given site', assignment, site],
    queryFn: () => unwrap(api.GET('/api/assignments/{assignment}/sites/{site}', {params: {path: {assignment, site}}})),
  })

/** Whether nobody has an account yet. */
export const firstRun = queryOptions({
  queryKey: ['first run'],
  queryFn: () => unwrap(api.GET('/api/first-run')),
  staleTime: Infinity,
})

export const shelf = queryOptions({queryKey: ['shelf'], queryFn: () => unwrap(api.GET('/api/shelf'))})

export const course = (id: string) =>
  queryOptions({
    queryKey: ['course', id],
    queryFn: () => unwrap(api.GET('/api/courses/{course}', {params: {path: {course: id}}})),
  })

export const assignment = (id: string) =>
  queryOptions({
    queryKey: ['assignment', id],
    queryFn: () => unwrap(api.GET('/api/assignments/{assignment}', {params: {path: {assignment: id}}})),
    refetchInterval: ({state: {data}}) =>
      data !== undefined && (data.checking !== null || data.handIns.some(line => busy(line.run))) ? later(data) : false,
  })

/** All students of an assignment against all requirements, with the commonest slips. */
export const classSheet = (id: string) =>
  queryOptions({
    queryKey: ['class sheet', id],
    queryFn: () => unwrap(api.GET('/api/assignments/{assignment}/class-sheet', {params: {path: {assignment: id}}})),
  })

/** A requirement that people judge by eye, with the sites of a class. */
export const judging = (id: string, requirement: string) =>
  queryOptions({
    queryKey: ['judging', id, requirement],
    queryFn: () =>
      unwrap(
        api.GET('/api/assignments/{assignment}/judging/{requirement}', {params: {path: {assignment: id, requirement}}}),
      ),
  })

/** All places of one kind of slip in a class. */
export const slipStrip = (id: string, rule: string, variant: string) =>
  queryOptions({
    queryKey: ['slip strip', id, rule, variant],
    queryFn: () =>
      unwrap(
        api.GET('/api/assignments/{assignment}/slips', {params: {path: {assignment: id}, query: {rule, variant}}}),
      ),
  })

/** The work of a course side by side. */
export const gradebook = (id: string) =>
  queryOptions({
    queryKey: ['gradebook', id],
    queryFn: () => unwrap(api.GET('/api/courses/{course}/gradebook', {params: {path: {course: id}}})),
  })

/** The numbers of one student, opened to their sums. */
export const studentGrades = (student: string) =>
  queryOptions({
    queryKey: ['student grades', student],
    queryFn: () => unwrap(api.GET('/api/students/{student}/grades', {params: {path: {student}}})),
  })

/** How a class came along over its assignments. */
export const term = (id: string) =>
  queryOptions({
    queryKey: ['term', id],
    queryFn: () => unwrap(api.GET('/api/courses/{course}/term', {params: {path: {course: id}}})),
  })

/** The same, with one student beside the class. */
export const studentTerm = (student: string) =>
  queryOptions({
    queryKey: ['student term', student],
    queryFn: () => unwrap(api.GET('/api/students/{student}/term', {params: {path: {student}}})),
    placeholderData: previous => previous,
  })

/** What is found by words. */
export const search = (words: string) =>
  queryOptions({
    queryKey: ['search', words],
    queryFn: ({signal}) => unwrap(api.GET('/api/search', {params: {query: {q: words}}, signal})),
    placeholderData: previous => previous,
    gcTime: 60_000,
  })

/** A rule of the check, with its examples. */
export const rule = (id: string) =>
  queryOptions({
    queryKey: ['rule', id],
    queryFn: () => unwrap(api.GET('/api/rules/{rule}', {params: {path: {rule: id}}})),
    staleTime: Infinity,
  })

/** How far the records of a course are that are written. */
export const records = (id: string) =>
  queryOptions({
    queryKey: ['records', id],
    queryFn: () => unwrap(api.GET('/api/courses/{course}/records', {params: {path: {course: id}}})),
    refetchInterval: ({state: {data}}) => (data?.state === 'waiting' ? later(data) : false),
  })

export const studentRecords = (student: string) =>
  queryOptions({
    queryKey: ['student records', student],
    queryFn: () => unwrap(api.GET('/api/students/{student}/records', {params: {path: {student}}})),
    refetchInterval: ({state: {data}}) => (data?.state === 'waiting' ? later(data) : false),
  })

/** Courses in which nothing has come in since a day. */
export const oldCourses = (before: string) =>
  queryOptions({
    queryKey: ['old courses', before],
    queryFn: () => unwrap(api.GET('/api/old-courses', {params: {query: {before}}})),
    placeholderData: previous => previous,
  })

/** Slips of a class as a handout. */
export const lesson = (id: string, kinds: string[]) =>
  queryOptions({
    queryKey: ['lesson', id, kinds],
    queryFn: () =>
      unwrap(
        api.GET('/api/assignments/{assignment}/lesson', {
          params: {path: {assignment: id}, query: {'kinds[]': kinds}},
        }),
      ),
    placeholderData: previous => previous,
  })

/** The replies of a class that could be released now. */
export const readyReplies = (id: string) =>
  queryOptions({
    queryKey: ['ready replies', id],
    queryFn: () => unwrap(api.GET('/api/assignments/{assignment}/replies', {params: {path: {assignment: id}}})),
    gcTime: 0,
  })

export const arrivals = (id: string) =>
  queryOptions({
    queryKey: ['arrivals', id],
    queryFn: () => unwrap(api.GET('/api/assignments/{assignment}/arrivals', {params: {path: {assignment: id}}})),
    refetchInterval: ({state: {data}}) =>
      data?.some(arrival => arrival.state === 'waiting' || busy(arrival.run)) === true ? later(data) : false,
  })

const findingsKey = (handIn: string) => ['findings', handIn]

/** Asks for a hand-in anew: its desk, and what was found on every leaf. */
export async function refreshHandIn(queries: QueryClient, id: string) {
  await queries.invalidateQueries({queryKey: findingsKey(id)})
  await queries.invalidateQueries({queryKey: desk(id).queryKey})
}

/** Screens on which points are shown: they ask anew when they are looked at next. */
const SHOW_POINTS = ['class sheet', 'gradebook', 'student grades', 'assignment', 'reply', 'ready replies', 'term']

/** Asks anew for whatever points of a hand-in stand on. */
export async function refreshPoints(queries: QueryClient, id: string) {
  await Promise.all(SHOW_POINTS.map(screen => queries.invalidateQueries({queryKey: [screen]})))
  await refreshHandIn(queries, id)
}

const leafInAddress = () => new URLSearchParams(location.search).get('leaf')

/** A hand-in, and with it what was found on the leaf that is named, or on its first where none is. */
export const desk = (id: string, leaf: () => string | null = leafInAddress) =>
  queryOptions({
    queryKey: ['desk', id],
    queryFn: async ({client, signal}) => {
      const named = leaf()
      const {by, rule} = readingOrder()
      const query = {order: by, ...(named === null ? {} : {leaf: named}), ...(rule === null ? {} : {with: rule})}
      const before = client.getQueryData<Schemas['Desk']>(['desk', id])
      const answer = await unwrap(api.GET('/api/hand-ins/{handIn}', {params: {path: {handIn: id}, query}, signal}))
      // What was found by another run is of no use, on whichever leaf.
      if (before !== undefined && before.run.state !== answer.run.state)
        client.removeQueries({queryKey: findingsKey(id), type: 'inactive'})
      client.setQueryData(findings(id, answer.first.leaf).queryKey, answer.first.findings)
      return answer
    },
    refetchInterval: ({state: {data}}) => (data !== undefined && busy(data.run) ? later(data) : false),
  })

/** What was found on one leaf. It changes with what the desk itself does, and with a new run. */
export const findings = (handIn: string, leaf: string) =>
  queryOptions({
    queryKey: [...findingsKey(handIn), leaf],
    queryFn: ({signal}) =>
      unwrap(api.GET('/api/hand-ins/{handIn}/findings', {params: {path: {handIn}, query: {leaf}}, signal})),
    staleTime: Infinity,
  })

/** A note in the making, as it will be read. */
export const preview = (body: string) =>
  queryOptions({
    queryKey: ['preview', body],
    queryFn: () => unwrap(api.POST('/api/notes/preview', {body: {body}})),
    staleTime: Infinity,
    gcTime: 0,
  })

/** How many findings of a kind are in pencil, as far as each reach. */
export const alike = (handIn: string, fingerprint: string) =>
  queryOptions({
    queryKey: ['alike', handIn, fingerprint],
    queryFn: () =>
      unwrap(api.GET('/api/hand-ins/{handIn}/alike/{fingerprint}', {params: {path: {handIn, fingerprint}}})),
    gcTime: 0,
  })

/** An attempt held against an earlier one; the one before it where none is named. */
export const comparedAttempts = (handIn: string, against: number | null) =>
  queryOptions({
    queryKey: ['attempts', handIn, against],
    queryFn: () =>
      unwrap(
        api.GET('/api/hand-ins/{handIn}/attempts', {
          params: {path: {handIn}, query: against === null ? {} : {with: against}},
        }),
      ),
  })

/** A file as the instructor would have it. */
export const mendedCopy = (handIn: string, path: string) =>
  queryOptions({
    queryKey: ['mended', handIn, path],
    queryFn: () => unwrap(api.GET('/api/hand-ins/{handIn}/mended/{path}', {params: {path: {handIn, path}}})),
    // What is on the screen is newer than what comes back.
    staleTime: Infinity,
    gcTime: 0,
  })

/** What was found about links and navigation, on all leaves. */
export const findingsOfLinks = (handIn: string) =>
  queryOptions({
    queryKey: ['findings of links', handIn],
    queryFn: () => unwrap(api.GET('/api/hand-ins/{handIn}/findings', {params: {path: {handIn}, query: {links: 1}}})),
  })

/** A site that is looked at: what was handed in, or what nobody did: an assignment's own files, an example. */
export type SiteOf = {handIn: string} | {assignment: string; site: string}

/** Whether a leaf is there, and can be read as text. */
export const isText = (leaf: Schemas['Leaf'] | undefined): boolean =>
  leaf !== undefined && !leaf.missing && leaf.kind !== 'picture'

export const source = (of: SiteOf, path: string) =>
  queryOptions({
    queryKey: ['source', of, path],
    queryFn: async () => {
      const file = await unwrap<Schemas['SourceText']>(
        'handIn' in of
          ? api.GET('/api/hand-ins/{handIn}/source/{path}', {params: {path: {...of, path}}})
          : api.GET('/api/assignments/{assignment}/sites/{site}/source/{path}', {params: {path: {...of, path}}}),
      )
      // As editors count lines, whatever system the file is from.
      return {...file, text: file.text.replace(/\r\n?/g, '\n')}
    },
    staleTime: Infinity,
  })

/** On a large site the answer shows the neighbours of one page; on any other it is the same for every page. */
export const survey = (of: SiteOf, around: string) =>
  queryOptions({
    queryKey: ['survey', of, around],
    queryFn: () =>
      unwrap<Schemas['SurveyView']>(
        'handIn' in of
          ? api.GET('/api/hand-ins/{handIn}/survey', {params: {path: of, query: {around}}})
          : api.GET('/api/assignments/{assignment}/sites/{site}/survey', {params: {path: of, query: {around}}}),
      ),
    staleTime: ({state}) => (state.data?.ready === true ? Infinity : 0),
    refetchInterval: ({state: {data}}) => (data?.ready === false ? later(data) : false),
  })

export const seen = (of: SiteOf, scripts: boolean, styles: string) =>
  queryOptions({
    queryKey: ['seen', of, scripts, styles],
    queryFn: () => {
      const query = {scripts: scripts ? 1 : 0, styles} as const
      return unwrap<Schemas['SeenPage']>(
        'handIn' in of
          ? api.GET('/api/hand-ins/{handIn}/seen', {params: {path: of, query}})
          : api.GET('/api/assignments/{assignment}/sites/{site}/seen', {params: {path: of, query}}),
      )
    },
    staleTime: 60 * 60 * 1000,
    placeholderData: previous => previous,
  })

/** What an element looks like. The files of a hand-in do not change. */
export const looks = (handIn: string, leaf: string, at: string) =>
  queryOptions({
    queryKey: ['looks', handIn, leaf, at],
    queryFn: () => unwrap(api.GET('/api/hand-ins/{handIn}/looks', {params: {path: {handIn}, query: {leaf, at}}})),
    staleTime: Infinity,
    placeholderData: previous => previous,
  })

/** The element of a page that a line of its source is of. */
export const elementOn = (handIn: string, leaf: string, line: number) =>
  queryOptions({
    queryKey: ['element', handIn, leaf, line],
    queryFn: () => unwrap(api.GET('/api/hand-ins/{handIn}/elements', {params: {path: {handIn}, query: {leaf, line}}})),
    staleTime: Infinity,
    retry: false,
  })

/** Where an element of a page is in its source. */
export const placeOf = (handIn: string, leaf: string, at: string) =>
  queryOptions({
    queryKey: ['place of element', handIn, leaf, at],
    queryFn: () => unwrap(api.GET('/api/hand-ins/{handIn}/elements', {params: {path: {handIn}, query: {leaf, at}}})),
    staleTime: Infinity,
  })

export const reply = (handIn: string) =>
  queryOptions({
    queryKey: ['reply', handIn],
    queryFn: () => unwrap(api.GET('/api/hand-ins/{handIn}/reply', {params: {path: {handIn}}})),
  })

/**
 * Asks for all that a desk shows first before it is drawn, so that nothing of it waits for anything else.
 *
 * @returns fulfilled when all of it is there, or cannot be had
 */
export async function askForDesk(queries: QueryClient, id: string, leaf: string | null): Promise<void> {
  const reader = queries.query(me).catch(() => undefined)
  // What is named is most likely a text that is there; where it is not, nobody misses the answer.
  if (leaf !== null && /\.(?:html?|css|js)$/i.test(leaf))
    queries.query({...source({handIn: id}, leaf), retry: false}).catch(() => undefined)
  await queries
    .query(desk(id, () => leaf))
    .then(({leaves, first}) => {
      const there = leaves.find(one => one.path === first.leaf)
      return isText(there) ? queries.query(source({handIn: id}, first.leaf)) : undefined
    })
    // Where it cannot be had, the screen asks again and says so.
    .catch(() => undefined)
  await reader
}

/** All that a brief can ask for. */
export const briefKinds = queryOptions({
  queryKey: ['brief kinds'],
  queryFn: () => unwrap(api.GET('/api/brief-kinds')),
  staleTime: Infinity,
})

/** The brief that is being written, as it was kept last. */
export const briefDraft = (id: string) =>
  queryOptions({
    queryKey: ['brief draft', id],
    queryFn: () => unwrap(api.GET('/api/assignments/{assignment}/brief/draft', {params: {path: {assignment: id}}})),
    // What is on the screen is newer than what comes back.
    staleTime: Infinity,
    gcTime: 0,
  })

export const trialSites = (id: string) =>
  queryOptions({
    queryKey: ['trial sites', id],
    queryFn: () => unwrap(api.GET('/api/assignments/{assignment}/brief/sites', {params: {path: {assignment: id}}})),
  })

/** What a brief says, and what it comes to on a site. */
export const briefReading = (id: string, source: string, site: string | null) =>
  queryOptions({
    queryKey: ['brief reading', id, source, site],
    queryFn: ({signal}) =>
      unwrap(
        api.POST('/api/assignments/{assignment}/brief/reading', {
          params: {path: {assignment: id}},
          body: {source, site},
          signal,
        }),
      ),
    placeholderData: previous => previous,
    gcTime: 60_000,
  })

export const materials = (id: string) =>
  queryOptions({
    queryKey: ['materials', id],
    queryFn: () => unwrap(api.GET('/api/assignments/{assignment}/materials', {params: {path: {assignment: id}}})),
  })

/** Who sets and marks work in a course. */
export const people = (id: string) =>
  queryOptions({
    queryKey: ['people', id],
    queryFn: () => unwrap(api.GET('/api/courses/{course}/people', {params: {path: {course: id}}})),
  })

/** What was done to a course, the last first. */
export const deeds = (id: string) =>
  queryOptions({
    queryKey: ['deeds', id],
    queryFn: () => unwrap(api.GET('/api/courses/{course}/deeds', {params: {path: {course: id}}})),
  })

/** How much of a course is stored, and how much may be. */
export const space = (id: string) =>
  queryOptions({
    queryKey: ['space', id],
    queryFn: () => unwrap(api.GET('/api/courses/{course}/space', {params: {path: {course: id}}})),
  })

/** Notes kept for use again, for whoever marks a course. */
export const stockRemarks = (id: string) =>
  queryOptions({
    queryKey: ['stock remarks', id],
    queryFn: () => unwrap(api.GET('/api/courses/{course}/stock-remarks', {params: {path: {course: id}}})),
  })

/** A student's own page. */
export const myPage = (token: string) =>
  queryOptions({
    queryKey: ['my page', token],
    queryFn: () => unwrap(api.GET('/api/my/{token}', {params: {path: {token}}})),
  })

/** A piece of work as its student reads it; asked for again while a check is under way. */
export const myWork = (token: string, assignment: string) =>
  queryOptions({
    queryKey: ['my work', token, assignment],
    queryFn: () => unwrap(api.GET('/api/my/{token}/assignments/{assignment}', {params: {path: {token, assignment}}})),
    refetchInterval: ({state: {data}}) =>
      data !== undefined && (data.attempts.some(one => !one.checked) || data.coming.some(one => one.refused === null))
        ? later(data)
        : false,
  })

export const myCheck = (token: string, handIn: string) =>
  queryOptions({
    queryKey: ['my check', token, handIn],
    queryFn: () => unwrap(api.GET('/api/my/{token}/hand-ins/{handIn}/check', {params: {path: {token, handIn}}})),
  })

export const myReply = (token: string, handIn: string) =>
  queryOptions({
    queryKey: ['my reply', token, handIn],
    queryFn: () => unwrap(api.GET('/api/my/{token}/hand-ins/{handIn}/reply', {params: {path: {token, handIn}}})),
  })

/** The private links of a course's students. */
export const studentLinks = (id: string) =>
  queryOptions({
    queryKey: ['student links', id],
    queryFn: () => unwrap(api.POST('/api/courses/{course}/student-links', {params: {path: {course: id}}})),
    gcTime: 0,
  })

/** The one link of a course that asks for a handle; null where it is off. */
export const courseLink = (id: string) =>
  queryOptions({
    queryKey: ['course link', id],
    queryFn: () => unwrap(api.GET('/api/courses/{course}/link', {params: {path: {course: id}}})),
  })

export const courseDoor = (token: string) =>
  queryOptions({
    queryKey: ['course door', token],
    queryFn: () => unwrap(api.GET('/api/join/{token}', {params: {path: {token}}})),
  })
