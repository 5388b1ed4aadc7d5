/**
 * Mails as programs and people who mean harm make them, read. The well-formed ones are made by nodemailer, a library of
 * its own.
 */
import { mkdtemp, readFile, rm, writeFile } from 'node:fs/promises'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import MailComposer from 'nodemailer/lib/mail-composer/index.js'
import sharp from 'sharp'
import { afterAll, beforeAll, expect, it } from 'vitest'
import { LETTER_LIMITS } from '../../../shared/letter'
import { letter } from './letter'

let folder: string, png: Buffer
beforeAll(async () => {
  folder = await mkdtemp(join(tmpdir(), 'critica-letter-'))
  png = await sharp({ create: { width: 300, height: 200, channels: 3, background: '#375' } })
    .png()
    .toBuffer()
})
afterAll(() => rm(folder, { recursive: true }))

let count = 0
async function read(raw: string | Buffer, bytes = Buffer.byteLength(raw)) {
  const file = join(folder, `m${++count}`)
  await writeFile(file, raw)
  return letter({ file, bytes })
}
const composed = (mail: ConstructorParameters<typeof MailComposer>[0]): Promise<Buffer> =>
  new MailComposer({ from: 'Ada Quill <Ada@Harbour.example>', to: 'critica@school.example', ...mail }).compile().build()

it('finds sender, thread, words and pictures, and says why the rest is left out', async () => {
  const mail = await read(
    await composed({
      subject: 'Böte im Nebel, 船',
      text: 'Wo geht das Auge hin? 船',
      messageId: '<m1@harbour.example>',
      inReplyTo: '<m0@harbour.example>',
      references: ['<m-1@harbour.example>', '<m0@harbour.example>'],
      attachments: [
        { filename: 'boot.png', content: png },
        { filename: 'IMG_1.HEIC', content: Buffer.from('x'), contentType: 'image/heic' },
        { filename: 'alles.zip', content: Buffer.from('PK') },
        { filename: 'brief.pdf', content: Buffer.from('%PDF') },
        { filename: 'notes.txt', content: 'words' },
        { filename: 'no-type.jpeg', content: png, contentType: 'application/octet-stream' }
      ]
    })
  )
  expect(mail).toMatchObject({
    from: ['ada@harbour.example'],
    name: 'Ada Quill',
    subject: 'Böte im Nebel, 船',
    text: 'Wo geht das Auge hin? 船',
    messageId: '<m1@harbour.example>',
    references: ['<m-1@harbour.example>', '<m0@harbour.example>'],
    tooLarge: false
  })
  expect(mail.pictures.map(p => p.name)).toEqual(['boot.png', 'no-type.jpeg'])
  expect(await readFile(mail.pictures[0]!.file)).toEqual(png)
  expect(mail.leftOut.map(l => `${l.name} ${l.why}`)).toEqual([
    expect.stringMatching(/^IMG_1\.HEIC cannot be read here: send it as JPEG/),
    expect.stringMatching(/^alles\.zip is packed/),
    expect.stringMatching(/^brief\.pdf is a PDF/),
    expect.stringMatching(/^notes\.txt is not a picture/)
  ])
})

it('reads HTML as words: nothing of it runs, nothing is fetched, nothing quoted stays', async () => {
  const html = `<p>Is the boat <b>lost</b>?</p><script>alert(1)</script><style>p{}</style>
    <img src="http://tracker.example/x.png" onerror="alert(2)"><a href="javascript:alert(3)">see</a>
    <blockquote>old</blockquote>`
  const { text } = await read(await composed({ html }))
  expect(text).toContain('Is the boat lost?')
  expect(text).not.toMatch(/alert|tracker|<|old|p\{/)
})

it('takes twelve pictures of forty, and names the others', async () => {
  const attachments = Array.from({ length: 40 }, (_, i) => ({ filename: `p${i}.png`, content: png }))
  const mail = await read(await composed({ attachments }))
  expect([mail.pictures.length, mail.leftOut.length]).toEqual([LETTER_LIMITS.pictures, 28])
  expect(mail.leftOut[0]!.why).toMatch(/one more than the 12/)
})

it('reads of one that is too long only from whom it is', async () => {
  const raw = await composed({ subject: 'All of them', text: 'x', messageId: '<big@x.example>' })
  expect(await read(raw, 30 * 1024 * 1024)).toMatchObject({
    tooLarge: true,
    from: ['ada@harbour.example'],
    subject: 'All of them',
    messageId: '<big@x.example>',
    text: '',
    pictures: []
  })
})

it('outlives what is broken or made to hurt', async () => {
  const deep = (n: number): string =>
    Array.from({ length: n }, (_, i) => `Content-Type: multipart/mixed; boundary=b${i}\r\n\r\n--b${i}\r\n`).join('')
  const path = 'Content-Type: image/png; name="../../etc/passwd.png"\r\nContent-Transfer-Encoding: base64\r\n\r\n!!!!'
  for (const raw of [
    '',
    '\0\0\0',
    'no head at all',
    `From: a@b.example\r\n${path}`,
    'From: \r\nSubject: =?x?q?=?=\r\n\r\n'
  ])
    expect((await read(raw)).text.length).toBeLessThan(50)
  expect((await read(`From: a@b.example\r\n${path}`)).pictures[0]?.name ?? 'passwd.png').toBe('passwd.png')
  await expect(read(`From: a@b.example\r\n${deep(300)}`)).rejects.toThrow()
  await expect(read(`From: a@b.example\r\n${'X: y\r\n'.repeat(200_000)}\r\n`)).rejects.toThrow()
  const two = await read('From: a@b.example, c@d.example\r\nSubject: hi\u202egpj.exe\r\n\r\nx')
  expect([two.from, two.subject]).toEqual([['a@b.example', 'c@d.example'], 'hi gpj.exe'])
  const nested = `From: a@b.example\r\n\r\n<div>`.repeat(20_000)
  expect((await read(`From: a@b.example\r\nContent-Type: text/html\r\n\r\n${nested}`)).text.length).toBeLessThanOrEqual(
    4000
  )
})
