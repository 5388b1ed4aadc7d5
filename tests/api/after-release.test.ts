/** After the release: taken back, released again with a note, asked about once, answered; and who was told. */
import { beforeAll, expect, it } from 'vitest'
import { critiqueSchema, type Critique } from '../../shared/critique'
import { mailListSchema } from '../../shared/mail'
import type { RowDataPacket } from 'mysql2/promise'
import { enrol, newAccount, newClass } from '../people'
import { database, Person, picture } from './client'

let tamsin: Person,
  rosa: Person,
  id = 0
const critiqueOf = async (person: Person): Promise<Critique> =>
  critiqueSchema.parse(await (await person.fetch(`/submissions/${id}/critique`)).json())
const subjects = async (person: Person): Promise<string[]> =>
  mailListSchema.parse(await (await person.fetch('/outbox')).json()).map(m => m.subject)

beforeAll(async () => {
  tamsin = await Person.signedIn('tamsin')
  rosa = await Person.signedIn('rosa')
  id = ((await (await rosa.handIn(await picture(), { title: 'Weir in March' })).json()) as { id: number }).id
  await tamsin.json('POST', `/submissions/${id}/corrections`, {
    station: 'values',
    area: null,
    readingId: null,
    reason: '',
    what: 'Flat',
    todo: '',
    target: null
  })
})

it('a critique is released, asked about once, answered, taken back, changed and released with a note', async () => {
  expect((await rosa.json('POST', `/submissions/${id}/question`, { question: 'Which blue?' })).status).toBe(409)
  expect((await tamsin.json('POST', `/submissions/${id}/withdraw`)).status).toBe(409)
  expect((await tamsin.json('POST', `/submissions/${id}/release`)).status).toBe(200)
  expect((await tamsin.json('PUT', `/submissions/${id}/answer`, { answer: 'Nobody asked' })).status).toBe(422)

  expect((await rosa.json('POST', `/submissions/${id}/question`, { question: '?' })).status).toBe(422)
  expect((await rosa.json('POST', `/submissions/${id}/question`, { question: 'Which blue do you mean?' })).status).toBe(
    200
  )
  expect((await rosa.json('POST', `/submissions/${id}/question`, { question: 'And which red?' })).status).toBe(409)
  expect((await tamsin.json('PUT', `/submissions/${id}/answer`, { answer: 'The cooler one.' })).status).toBe(200)
  expect(await critiqueOf(rosa)).toMatchObject({
    questionBack: 'Which blue do you mean?',
    answer: 'The cooler one.',
    amendedNote: ''
  })

  expect((await tamsin.json('POST', `/submissions/${id}/withdraw`)).status).toBe(200)
  expect((await rosa.fetch(`/submissions/${id}/critique`)).status).toBe(404)
  const { corrections } = await critiqueOf(tamsin)
  expect(
    (
      await tamsin.json('PUT', `/submissions/${id}/corrections/${corrections[0]!.id}`, {
        ...corrections[0]!,
        what: 'Flat in the middle',
        over: corrections[0]
      })
    ).status
  ).toBe(200)
  expect((await tamsin.json('POST', `/submissions/${id}/release`, { note: 'Said more exactly where' })).status).toBe(
    200
  )
  expect(await critiqueOf(rosa)).toMatchObject({
    amendedNote: 'Said more exactly where',
    questionBack: 'Which blue do you mean?',
    corrections: [{ what: 'Flat in the middle' }]
  })
})

it('and both were told, in order, nobody else', async () => {
  const told = [
    'The critique of “Weir in March” was changed',
    'The critique of “Weir in March” was taken back',
    'Your question about “Weir in March” is answered',
    'The critique of “Weir in March” is there'
  ]
  expect((await subjects(rosa)).filter(s => s.includes('Weir'))).toEqual(told)
  expect((await subjects(tamsin)).filter(s => s.includes('Weir') && s.includes('asks'))).toEqual([
    'Rosa Field asks about “Weir in March”'
  ])
  expect((await subjects(await Person.signedIn('bram'))).filter(s => s.includes('Weir'))).toEqual([])
})

it('who teaches the same learner elsewhere sees none; mail nobody took in a day is told as given up', async () => {
  const connection = await database(),
    email = 'otto@harbour.example'
  const otto = await newAccount(connection, { name: 'Otto Reed', email, password: 'another-lamp' })
  const [[rosaRow]] = await connection.query<RowDataPacket[]>("SELECT id FROM accounts WHERE email LIKE 'rosa@%'")
  const theirs = await newClass(connection, 'Saturday class', otto)
  await enrol(connection, { classId: theirs, accountId: rosaRow!.id as number })
  const seen = await Person.signedIn(email, { password: 'another-lamp' })
  expect((await subjects(seen)).filter(s => s.includes('Weir'))).toEqual([])

  await connection.execute(
    `UPDATE outbox SET tries = 3, failure = 'no such box', created_at = created_at - INTERVAL 2 DAY
     WHERE subject LIKE 'Rosa Field asks%Weir%'`
  )
  const mail = mailListSchema.parse(await (await tamsin.fetch('/outbox')).json())
  expect(mail.find(m => m.failure === 'no such box')).toMatchObject({ givenUp: true, deliveredAt: null })
  expect(mail.filter(m => m.givenUp)).toHaveLength(1)
  await connection.end()
})

it('a piece is taken away as report, palette and annotations; by its learner once released', async () => {
  const ask = (person: Person, name: string, piece = id): Promise<Response> =>
    person.fetch(`/submissions/${piece}/export/${name}`)
  await rosa.measured(id)
  const palette = await ask(rosa, 'palette.gpl')
  expect(palette.headers.get('content-disposition')).toBe('attachment; filename="weir-in-march-palette.gpl"')
  expect(await palette.text()).toMatch(/^GIMP Palette\nName: Weir in March\n/)
  expect(await (await ask(tamsin, 'report.json')).json()).toMatchObject({
    wheel: 'painter',
    picture: { width: 80, height: 60 }
  })
  expect(await (await ask(rosa, 'annotations.json')).json()).toMatchObject({
    type: 'AnnotationPage',
    items: [{ creator: { name: 'Tamsin Vane' }, body: [{ value: 'V1' }, { value: 'Flat in the middle' }] }]
  })
  expect((await ask(await Person.signedIn('ada'), 'annotations.json', 1)).status).toBe(404)
  expect((await ask(tamsin, 'layers.psd')).status).toBe(404)
})
