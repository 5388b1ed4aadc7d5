/** No sign-in, the wrong role, and somebody else's data are refused on every route. */
import { readdirSync } from 'node:fs'
import { beforeAll, describe, expect, it } from 'vitest'
import { insertAccount } from '../../server/db/accounts'
import { insertClass } from '../../server/db/classes'
import { hashPassword } from '../../server/services/passwords'
import { piecePageSchema } from '../../shared/submission'
import { database, Person, picture } from './client'

type Who = 'anybody' | 'account' | 'instructor' | 'learner'
interface Route {
  readonly method: string
  readonly path: string
  readonly who: Who
  readonly body?: unknown
}

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
  { method: 'GET', path: '/classes/1/standards', who: 'instructor' },
  { method: 'GET', path: '/classes/1/set-aside', who: 'instructor' },
  { method: 'PUT', path: '/classes/1/standards', who: 'instructor', body: null },
  { method: 'PUT', path: '/classes/1/rubric', who: 'instructor', body: [{ key: 'a', title: 'A', station: null }] },
  { method: 'GET', path: '/submissions', who: 'account' },
  { method: 'GET', path: '/submissions/some?ids=1', who: 'account' },
  { method: 'GET', path: '/shelves', who: 'instructor' },
  { method: 'POST', path: '/submissions', who: 'learner' },
  { method: 'GET', path: '/submissions/1', who: 'account' },
  { method: 'POST', path: '/submissions/1/measure', who: 'account' },
  { method: 'GET', path: '/submissions/1/critique', who: 'account' },
  { method: 'PUT', path: '/submissions/1/verdict', who: 'instructor', body: { works: '', verdict: '', revision: 0 } },
  {
    method: 'PUT',
    path: '/submissions/1/assignment',
    who: 'instructor',
    body: { exercise: 'opposites', dueOn: '2027-01-01' }
  },
  { method: 'DELETE', path: '/submissions/1/assignment', who: 'instructor' },
  { method: 'POST', path: '/submissions/1/release', who: 'instructor' },
  { method: 'GET', path: '/submissions/1/picture/display', who: 'account' },
  { method: 'POST', path: '/submissions/1/corrections', who: 'instructor', body: correction },
  { method: 'PUT', path: '/submissions/1/corrections/order', who: 'instructor', body: { order: [1] } },
  { method: 'PUT', path: '/submissions/1/corrections/1', who: 'instructor', body: { ...correction, over: correction } },
  { method: 'DELETE', path: '/submissions/1/corrections/1', who: 'instructor' },
  { method: 'POST', path: '/submissions/1/areas', who: 'instructor', body: sky },
  { method: 'PUT', path: '/submissions/1/areas/1', who: 'instructor', body: { ...sky, over: sky } },
  { method: 'DELETE', path: '/submissions/1/areas/1', who: 'instructor' },
  { method: 'PUT', path: '/submissions/1/score', who: 'instructor', body: { score: null, over: null } },
  { method: 'POST', path: '/submissions/1/withdraw', who: 'instructor' },
  { method: 'POST', path: '/submissions/1/question', who: 'learner', body: { question: 'Which blue?' } },
  { method: 'PUT', path: '/submissions/1/answer', who: 'instructor', body: { answer: 'The cooler one.' } },
  { method: 'POST', path: '/submissions/1/exports', who: 'account', body: { name: 'sheet-a4.pdf' } },
  { method: 'GET', path: '/submissions/1/exports/1', who: 'account' },
  { method: 'DELETE', path: '/submissions/1/exports/1', who: 'account' },
  { method: 'GET', path: '/submissions/1/exports/1/file', who: 'account' },
  { method: 'POST', path: '/submissions/1/annotations', who: 'instructor', body: { items: [] } },
  { method: 'GET', path: '/phrases', who: 'instructor' },
  { method: 'PUT', path: '/phrases/1', who: 'instructor', body: { words: 'x' } },
  { method: 'DELETE', path: '/phrases/1', who: 'instructor' },
  { method: 'GET', path: '/outbox', who: 'account' },
  { method: 'GET', path: '/submissions/1/export/report.json', who: 'account' },
  { method: 'POST', path: '/submissions/1/time', who: 'instructor', body: { seconds: 5 } },
  { method: 'PUT', path: '/submissions/1/notes', who: 'instructor', body: { about: 'x' } },
  { method: 'GET', path: '/assignments', who: 'account' },
  { method: 'GET', path: '/assignments/1', who: 'account' },
  { method: 'POST', path: '/assignments/1/confirm', who: 'instructor' }
]
const owned = ROUTES.filter(r => /\/\d/.test(r.path))
const ask = (person: Person, { method, path, body }: Route): Promise<Response> => person.json(method, path, body)

let stranger: Person, otherLearner: Person, owner: Person

beforeAll(async () => {
  const connection = await database()
  const email = `other-${Date.now()}@harbour.example`
  const id = await insertAccount(connection, {
    email,
    name: 'Other Instructor',
    role: 'instructor',
    passwordHash: await hashPassword('another-lamp')
  })
  await insertClass(connection, { name: 'Morning class', instructorId: id, budgetMinutes: 20 })
  await connection.end()
  stranger = await Person.signedIn(email, { password: 'another-lamp' })
  otherLearner = await Person.signedIn('bram')
  owner = await Person.signedIn('ada')
})

describe('access', () => {
  it('is tested on every route that exists', () => {
    const files = readdirSync(new URL('../../server/api', import.meta.url), { recursive: true })
      .map(String)
      .filter(f => f.endsWith('.ts') && f !== '[...].ts' && f !== 'index.ts')
    expect(ROUTES).toHaveLength(files.length)
  })

  it.each(ROUTES.filter(r => r.who !== 'anybody'))('refuses $method $path without a sign-in', async route => {
    const response = await ask(new Person(), route)
    expect(response.status).toBe(401)
    expect(await response.json()).toMatchObject({ error: { code: 'not-signed-in' } })
  })

  it.each(ROUTES.filter(r => r.who === 'instructor'))(
    'refuses $method $path to the learner whose work it is',
    async route => {
      expect((await ask(owner, route)).status).toBe(403)
    }
  )

  it('refuses a hand-in by an instructor', async () => {
    expect((await stranger.handIn(await picture())).status).toBe(403)
  })

  it.each(owned.filter(r => r.who !== 'learner'))('hides $method $path from another instructor', async route => {
    expect((await ask(stranger, route)).status).toBe(404)
  })

  it.each(owned.filter(r => r.who !== 'instructor'))('hides $method $path from another learner', async route => {
    expect((await ask(otherLearner, route)).status).toBe(404)
  })

  it("shows lists of one's own only", async () => {
    for (const path of ['/submissions/some?ids=1,2,3', '/assignments'])
      expect(await (await stranger.fetch(path)).json()).toEqual([])
    for (const shelf of ['review', 'exercises', 'released'])
      expect(await (await stranger.fetch(`/submissions?shelf=${shelf}`)).json()).toEqual({ items: [], next: null })
    expect(await (await stranger.fetch('/shelves')).json()).toMatchObject({
      counts: { review: 0, exercises: 0, released: 0 },
      minutes: 0,
      oldest: null
    })
    const { items } = piecePageSchema.parse(await (await otherLearner.fetch('/submissions')).json())
    expect(new Set(items.map(s => s.learner.name))).toEqual(new Set(['Bram Osei']))
    expect(await (await stranger.fetch('/classes')).json()).toMatchObject([{ name: 'Morning class' }])
  })

  it('keeps a critique from its learner until it is released', async () => {
    expect((await owner.fetch('/submissions/1/critique')).status).toBe(404)
  })

  it('refuses a change that another site sends', async () => {
    const response = await owner.fetch('/submissions', {
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
      email: 'mika@harbour.example',
      password: 'harbour-lamp'
    })
    const cookies = response.headers.getSetCookie()
    expect(cookies.length).toBeGreaterThan(0)
    for (const cookie of cookies) expect(cookie).toMatch(/HttpOnly.*SameSite=Lax|SameSite=Lax.*HttpOnly/i)
  })

  it('cannot be guessed at: wrong passwords are slowed, an unknown e-mail is answered alike', async () => {
    const guess = (email: string) => new Person().json('POST', '/session', { email, password: 'wrong' })
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
