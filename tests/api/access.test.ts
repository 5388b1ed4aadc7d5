/**
 * Every route, asked by everybody: without a sign-in, by each role in the class itself, and by strangers of each role.
 */
import { readdirSync } from 'node:fs'
import { beforeAll, describe, expect, it } from 'vitest'
import { piecePageSchema } from '../../shared/pieces/submission'
import { enrol, newAccount, newClass } from '../people'
import { database, Person, picture } from './client'
import { correction, ROUTES, type Route } from './routes'

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
const owned = (path: string): boolean => /^\/(classes|submissions|assignments|exercise-sets|people)\/\d/.test(path)

/**
 * What a route says to whoever may not: 401 to nobody, 403 to whoever has no such role or may not do it in this class,
 * 404 to whoever has the role and no part in it. Null where it is theirs to ask, or to ask and be told what else is
 * wrong.
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
    const read = ROUTES.filter(
      r =>
        r.method === 'GET'
        && !/exports|export|record|critique|links|join|over|call\/|entry\/|sittings|inbox\/pictures|workshop\/sheet|(studies|sheets)\/\d|\/plan$/.test(
          r.path
        )
    )
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
