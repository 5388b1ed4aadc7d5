/** An open call from both sides: opened, given out, handed in to on a phone, confirmed, looked at, read, taken away. */
import { expect, test } from '@playwright/test'
import { pieceNamed } from '../../demo/manifest'
import { renderPiece } from '../../demo/render'
import { database } from '../api/client'
import { newAccount } from '../people'
import { accessible } from './bench-page'

const stamp = Date.now().toString(36),
  password = 'grey-heron-lamp',
  email = `caller-${stamp}@school.example`

test.beforeAll(async () => {
  const connection = await database()
  await newAccount(connection, { email, name: 'Reed', password, house: 'instructor' })
  await connection.end()
})

test('a stranger hands in by the link, and reads what was said by theirs', async ({ browser }) => {
  test.setTimeout(120_000)
  const reed = await (await browser.newContext()).newPage()
  await reed.request.post('/api/session', { data: { login: email, password } })
  await reed.goto('/calls')
  await reed.getByLabel('Title').fill(`Harbour in the rain ${stamp}`)
  await reed.getByLabel('What is asked').fill('One picture of the harbour, made outdoors.')
  await accessible(reed)
  await reed.getByRole('button', { name: 'Open it' }).click()
  const link = await reed.getByRole('link', { name: 'its page' }).getAttribute('href')
  await reed.getByRole('button', { name: 'code to print' }).click()
  await expect(reed.getByAltText(/as a code/)).toBeVisible()
  await accessible(reed)

  const guest = await (await browser.newContext({ viewport: { width: 390, height: 844 } })).newPage()
  await guest.goto(link!)
  await expect(guest.getByRole('heading', { name: 'Harbour in the rain' })).toBeVisible()
  await expect(guest.getByText('With Reed.')).toBeVisible()
  await guest.getByRole('button', { name: 'Hand it in' }).click()
  await expect(guest.getByText('Choose the picture first.')).toBeVisible()
  await guest
    .locator('input[type=file]')
    .first()
    .setInputFiles({ name: 'rain.png', mimeType: 'image/png', buffer: await renderPiece(pieceNamed('lemons')) })
  await guest.getByLabel('Title').fill('Rain over the quay')
  await guest.getByLabel('Your name').fill('Wren')
  await guest.getByLabel('Your e-mail address').fill(`wren-${stamp}@elsewhere.example`)
  await guest.getByLabel('I am of age').uncheck()
  await guest.getByRole('button', { name: 'Hand it in' }).click()
  await expect(guest.getByText('needs the address of a parent or guardian')).toBeVisible()
  await guest.getByLabel('I am of age').check()
  await accessible(guest)
  expect(await guest.evaluate(() => document.documentElement.scrollWidth)).toBeLessThanOrEqual(390)
  await guest.getByRole('button', { name: 'Hand it in' }).click()
  await expect(guest.getByRole('heading', { name: 'It is in. One step is left.' })).toBeVisible({ timeout: 20_000 })
  const own = (await guest.getByRole('link', { name: 'confirm it' }).getAttribute('href'))!
  await guest.goto(own)
  await guest.getByRole('button', { name: 'Yes, it is mine' }).click()
  await expect(guest.getByText('It is on the desk.')).toBeVisible()
  await accessible(guest)

  await reed.goto('/calls')
  await reed.getByRole('link', { name: 'Rain over the quay' }).click()
  await expect(reed.getByRole('heading', { name: 'First look' })).toBeVisible()
  const id = /bench\/(\d+)/.exec(reed.url())![1]!
  await expect
    .poll(
      async () =>
        ((await (await reed.request.get(`/api/submissions/${id}`)).json()) as { measurement: { state: string } })
          .measurement.state
    )
    .toBe('done')
  const { revision } = (await (await reed.request.get(`/api/submissions/${id}/critique`)).json()) as {
    revision: number
  }
  await reed.request.put(`/api/submissions/${id}/verdict`, {
    data: { works: 'The yellow leads.', verdict: 'Let the jug be quieter.', revision }
  })
  expect((await reed.request.post(`/api/submissions/${id}/release`)).ok()).toBe(true)

  await guest.reload()
  await guest.getByRole('button', { name: 'Read the critique' }).click()
  await expect(guest.getByText('The yellow leads.')).toBeVisible()
  await guest.goto(own)
  await guest.getByRole('button', { name: 'take it all away' }).click()
  await guest.getByRole('button', { name: 'delete it' }).click()
  await expect(guest.getByRole('heading', { name: 'It is gone.' })).toBeVisible()
  await reed.goto('/calls')
  await expect(reed.getByText('Rain over the quay')).toHaveCount(0)
})
