/** Every route, asked by everybody: without a sign-in, by each role in the class itself, and by strangers of each role. */
import { readdirSync } from 'node:fs'
import { beforeAll, describe, expect, it } from 'vitest'
import { piecePageSchema } from '../../shared/submission'
import { enrol, newAccount, newClass } from '../people'
import { database, Person, picture } from './client'

/**
 * Whose a route is. Of the class that its piece is in: its learner, its staff, its instructor; whoever leads a class, its owner
 * too; a person themselves, who leads a class of theirs, and the owner. Of the house: whoever teaches anywhere, its owner.
 * Otherwise any account, or anybody.
 */
type Who = 'anybody' | 'account' | 'learner' | 'staff' | 'instructor' | 'lead' | 'person' | 'instructors' | 'owner'
interface Route {
  readonly method: string
  readonly path: string
  readonly who: Who
  readonly body?: unknown
}

const klass = { name: 'Evening class, harbour hall', budgetMinutes: 25, wheel: 'painter' }
const correction = {
  station: 'values',
  area: null,
  readingId: null,
  reason: '',
  what: 'Too dark',
  todo: '',
  target: null
}
const sky = { name: 'sky', area: { kind: 'rectangle', x: 0, y: 0, w: 1, h: 0.3 } }
/** Every route, with ids of the demo: submission 1 is Ada's and waits; assignment 1 is Ada's. */
const ROUTES: readonly Route[] = [
  { method: 'GET', path: '/session', who: 'anybody' },
  { method: 'POST', path: '/session', who: 'anybody' },
  { method: 'DELETE', path: '/session', who: 'account' },
  { method: 'PUT', path: '/account/password', who: 'account', body: { current: 'x', next: 'y' } },
  { method: 'GET', path: '/account/sessions', who: 'account' },
  { method: 'DELETE', path: '/account/sessions', who: 'account' },
  { method: 'DELETE', path: '/account/sessions/1', who: 'account' },
  { method: 'GET', path: '/classes', who: 'account' },
  { method: 'GET', path: '/classes/1/standards', who: 'staff' },
  { method: 'GET', path: '/classes/1/set-aside', who: 'staff' },
  { method: 'PUT', path: '/classes/1/standards', who: 'instructor', body: null },
  { method: 'PUT', path: '/classes/1/rubric', who: 'instructor', body: [{ key: 'a', title: 'A', station: null }] },
  { method: 'GET', path: '/submissions', who: 'account' },
  { method: 'GET', path: '/submissions/some?ids=1', who: 'account' },
  { method: 'GET', path: '/shelves', who: 'staff' },
  { method: 'POST', path: '/submissions', who: 'learner' },
  { method: 'GET', path: '/submissions/1', who: 'account' },
  { method: 'POST', path: '/submissions/1/measure', who: 'account' },
  { method: 'GET', path: '/submissions/1/critique', who: 'account' },
  { method: 'PUT', path: '/submissions/1/verdict', who: 'staff', body: { works: '', verdict: '', revision: 0 } },
  {
    method: 'PUT',
    path: '/submissions/1/assignment',
    who: 'staff',
    body: { exercise: 'opposites', dueOn: '2027-01-01' }
  },
  { method: 'DELETE', path: '/submissions/1/assignment', who: 'staff' },
  { method: 'POST', path: '/submissions/1/release', who: 'instructor' },
  { method: 'GET', path: '/submissions/1/picture/display', who: 'account' },
  { method: 'POST', path: '/submissions/1/corrections', who: 'staff', body: correction },
  { method: 'PUT', path: '/submissions/1/corrections/order', who: 'staff', body: { order: [1] } },
  { method: 'PUT', path: '/submissions/1/corrections/1', who: 'staff', body: { ...correction, over: correction } },
  { method: 'DELETE', path: '/submissions/1/corrections/1', who: 'staff' },
  { method: 'POST', path: '/submissions/1/areas', who: 'staff', body: sky },
  { method: 'PUT', path: '/submissions/1/areas/1', who: 'staff', body: { ...sky, over: sky } },
  { method: 'DELETE', path: '/submissions/1/areas/1', who: 'staff' },
  { method: 'PUT', path: '/submissions/1/score', who: 'staff', body: { score: null, over: null } },
  { method: 'POST', path: '/submissions/1/withdraw', who: 'instructor' },
  { method: 'POST', path: '/submissions/1/question', who: 'learner', body: { question: 'Which blue?' } },
  { method: 'PUT', path: '/submissions/1/answer', who: 'instructor', body: { answer: 'The cooler one.' } },
  { method: 'POST', path: '/submissions/1/exports', who: 'account', body: { name: 'sheet-a4.pdf' } },
  { method: 'GET', path: '/submissions/1/exports/1', who: 'account' },
  { method: 'DELETE', path: '/submissions/1/exports/1', who: 'account' },
  { method: 'GET', path: '/submissions/1/exports/1/file', who: 'account' },
  { method: 'POST', path: '/submissions/1/annotations', who: 'staff', body: { items: [] } },
  { method: 'GET', path: '/phrases', who: 'staff' },
  { method: 'PUT', path: '/phrases/1', who: 'staff', body: { words: 'x' } },
  { method: 'DELETE', path: '/phrases/1', who: 'staff' },
  { method: 'GET', path: '/outbox', who: 'account' },
  { method: 'GET', path: '/submissions/1/export/report.json', who: 'account' },
  { method: 'POST', path: '/submissions/1/time', who: 'staff', body: { seconds: 5 } },
  { method: 'PUT', path: '/submissions/1/notes', who: 'staff', body: { about: 'x' } },
  { method: 'GET', path: '/assignments', who: 'account' },
  { method: 'GET', path: '/assignments/1', who: 'account' },
  { method: 'POST', path: '/assignments/1/confirm', who: 'instructor' },
  { method: 'PUT', path: '/account/address', who: 'account', body: { email: 'a@b.example', password: 'x' } },
  { method: 'POST', path: '/account/second-step', who: 'instructors' },
  { method: 'PUT', path: '/account/second-step', who: 'instructors', body: { code: '1' } },
  { method: 'DELETE', path: '/account/second-step', who: 'account', body: { code: '1' } },
  { method: 'POST', path: '/classes', who: 'instructors', body: {} },
  { method: 'GET', path: '/classes/1', who: 'lead' },
  { method: 'PUT', path: '/classes/1', who: 'lead', body: klass },
  { method: 'PUT', path: '/classes/1/archive', who: 'lead' },
  { method: 'DELETE', path: '/classes/1/archive', who: 'lead' },
  { method: 'POST', path: '/classes/1/code', who: 'lead' },
  { method: 'DELETE', path: '/classes/1/code', who: 'lead' },
  { method: 'GET', path: '/classes/1/people', who: 'lead' },
  { method: 'POST', path: '/classes/1/people', who: 'lead', body: { text: ',' } },
  { method: 'POST', path: '/classes/1/people/preview', who: 'lead', body: { text: 'Ada' } },
  { method: 'GET', path: '/classes/1/people/table', who: 'lead' },
  { method: 'POST', path: '/classes/1/people/slips', who: 'lead' },
  { method: 'PUT', path: '/classes/1/people/2/role', who: 'lead', body: { role: 'learner' } },
  { method: 'PUT', path: '/classes/1/people/2/name', who: 'lead', body: { name: 'Ada' } },
  { method: 'DELETE', path: '/classes/1/people/9999', who: 'lead' },
  { method: 'POST', path: '/classes/1/people/2/mail', who: 'lead' },
  { method: 'POST', path: '/classes/1/people/2/link', who: 'lead' },
  { method: 'GET', path: '/people/2/record', who: 'person' },
  { method: 'GET', path: '/people/2/erasure', who: 'person' },
  { method: 'PUT', path: '/people/2/erasure', who: 'person', body: { wish: 'own' } },
  { method: 'DELETE', path: '/people/2/erasure', who: 'person' },
  { method: 'GET', path: '/house', who: 'owner' },
  { method: 'PUT', path: '/house', who: 'owner', body: { retentionMonths: null } },
  { method: 'GET', path: '/house/people', who: 'owner' },
  { method: 'POST', path: '/house/people', who: 'owner', body: {} },
  { method: 'PUT', path: '/house/people/2/role', who: 'owner', body: {} },
  { method: 'POST', path: '/house/people/2/link', who: 'owner' },
  { method: 'DELETE', path: '/house/people/2/sessions', who: 'owner' },
  { method: 'POST', path: '/house/demo', who: 'owner' },
  { method: 'DELETE', path: '/house/demo', who: 'owner' },
  { method: 'GET', path: '/house/audit', who: 'owner' },
  { method: 'GET', path: '/house/audit/table', who: 'owner' },
  { method: 'GET', path: '/links/1-x', who: 'anybody' },
  { method: 'POST', path: '/links/1-x/begin', who: 'anybody' },
  { method: 'POST', path: '/links/1-x/enter', who: 'anybody' },
  { method: 'POST', path: '/links/1-x/address', who: 'anybody' },
  { method: 'GET', path: '/join/AAAA', who: 'anybody' },
  { method: 'POST', path: '/join/AAAA', who: 'anybody' },
  { method: 'POST', path: '/join/AAAA/too', who: 'account' },
  { method: 'POST', path: '/forgotten', who: 'anybody' }
]

const ASKERS = [
  'nobody',
  'learner',
  'classmate',
  'assistant',
  'stranger',
  'assistant elsewhere',
  'learner elsewhere',
  'owner'
] as const
type Asker = (typeof ASKERS)[number]
const ask = (person: Person, { method, path, body }: Route): Promise<Response> => person.json(method, path, body)
/** What belongs to a class, a piece, an exercise or a person. */
const owned = (path: string): boolean => /^\/(classes|submissions|assignments|people)\/\d/.test(path)

/**
 * What a route says to whoever may not: 401 to nobody, 403 to whoever has no such role or may not do it in this class, 404 to
 * whoever has the role and no part in it. Null where it is theirs to ask, or to ask and be told what else is wrong.
 */
function refusalOf({ who, path }: Route, asker: Asker): number | null {
  if (who === 'anybody') return null
  if (asker === 'nobody') return 401
  const staff = ['assistant', 'stranger', 'assistant elsewhere', 'owner'].includes(asker),
    teaches = ['stranger', 'owner'].includes(asker),
    learns = ['learner', 'classmate', 'learner elsewhere'].includes(asker),
    within = ['learner', 'classmate', 'assistant'].includes(asker)
  const hidden = owned(path) ? 404 : null
  switch (who) {
    case 'account':
      return asker === 'learner' || asker === 'assistant' ? null : hidden
    case 'learner':
      return !learns ? 403 : asker === 'learner' ? null : hidden
    case 'staff':
      return !staff ? 403 : asker === 'assistant' ? null : hidden
    case 'instructor':
      // An assistant of this class teaches nowhere.
      return teaches ? hidden : 403
    case 'instructors':
      return teaches ? null : 403
    case 'lead':
      return asker === 'owner' ? null : within ? 403 : 404
    case 'person':
      return asker === 'owner' || asker === 'learner' ? null : 404
    case 'owner':
      return asker === 'owner' ? null : 403
  }
}

const people = {} as Record<Asker, Person>
let tamsin: Person
beforeAll(async () => {
  const connection = await database(),
    made = Date.now(),
    password = 'another-lamp'
  const account = (name: string, house?: 'owner'): Promise<number> =>
    newAccount(connection, {
      email: `${name}-${made}@harbour.example`,
      name: `Some ${name}`,
      password,
      ...(house && { house })
    })
  const ids = {
    stranger: await account('stranger'),
    assistant: await account('assistant'),
    helper: await account('helper'),
    pupil: await account('pupil'),
    owner: await account('owner', 'owner')
  }
  const elsewhere = await newClass(connection, 'Morning class', ids.stranger)
  await enrol(connection, { classId: 1, accountId: ids.assistant, role: 'assistant' })
  await enrol(connection, { classId: elsewhere, accountId: ids.helper, role: 'assistant' })
  await enrol(connection, { classId: elsewhere, accountId: ids.pupil })
  await connection.end()
  const signedIn = (name: string): Promise<Person> => Person.signedIn(`${name}-${made}@harbour.example`, { password })
  Object.assign(people, {
    nobody: new Person(),
    learner: await Person.signedIn('ada'),
    classmate: await Person.signedIn('bram'),
    assistant: await signedIn('assistant'),
    stranger: await signedIn('stranger'),
    'assistant elsewhere': await signedIn('helper'),
    'learner elsewhere': await signedIn('pupil'),
    owner: await signedIn('owner')
  })
  tamsin = await Person.signedIn('tamsin')
})

describe('access', () => {
  it('is tested on every route that exists', () => {
    const files = readdirSync(new URL('../../server/api', import.meta.url), { recursive: true })
      .map(String)
      .filter(f => f.endsWith('.ts') && f !== '[...].ts' && f !== 'index.ts')
    expect(ROUTES).toHaveLength(files.length)
  })

  it.each(ASKERS)('of %s: every route answers what is theirs, and refuses the rest', async asker => {
    const wrong: string[] = []
    for (const route of ROUTES) {
      const refusal = refusalOf(route, asker)
      // What is theirs is left alone here: asked for, it would be done.
      if (refusal === null) continue
      const { status } = await ask(people[asker], route)
      if (status !== refusal) wrong.push(`${route.method} ${route.path}: ${status}, not ${refusal}`)
    }
    expect(wrong).toEqual([])
  })

  it('gives each what is theirs', async () => {
    const read = ROUTES.filter(r => r.method === 'GET' && !/exports|export|record|critique|links|join/.test(r.path))
    const wrong: string[] = []
    for (const asker of ASKERS)
      for (const route of read.filter(r => refusalOf(r, asker) === null)) {
        const { status } = await ask(people[asker], route)
        if (status !== 200) wrong.push(`${asker}, ${route.path}: ${status}`)
      }
    expect(wrong).toEqual([])
  })

  it('lets an assistant draft, and not release; whoever teaches elsewhere hand in nothing', async () => {
    const marked = await people.assistant.json('POST', '/submissions/1/corrections', correction)
    expect(marked.status).toBe(200)
    const { id } = (await marked.json()) as { id: number }
    expect((await people.assistant.json('DELETE', `/submissions/1/corrections/${id}`)).status).toBe(200)
    expect((await people.assistant.json('POST', '/submissions/1/release')).status).toBe(403)
    expect((await (await people.assistant.fetch('/submissions/1')).json()).may).toEqual(['draft'])
    expect((await (await tamsin.fetch('/submissions/1')).json()).may).toEqual(['draft', 'release'])
    expect((await people.stranger.handIn(await picture())).status).toBe(403)
    expect((await people['learner elsewhere'].handIn(await picture())).status).toBe(404)
  })

  it('of an archived class is to read: nothing in it is changed, by anybody, until it is brought back', async () => {
    const connection = await database()
    const [[{ n: before }]] = (await connection.query('SELECT COUNT(*) AS n FROM corrections')) as unknown as [
      [{ n: number }]
    ]
    expect((await tamsin.json('PUT', '/classes/1/archive')).status).toBe(200)
    try {
      expect((await tamsin.fetch('/submissions/1')).status).toBe(200)
      const changes = ROUTES.filter(
        r =>
          r.method !== 'GET'
          && ['staff', 'instructor', 'lead'].includes(r.who)
          && owned(r.path)
          && !r.path.endsWith('/archive')
      )
      const statuses = await Promise.all(changes.map(async r => [r.path, (await ask(tamsin, r)).status] as const))
      expect(statuses.filter(([, status]) => status !== 409)).toEqual([])
      expect((await people.learner.handIn(await picture())).status).toBe(409)
    } finally {
      expect((await tamsin.json('DELETE', '/classes/1/archive')).status).toBe(200)
    }
    const [[{ n: after }]] = (await connection.query('SELECT COUNT(*) AS n FROM corrections')) as unknown as [
      [{ n: number }]
    ]
    await connection.end()
    expect(after).toBe(before)
  })

  it("shows lists of one's own only", async () => {
    const { stranger, classmate } = people
    for (const path of ['/submissions/some?ids=1,2,3', '/assignments'])
      expect(await (await stranger.fetch(path)).json()).toEqual([])
    for (const shelf of ['review', 'exercises', 'released'])
      for (const of of ['', '&classId=1'])
        expect(await (await stranger.fetch(`/submissions?shelf=${shelf}${of}`)).json()).toEqual({
          items: [],
          next: null
        })
    expect(await (await stranger.fetch('/shelves?classId=1')).json()).toMatchObject({
      counts: { review: 0, exercises: 0, released: 0 },
      minutes: 0,
      oldest: null
    })
    const { items } = piecePageSchema.parse(await (await classmate.fetch('/submissions')).json())
    expect(new Set(items.map(s => s.learner.name))).toEqual(new Set(['Bram Osei']))
    expect(await (await stranger.fetch('/classes')).json()).toMatchObject([
      { name: 'Morning class', role: 'instructor' }
    ])
  })

  it('keeps a critique from its learner until it is released', async () => {
    expect((await people.learner.fetch('/submissions/1/critique')).status).toBe(404)
  })

  it('refuses a change that another site sends', async () => {
    const response = await people.learner.fetch('/submissions', {
      method: 'POST',
      headers: { origin: 'http://elsewhere.example' }
    })
    expect(response.status).toBe(403)
  })
})

describe('sessions', () => {
  it('end with the sign-out, also for a cookie kept from before', async () => {
    const person = await Person.signedIn('mika')
    const kept = Object.assign(Object.create(Person.prototype) as Person, person)
    expect((await kept.fetch('/submissions')).status).toBe(200)
    await person.json('DELETE', '/session')
    expect((await kept.fetch('/submissions')).status).toBe(401)
  })

  it('come in an HttpOnly, SameSite cookie', async () => {
    const response = await new Person().json('POST', '/session', {
      login: 'mika@harbour.example',
      password: 'harbour-lamp'
    })
    const cookies = response.headers.getSetCookie()
    expect(cookies.length).toBeGreaterThan(0)
    for (const cookie of cookies) expect(cookie).toMatch(/HttpOnly.*SameSite=Lax|SameSite=Lax.*HttpOnly/i)
  })

  it('cannot be guessed at: wrong passwords are slowed, an unknown e-mail is answered alike', async () => {
    const guess = (email: string) => new Person().json('POST', '/session', { login: email, password: 'wrong' })
    const email = `nobody-${Date.now()}@harbour.example`
    const first = await guess(email)
    expect([first.status, (await first.json()).error.message]).toEqual([
      401,
      (await (await guess('rosa@harbour.example')).json()).error.message
    ])
    for (let i = 0; i < 7; i++) await guess(email)
    expect((await guess(email)).status).toBe(429)
  })
})
