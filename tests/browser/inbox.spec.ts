/** Pictures that came by mail, from the desk's line to the bench: seen, retitled, taken, left out with a word. */
import { rename, writeFile } from 'node:fs/promises'
import { join } from 'node:path'
import { expect, test } from '@playwright/test'
import MailComposer from 'nodemailer/lib/mail-composer/index.js'
import { pieceNamed } from '../../demo/manifest'
import { renderPiece } from '../../demo/render'
import { database } from '../api/client'
import { enrol, newAccount, newClass } from '../people'
import { accessible } from './bench-page'

const stamp = Date.now().toString(36),
  password = 'grey-heron-lamp',
  email = `postal-${stamp}@school.example`,
  learner = `wren-${stamp}@school.example`

const mailOf = async (subject: string, ...keys: string[]): Promise<Buffer> =>
  new MailComposer({
    from: { name: 'Wren', address: learner },
    to: 'critica@school.example',
    subject,
    text: 'Which is stronger?\n\nWren',
    attachments: [
      ...(await Promise.all(
        keys.map(async key => ({ filename: `${key}.png`, content: await renderPiece(pieceNamed(key)) }))
      )),
      { filename: 'plan.pdf', content: '%PDF' }
    ]
  })
    .compile()
    .build()

test.beforeAll(async () => {
  const connection = await database(),
    teacher = await newAccount(connection, { email, name: 'Reed', password, house: 'instructor' }),
    classId = await newClass(connection, `Mail class ${stamp}`, teacher),
    accountId = await newAccount(connection, { email: learner, name: 'Wren Low', password })
  await enrol(connection, { classId, accountId })
  await connection.end()
  const folder = process.env.TEST_MAILDIR!,
    name = `${Date.now()}.${stamp}.host`
  await writeFile(join(folder, 'tmp', name), await mailOf('Two harbours', 'regatta', 'slipway'), { mode: 0o644 })
  await rename(join(folder, 'tmp', name), join(folder, 'new', name))
})

test('a mail is looked at, and what is taken of it is on the desk', async ({ page }) => {
  test.setTimeout(60_000)
  await page.request.post('/api/session', { data: { login: email, password } })
  await expect(async () => {
    await page.goto('/desk')
    await expect(page.getByRole('link', { name: 'Two pictures came by mail' })).toBeVisible({ timeout: 2000 })
  }).toPass()
  await page.getByRole('link', { name: 'Two pictures came by mail' }).click()
  await expect(page.getByRole('heading', { name: 'Wren Low' })).toBeVisible()
  await expect(page.getByLabel('Question')).toHaveValue('Which is stronger?')
  await expect(page.getByText('Left out: plan.pdf is a PDF, not a picture.')).toBeVisible()
  await accessible(page)
  const first = page.getByRole('listitem').filter({ has: page.getByAltText('regatta.png') })
  await first.getByLabel('Title').fill('')
  await first.getByRole('button', { name: 'Take it' }).click()
  await expect(first.getByText('The piece needs a title.')).toBeVisible()
  await first.getByLabel('Title').fill('The regatta')
  await first.getByRole('button', { name: 'Take it' }).click()
  await expect(page.getByRole('link', { name: '“The regatta”' })).toBeVisible()
  await expect(page.getByRole('heading', { level: 1 })).toHaveText('One picture came by mail.')
  await page.getByRole('button', { name: 'not this one' }).click()
  await page.getByLabel('A word to them, why').fill('I have this one already.')
  await accessible(page)
  await page.getByRole('button', { name: 'leave it out' }).click()
  await expect(page.getByRole('heading', { level: 1 })).toHaveText('Nothing waits by mail.')
  // One that came to the instructor's own address, saved there.
  const buffer = await mailOf('Lemons', 'lemons')
  await page.locator('input[type=file]').setInputFiles({ name: 'saved.eml', mimeType: 'message/rfc822', buffer })
  await expect(page.getByText('One picture of it waits.')).toBeVisible()
  await page.getByRole('button', { name: 'Take it' }).click()
  await page.getByRole('link', { name: '“The regatta”' }).click()
  await expect(page.getByRole('heading', { name: 'The regatta' })).toBeVisible({ timeout: 15_000 })
  await page.goto('/desk')
  await expect(page.getByRole('heading', { level: 1 })).toHaveText(/^Two pieces wait/)
  await expect(page.getByRole('link', { name: 'Lemons by Wren Low' })).toBeVisible()
  await page.goto('/outbox')
  await expect(page.getByText('I have this one already.')).toBeVisible()
})
