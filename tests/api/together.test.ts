/**
 * What many do at once, and what was read before it was taken back: a sentence each time, and never an unexpected one.
 */
import { beforeAll, describe, expect, it } from 'vitest'
import { enrol, newAccount, newClass } from '../people'
import { critiqueSchema } from '../../shared/critique'
import { exportStateSchema } from '../../shared/pieces/export'
import { mailListSchema } from '../../shared/mail'
import { database, Person, picture } from './client'

const correction = { station: 'values', area: null, readingId: null, reason: '', what: 'Flat', todo: '', target: null }
const handedIn = async (person: Person, words: Record<string, string> = {}): Promise<number> =>
  ((await (await person.handIn(await picture(), words)).json()) as { id: number }).id

let tamsin: Person, rosa: Person
beforeAll(async () => {
  tamsin = await Person.signedIn('tamsin')
  rosa = await Person.signedIn('rosa')
})

describe('ten instructors marking at once', () => {
  it('each get every correction in its place, and none meets an error', async () => {
    const connection = await database(),
      made = Date.now(),
      password = 'ten-lamps'
    const desks = await Promise.all(
      Array.from({ length: 10 }, async (_, i) => {
        const name = `ten-${made}-${i}@harbour.example`,
          mine = `of-${made}-${i}@harbour.example`
        const instructor = await newAccount(connection, { email: name, name: `Ten ${i}`, password })
        const classId = await newClass(connection, `Class ${i}`, instructor)
        const accountId = await newAccount(connection, { email: mine, name: `Of ${i}`, password })
        await enrol(connection, { classId, accountId })
        const piece = await handedIn(await Person.signedIn(mine, { password: 'ten-lamps' }), { classId: `${classId}` })
        return { person: await Person.signedIn(name, { password: 'ten-lamps' }), piece }
      })
    )
    await connection.end()
    const statuses = await Promise.all(
      desks.flatMap(({ person, piece }) =>
        Array.from({ length: 40 }, (_, i) =>
          person
            .json('POST', `/submissions/${piece}/corrections`, { ...correction, what: `Number ${i}` })
            .then(r => r.status)
        )
      )
    )
    expect(statuses.filter(status => status !== 200)).toEqual([])
    for (const { person, piece } of desks) {
      const { corrections } = critiqueSchema.parse(await (await person.fetch(`/submissions/${piece}/critique`)).json())
      expect(corrections.map(c => c.order)).toEqual(Array.from({ length: 40 }, (_, i) => i + 1))
      expect(new Set(corrections.map(c => c.what)).size).toBe(40)
    }
  })
})

describe('exports', () => {
  it('asked for all at once are three all the same, gone for the learner when the critique is taken back', async () => {
    // Large enough that the first is not done before the tenth is asked for: one that is done makes room.
    const large = await rosa.handIn(await picture(2400, 1800), { title: 'Taken back' }),
      { id } = (await large.json()) as { id: number }
    await rosa.measured(id)
    await tamsin.json('POST', `/submissions/${id}/corrections`, correction)
    await tamsin.json('POST', `/submissions/${id}/release`)
    const begin = (): Promise<Response> => rosa.json('POST', `/submissions/${id}/exports`, { name: 'layers.ora' })
    const answers = await Promise.all(Array.from({ length: 10 }, begin))
    expect(answers.map(a => a.status).sort()).toEqual([...Array<number>(3).fill(200), ...Array<number>(7).fill(429)])
    const jobs = await Promise.all(answers.filter(a => a.ok).map(async a => exportStateSchema.parse(await a.json()).id))
    const state = async (job: string): Promise<string> =>
      exportStateSchema.parse(await (await rosa.fetch(`/submissions/${id}/exports/${job}`)).json()).state
    for (let i = 0; i < 600 && (await state(jobs[2]!)) !== 'done'; i++)
      await new Promise(resolve => setTimeout(resolve, 50))
    const file = (): Promise<Response> => rosa.fetch(`/submissions/${id}/exports/${jobs[2]}/file`)
    expect((await file()).status).toBe(200)
    await tamsin.json('POST', `/submissions/${id}/withdraw`)
    expect((await file()).status).toBe(404)
    // Released again, what was made of the earlier critique is still gone.
    await tamsin.json('POST', `/submissions/${id}/release`, { note: 'again' })
    expect((await file()).status).toBe(404)
  })
})

describe('an exercise that was answered', () => {
  it('is not taken back with the critique it came with: that is said, and it stays', async () => {
    const id = await handedIn(rosa)
    await tamsin.json('POST', `/submissions/${id}/corrections`, correction)
    await tamsin.json('PUT', `/submissions/${id}/assignment`, { exercise: 'opposites', dueOn: '2027-02-01' })
    await tamsin.json('POST', `/submissions/${id}/release`)
    const { assignment } = critiqueSchema.parse(await (await rosa.fetch(`/submissions/${id}/critique`)).json())
    await handedIn(rosa, { assignmentId: `${assignment!.id}` })
    await tamsin.json('POST', `/submissions/${id}/withdraw`)
    const refused = await tamsin.json('DELETE', `/submissions/${id}/assignment`)
    expect([refused.status, (await refused.json()).error.message]).toEqual([
      422,
      expect.stringContaining('has handed something in')
    ])
    expect((await tamsin.fetch(`/assignments/${assignment!.id}`)).status).toBe(200)
  })
})

describe('a long name with a long title', () => {
  it('fits the mail about it', async () => {
    const connection = await database(),
      email = `long-${Date.now()}@harbour.example`
    const accountId = await newAccount(connection, { email, name: 'N'.repeat(120), password: 'long-lamp' })
    await enrol(connection, { classId: 1, accountId })
    await connection.end()
    const person = await Person.signedIn(email, { password: 'long-lamp' }),
      title = 'T'.repeat(120),
      id = await handedIn(person, { title })
    await tamsin.json('POST', `/submissions/${id}/corrections`, correction)
    await tamsin.json('POST', `/submissions/${id}/release`)
    expect((await person.json('POST', `/submissions/${id}/question`, { question: 'Which blue?' })).status).toBe(200)
    const mail = mailListSchema.parse(await (await tamsin.fetch('/outbox')).json())
    expect(mail[0]!.subject).toBe(`${'N'.repeat(120)} asks about “${title}”`)
  })
})
