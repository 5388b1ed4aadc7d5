/**
 * Mail that comes in, put into the folder as a mail server delivers it: what waits, what is refused and why, what is
 * answered and to whom. The mails are made by nodemailer, a library of its own.
 */
import { chmod, readdir, rename, writeFile } from 'node:fs/promises'
import { join } from 'node:path'
import MailComposer from 'nodemailer/lib/mail-composer/index.js'
import { afterAll, beforeAll, expect, it } from 'vitest'
import { broughtSchema, inboxSchema, type Inbox } from '../../shared/letter'
import { shelfTotalsSchema } from '../../shared/pieces/submission'
import { newAccount } from '../people'
import { Person, picture } from './client'
import { exerciseClass, type ExerciseClass } from './exercise-class'

const FOLDER = process.env.TEST_MAILDIR!,
  /** That the server believes about senders. */
  MX = process.env.CRITICA_MAIL_AUTHSERV ?? 'mx.harbour.example'
const mark = Date.now().toString(36)
let room: ExerciseClass, other: Person, address: string[]

beforeAll(async () => {
  room = await exerciseClass()
  const [rows] = await room.connection.query('SELECT email FROM accounts WHERE id IN (?) ORDER BY id', [room.ids])
  address = (rows as { email: string }[]).map(r => r.email.toLowerCase())
  const email = `elsewhere-${mark}@school.example`
  await newAccount(room.connection, { email, name: 'Elsewhere', password: 'grey-heron-lamp', house: 'instructor' })
  other = await Person.signedIn(email, { password: 'grey-heron-lamp' })
}, 60_000)
afterAll(() => room.connection.end())

type Mail = ConstructorParameters<typeof MailComposer>[0]
let count = 0
const numbered = (): string => `<${++count}.${mark}@elsewhere.example>`
const composed = (mail: Mail): Promise<Buffer> =>
  new MailComposer({ to: 'critica@school.example', messageId: numbered(), ...mail }).compile().build()

/** Delivers as maildir asks: written in tmp, moved to new; waits until it was read. */
async function delivered(raw: Buffer | string): Promise<void> {
  const name = `${Date.now()}.${mark}${++count}.host`,
    tmp = join(FOLDER, 'tmp', name)
  await writeFile(tmp, raw)
  await chmod(tmp, 0o644)
  await rename(tmp, join(FOLDER, 'new', name))
  await expect.poll(() => readdir(join(FOLDER, 'new')), { timeout: 25_000, interval: 100 }).not.toContain(name)
}
const inbox = async (who = room.teacher): Promise<Inbox> => inboxSchema.parse(await (await who.fetch('/inbox')).json())
/** What was written, to an account or an address, the latest first. */
async function written(to: string): Promise<{ subject: string; body: string; in_reply_to: string; thread: string }[]> {
  const [rows] = await room.connection.query(
    `SELECT o.subject, o.body, o.in_reply_to, o.thread FROM outbox o LEFT JOIN accounts a ON a.id = o.account_id
     WHERE COALESCE(o.email, a.email) = ? ORDER BY o.id DESC`,
    [to]
  )
  return rows as never
}
/** No two of them alike, in this run or another. */
let hue = Date.now() % 0xffffff
const attached = async (...names: string[]) =>
  Promise.all(
    names.map(async filename => {
      hue = (hue + 4099) % 0xffffff
      return { filename, content: await picture(320, 240, `#${hue.toString(16).padStart(6, '0')}`) }
    })
  )

it('makes waiting hand-ins of a learner’s mail, takes what the instructor takes, answers into its thread', async () => {
  await delivered(
    await composed({
      from: `Alma <${address[0]!.toUpperCase()}>`,
      subject: 'Re: Two boats',
      text: 'Is the small one lost?\n\n> old words\n-- \nAlma',
      messageId: `<thread-${mark}@elsewhere.example>`,
      references: [`<before-${mark}@elsewhere.example>`],
      attachments: [...(await attached('one.png', 'two.png')), { filename: 'list.pdf', content: 'x' }]
    })
  )
  const { waiting } = await inbox(),
    [letter] = waiting
  expect(waiting).toMatchObject([
    {
      title: 'Two boats',
      question: 'Is the small one lost?',
      body: '',
      from: { name: 'Alma' },
      proven: false,
      leftOut: [{ name: 'list.pdf', why: 'is a PDF, not a picture' }],
      classes: [{ id: room.classId }],
      pictures: [{ name: 'one.png', width: 320 }, { name: 'two.png' }]
    }
  ])
  // Nobody else sees it, and nothing is on the desk.
  expect((await inbox(other)).waiting).toEqual([])
  const totals = async () => shelfTotalsSchema.parse(await (await room.teacher.fetch('/shelves')).json())
  expect(await totals()).toMatchObject({ byMail: 2, counts: { review: 0 } })
  const [one, two] = letter!.pictures
  expect((await other.fetch(`/inbox/pictures/${one!.id}/thumb`)).status).toBe(404)
  expect((await room.teacher.fetch(`/inbox/pictures/${one!.id}/thumb`)).headers.get('content-type')).toBe('image/webp')
  expect(await written(address[0]!)).toMatchObject([
    {
      subject: 'Re: Re: Two boats',
      in_reply_to: `<thread-${mark}@elsewhere.example>`,
      thread: `<before-${mark}@elsewhere.example> <thread-${mark}@elsewhere.example>`,
      body: expect.stringMatching(/^Two pictures are in[^]*list\.pdf is a PDF/)
    }
  ])

  const answer = (who: Person, id: number, body: object) => who.json('PUT', `/inbox/pictures/${id}`, body)
  const take = { take: true, classId: room.classId, title: 'Small boat', question: 'Is it lost?', stage: 'finished' }
  expect((await answer(other, one!.id, take)).status).toBe(404)
  expect((await answer(room.teacher, one!.id, { ...take, classId: 1 })).status).toBe(404)
  expect((await answer(room.teacher, one!.id, { ...take, title: ' ' })).status).toBe(422)
  const { submissionId } = (await (await answer(room.teacher, one!.id, take)).json()) as { submissionId: number }
  expect((await answer(room.teacher, one!.id, take)).status).toBe(409)
  const kept = async () =>
    (
      await room.connection.query(
        'SELECT p.display_sha FROM letter_pictures l JOIN pictures p ON p.id = l.picture_id WHERE l.id = ?',
        [two!.id]
      )
    )[0] as { display_sha: string }[]
  const [{ display_sha: sha }] = (await kept()) as [{ display_sha: string }]
  expect((await answer(room.teacher, two!.id, { take: false, word: 'This is the same one.' })).status).toBe(200)
  expect(await kept()).toEqual([])
  expect((await room.connection.query('SELECT 1 FROM blobs WHERE sha256 = ?', [sha]))[0]).toEqual([])
  expect((await written(address[0]!))[0]).toMatchObject({ body: expect.stringContaining('This is the same one.') })
  expect((await inbox()).waiting).toEqual([])
  expect(await totals()).toMatchObject({ byMail: 0, counts: { review: 1 } })
  expect(await (await room.learners[0]!.fetch(`/submissions/${submissionId}`)).json()).toMatchObject({
    title: 'Small boat',
    question: 'Is it lost?'
  })

  await room.teacher.measured(submissionId)
  const on = `/submissions/${submissionId}`,
    { revision } = (await (await room.teacher.fetch(`${on}/critique`)).json()) as { revision: number }
  await room.teacher.json('PUT', `${on}/verdict`, { works: 'The colour.', verdict: 'Go on.', revision })
  expect((await room.teacher.json('POST', `${on}/release`)).status).toBe(200)
  expect((await written(address[0]!))[0]).toMatchObject({
    subject: 'Re: Re: Two boats',
    in_reply_to: `<thread-${mark}@elsewhere.example>`,
    body: expect.stringMatching(/^The critique of “Small boat” is there/)
  })
}, 60_000)

it('takes the same mail once, and answers no program', async () => {
  const from = `Bo <${address[1]}>`,
    raw = await composed({ from, subject: 'Twice', attachments: await attached('a.png') })
  await delivered(raw)
  await delivered(raw)
  expect((await inbox()).waiting.map(l => l.title)).toEqual(['Twice'])
  expect((await written(address[1]!)).length).toBe(1)
  const programs: readonly Record<string, string>[] = [{ 'Auto-Submitted': 'auto-replied' }, { Precedence: 'bulk' }]
  for (const headers of programs)
    await delivered(await composed({ from, subject: 'Away', headers, attachments: await attached('b.png') }))
  expect((await inbox()).refused.map(r => [r.subject, r.reason])).toEqual([
    ['Away', 'a mailing list sent it'],
    ['Away', 'a program sent it']
  ])
  expect((await written(address[1]!)).length).toBe(1)
}, 60_000)

it('refuses with a reason what is long, packed, broken, forged, a stranger’s; forty pictures are twelve', async () => {
  const from = `Cleo <${address[2]}>`,
    last = async () => (await inbox()).refused[0]
  await delivered(
    await composed({ from, subject: 'All', attachments: [{ filename: 'a.png', content: Buffer.alloc(22_500_000, 7) }] })
  )
  expect(await last()).toMatchObject({ subject: 'All', reason: expect.stringMatching(/larger than 28 MB/) })
  expect((await written(address[2]!))[0]).toMatchObject({ body: expect.stringMatching(/larger than 28 MB/) })

  await delivered(await composed({ from, subject: 'Zip', attachments: [{ filename: 'a.zip', content: 'PK' }] }))
  expect(await last()).toMatchObject({ subject: 'Zip', reason: expect.stringMatching(/no picture in it/) })
  expect((await written(address[2]!))[0]!.body).toMatch(/a\.zip is packed/)

  const broken = [
    `From: ${from}`,
    'Subject: Broken',
    `Message-ID: ${numbered()}`,
    'Content-Type: multipart/mixed; boundary=b',
    '',
    '--b',
    'Content-Type: image/png; name=x.png',
    'Content-Transfer-Encoding: base64',
    '',
    '@@@not base64'
  ].join('\r\n')
  await delivered(broken)
  expect(await last()).toMatchObject({ subject: 'Broken', reason: expect.stringMatching(/no picture in it/) })

  const html = '<p>Where does it <b>go</b>?</p><script>alert(1)</script><img src="http://tracker.example/x">'
  const attachments = await attached(...Array.from({ length: 40 }, (_, i) => `p${i}.png`))
  await delivered(await composed({ from, subject: '<script>alert(2)</script>', html, attachments }))
  const many = (await inbox()).waiting.find(l => l.from.address === address[2])!
  expect(many).toMatchObject({ question: 'Where does it go?', title: '<script>alert(2)</script>' })
  expect([many.pictures.length, many.leftOut.length]).toEqual([12, 28])

  const deep = Array.from({ length: 300 }, (_, i) => `Content-Type: multipart/mixed; boundary=b${i}\r\n\r\n--b${i}\r\n`)
  await delivered(`From: ${from}\r\nX-Run: ${mark}\r\n${deep.join('')}`)
  const [unread] = await room.connection.query('SELECT reason FROM letters ORDER BY id DESC LIMIT 1')
  expect(unread).toMatchObject([{ reason: 'it could not be read' }])

  // Forged: two senders, and one that the mailbox's own server found to be another.
  const two = `From: ${from}, Tamsin <tamsin@harbour.example>\r\nSubject: Two\r\n\r\nx`
  await delivered(two)
  const [rows] = await room.connection.query('SELECT reason FROM letters ORDER BY id DESC LIMIT 1')
  expect(rows).toMatchObject([{ reason: expect.stringMatching(/names several/) }])
  const answered = (await written(address[2]!)).length
  const results = (dmarc: string) => ({ 'Authentication-Results': `${MX}; dmarc=${dmarc} header.from=school.example` })
  await delivered(await composed({ from, subject: 'Forged', headers: results('fail'), attachments }))
  expect(await last()).toMatchObject({ subject: 'Forged', reason: expect.stringMatching(/found it forged/) })
  expect((await written(address[2]!)).length).toBe(answered)
  await delivered(
    await composed({ from, subject: 'Proven', headers: results('pass'), attachments: await attached('p.png') })
  )
  expect((await inbox()).waiting.find(l => l.title === 'Proven')).toMatchObject({ proven: true })

  const stranger = `nobody-${mark}@elsewhere.example`
  for (const subject of ['Hello', 'Hello again'])
    await delivered(await composed({ from: stranger, subject, attachments: await attached('s.png') }))
  expect(await written(stranger)).toMatchObject([{ body: expect.stringMatching(/not among those/) }])
  // Neither are a stranger's words kept, nor is the stranger shown to who does not run the house.
  expect((await inbox()).refused.map(r => r.from.address)).not.toContain(stranger)
}, 120_000)

it('reads a saved mail that is brought in by hand, and writes to nobody', async () => {
  const before = (await written(address[0]!)).length
  const bring = async (raw: Buffer) => {
    const form = new FormData()
    form.append('letter', new Blob([new Uint8Array(raw)]), 'saved.eml')
    return broughtSchema.parse(await (await room.teacher.fetch('/inbox', { method: 'POST', body: form })).json())
  }
  const raw = await composed({ from: address[0]!, subject: 'Saved', attachments: await attached('s.png') })
  expect(await bring(raw)).toEqual({ reason: '', pictures: 1 })
  expect((await bring(raw)).reason).toMatch(/came in already/)
  const stranger = await composed({ from: `x-${mark}@elsewhere.example`, attachments: await attached('s.png') })
  expect((await bring(stranger)).reason).toMatch(/nobody who learns here/)
  expect((await written(address[0]!)).length).toBe(before)
  expect((await inbox()).waiting.map(l => l.title)).toContain('Saved')
}, 30_000)
