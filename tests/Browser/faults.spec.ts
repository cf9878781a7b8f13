import {execFileSync, spawn, type ChildProcess} from 'node:child_process'
import {readFileSync} from 'node:fs'
import {createServer} from 'node:net'
import {expect, request, test, type APIRequestContext} from '@playwright/test'
import {headersOf, html, logIn, zip} from './desk'

/** Other rounds with `MARGIN_SEED=N`, as many as `MARGIN_ROUNDS` says. */
const seed = Number(process.env.MARGIN_SEED ?? Date.now() % 1_000_000)
const rounds = Number(process.env.MARGIN_ROUNDS ?? 9)

/** Random numbers below 1 that a seed gives again (a linear congruential generator; Numerical Recipes, 7.1). */
function dice(from: number) {
  let state = from
  return () => (state = (state * 1_664_525 + 1_013_904_223) % 2 ** 32) / 2 ** 32
}

const freePort = () =>
  new Promise<number>(done => {
    const server = createServer().listen(0, '127.0.0.1', () => {
      const address = server.address()
      server.close(() => done(typeof address === 'object' && address !== null ? address.port : 0))
    })
  })

/** Tries again until it works, as somebody at a desk would. */
async function until<T>(what: () => Promise<T>): Promise<T> {
  for (let tries = 0; ; tries++) {
    try {
      return await what()
    } catch (error) {
      if (tries > 100) throw error
      await new Promise(done => setTimeout(done, 100))
    }
  }
}

/** A web server of our own, beside the one of the other tests, in a group of processes that can be killed as one. */
async function serve(port: number, api: APIRequestContext): Promise<ChildProcess> {
  const server = spawn('php', ['-d', 'variables_order=EGPCS', '-S', `127.0.0.1:${port}`, '../bin/parts/router.php'], {
    cwd: 'public',
    detached: true,
    stdio: 'ignore',
    env: {...process.env, PHP_CLI_SERVER_WORKERS: '3'},
  })
  await until(() => api.get('/api/me'))
  return server
}

const kill = (server: ChildProcess) => process.kill(-(server.pid ?? 0), 'SIGKILL')

/**
 * One at work if there is any, or else one that is always there: when it is killed, all of the database starts anew.
 */
const FIND_PROCESS = `
  $from = fn (string $name) => getenv("DB_$name");
  $to = "pgsql:host={$from('HOST')};port={$from('PORT')};dbname={$from('DATABASE')}";
  $database = new PDO($to, $from('USERNAME'), $from('PASSWORD'));
  echo $database->query("select pid from pg_stat_activity where pid <> pg_backend_pid()
    order by state = 'active' desc nulls last, backend_type = 'client backend' desc limit 1")->fetchColumn();`

const databaseProcess = () => Number(execFileSync('php', ['-r', FIND_PROCESS]).toString())

/** One that has ended between being found and being killed is no longer there: then another is. */
const killDatabase = () => until(async () => Promise.resolve(process.kill(databaseProcess(), 'SIGKILL')))

test('whatever is killed in the middle of writing, nothing is lost, doubled or half written', async () => {
  test.setTimeout(240_000)
  console.log(`seed ${seed}: MARGIN_SEED=${seed} does the same again`)
  const random = dice(seed)
  const port = await freePort()
  const api = await request.newContext({baseURL: `http://127.0.0.1:${port}`})
  let server = await serve(port, api)
  const headers = () => headersOf(api)
  await logIn(api)
  const json = async <T>(address: string) =>
    until(async () => {
      const answer = await api.get(address, {headers: {Accept: 'application/json'}})
      if (!answer.ok()) throw new Error(`${address}: ${answer.status()}`)
      return (await answer.json()) as T
    })
  const {courses} = await json<{courses: {id: string; title: string}[]}>('/api/shelf')
  const craft = courses.find(({title}) => title === 'Web Craft 1')
  const course = await json<{assignments: {id: string; title: string}[]}>(`/api/courses/${craft?.id}`)
  const assignment = course.assignments.find(({title}) => title.startsWith('Lamplighter'))?.id ?? ''
  const {handIns} = await json<{handIns: {id: string; student: string}[]}>(`/api/assignments/${assignment}`)
  const desk = handIns.find(({student}) => student === 'Abel Fennimore')?.id ?? ''

  const notes: {body: string; kept: boolean}[] = []
  const drops: {name: string; kept: boolean}[] = []
  for (let round = 0; round < rounds; round++) {
    const sent = await headers()
    const writes = Array.from({length: 8}, async (_, number) => {
      const body = `Note ${seed} ${round} ${number}`
      const answer = await api
        .post(`/api/hand-ins/${desk}/notes`, {headers: sent, data: {body, kind: 'note'}})
        .catch(() => null)
      notes.push({body, kept: answer?.ok() === true})
    })
    const uploads = Array.from({length: 3}, async (_, number) => {
      const name = `ldewhirst ${seed} ${round} ${number}.zip`
      const file = zip(name, {'index.html': html(`<p>${name}</p>`), 'stop-1.html': html(`<p>${number}</p>`)})
      const multipart = {'files[]': {name, mimeType: 'application/zip', buffer: readFileSync(file)}}
      const answer = await api
        .post(`/api/assignments/${assignment}/arrivals`, {headers: sent, multipart})
        .catch(() => null)
      drops.push({name, kept: answer?.status() === 202})
    })
    await new Promise(done => setTimeout(done, 20 + random() * 700))
    if (round % 3 === 2) await killDatabase()
    else kill(server)
    await Promise.all([...writes, ...uploads])
    if (round % 3 !== 2) server = await serve(port, api)
  }
  const kept = [...notes, ...drops].filter(one => one.kept).length
  console.log(`${kept} of ${notes.length + drops.length} writes were told to be kept before the end`)

  const read = await json<{notes: {body: string}[]}>(`/api/hand-ins/${desk}`)
  const times = (all: string[], one: string) => all.filter(each => each === one).length
  const bodies = read.notes.map(({body}) => body)
  expect(notes.filter(({body, kept: told}) => times(bodies, body) > 1 || (told && times(bodies, body) === 0))).toEqual(
    [],
  )
  type Arrival = {name: string; state: string; run: {state: string} | null}
  const arrivals = async () => json<Arrival[]>(`/api/assignments/${assignment}/arrivals`)
  await expect
    .poll(
      async () =>
        (await arrivals()).filter(
          ({state, run}) => state === 'waiting' || ['queued', 'running'].includes(run?.state ?? ''),
        ),
      {timeout: 120_000},
    )
    .toEqual([])
  const names = (await arrivals()).map(({name}) => name)
  expect(drops.filter(({name, kept: told}) => times(names, name) > 1 || (told && times(names, name) === 0))).toEqual([])
  kill(server)
  const sound = JSON.parse(
    execFileSync('php', ['-d', 'variables_order=EGPCS', 'tests/Browser/sound.php']).toString(),
  ) as unknown
  expect(sound).toEqual({damaged: [], unfinished: 0, 'without files': 0, 'attempts out of step': 0})
})
