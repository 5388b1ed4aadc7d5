/** What goes wrong is said in the user's words, and nothing they wrote is lost. */
import { expect, test } from '@playwright/test'
import { DEMO_PASSWORD } from '../../demo/people'
import { picture as smallPicture } from '../api/client'
import { accessible, handedIn, keptCorrections, open, saved, signIn } from './bench-page'

test('a wrong password', async ({ page }) => {
  await page.goto('/sign-in')
  await page.getByLabel('E-mail').fill('mika@harbour.example')
  await page.getByLabel('Password').fill('lighthouse')
  await page.getByRole('button', { name: 'Sign in' }).click()
  await expect(page.getByRole('alert')).toHaveText('This name and password do not open an account.')
  await expect(page.getByLabel('E-mail')).toHaveValue('mika@harbour.example')
})

test('an address that leads nowhere says so, and leads back', async ({ page }) => {
  await signIn(page)
  await page.goto('/no/such/page')
  await expect(page.getByRole('heading', { name: 'Nothing hangs here.' })).toBeVisible()
  await accessible(page)
  await page.getByRole('button', { name: 'To the beginning' }).click()
  await expect(page).toHaveURL(/\/desk$/)
})

test('a page that is not one’s own leads to where one’s own work begins', async ({ page }) => {
  await signIn(page)
  for (const theirs of ['/work', '/hand-in']) {
    await page.goto(theirs)
    await expect(page).toHaveURL(/\/desk$/)
  }
})

test('a page behind the sign-in leads to the door, and on to itself afterwards', async ({ page }) => {
  await page.goto('/bench/1/harmony')
  await expect(page).toHaveURL(/sign-in/)
  await page.getByRole('button', { name: 'Tamsin Vane' }).click()
  await expect(page).toHaveURL(/\/bench\/1\/harmony$/)
})

test('a hand-in that is no picture, or has no title, keeps its words', async ({ page }) => {
  await page.request.post('/api/session', { data: { login: 'rosa@harbour.example', password: DEMO_PASSWORD } })
  await page.goto('/hand-in')
  await page.getByLabel('Medium').fill('ink')
  await page.getByRole('button', { name: 'Hand it in' }).click()
  // Everything that is wrong is said at once, each at its place.
  const said = (words: string) => page.getByRole('alert').filter({ hasText: words })
  await expect(said('Choose the picture first.')).toBeVisible()
  await expect(said('The piece needs a title.')).toBeVisible()
  await page
    .getByLabel('Picture', { exact: true })
    .setInputFiles({ name: 'notes.png', mimeType: 'image/png', buffer: Buffer.from('these are notes') })
  await expect(said('Choose the picture first.')).toBeHidden()
  await page.getByLabel('Title').fill('Notes')
  await expect(said('The piece needs a title.')).toBeHidden()
  await page.getByRole('button', { name: 'Hand it in' }).click()
  await expect(said('not a picture that can be read here')).toBeVisible()
  await expect(page.getByLabel('Medium')).toHaveValue('ink')
})

test('a hand-in whose answer was lost is pressed again, and is one piece', async ({ page }) => {
  await page.request.post('/api/session', { data: { login: 'joss@harbour.example', password: DEMO_PASSWORD } })
  await page.goto('/hand-in')
  await page
    .getByLabel('Picture', { exact: true })
    .setInputFiles({ name: 'lost.png', mimeType: 'image/png', buffer: await smallPicture(90, 70) })
  const title = `Lost on the way back, ${Date.now()}`
  await page.getByLabel('Title').fill(title)
  let lost = 0
  await page.route('**/api/submissions', async route => {
    if (route.request().method() !== 'POST' || lost++ > 0) return route.continue()
    await route.fetch()
    return route.abort('connectionreset')
  })
  await page.getByRole('button', { name: 'Hand it in' }).click()
  await expect(page.getByRole('alert').filter({ hasText: /./ }).first()).toBeVisible()
  await page.getByRole('button', { name: 'Hand it in' }).click()
  await expect(page).toHaveURL(/\/work$/)
  await expect(page.getByText(title).first()).toBeVisible()
  await expect(page.getByText(title)).toHaveCount(1)
})

test('a correction whose answer was lost is marked again, and is one', async ({ page }) => {
  const id = await handedIn(await smallPicture(160, 120))
  await signIn(page)
  await open(page, `/bench/${id}/values`)
  let lost = 0
  await page.route('**/corrections', async route => {
    if (route.request().method() !== 'POST' || lost++ > 0) return route.continue()
    await route.fetch()
    return route.abort('connectionreset')
  })
  await page.locator('[data-reading] .sentence').first().click()
  const mark = page.getByRole('button', { name: 'mark it' })
  await mark.click()
  await expect(page.getByText('The server does not answer.').first()).toBeVisible()
  await mark.click()
  await saved(page)
  expect(lost).toBe(2)
  expect(await keptCorrections(page, id)).toHaveLength(1)
})

test("somebody else's piece does not exist", async ({ page }) => {
  await page.request.post('/api/session', { data: { login: 'rosa@harbour.example', password: DEMO_PASSWORD } })
  await page.goto('/critique/11')
  await expect(page.getByRole('alert')).toContainText('not yours to see')
})

test('two windows on one critique: the second is offered both versions, and either can stay', async ({ browser }) => {
  const context = await browser.newContext()
  await context.request.post('/api/session', { data: { login: 'tamsin@harbour.example', password: DEMO_PASSWORD } })
  const [first, second] = [await context.newPage(), await context.newPage()]
  for (const page of [first, second]) {
    await page.goto('/bench/3/verdict')
    await expect(page.getByLabel('What works, first')).toBeVisible()
  }
  await first.getByLabel('What works, first').fill('The light falls')
  await first.getByLabel('What works, first').blur()
  await expect(first.getByRole('status').filter({ hasText: /^saved$/ })).toBeVisible()
  await second.getByLabel('What works, first').fill('Something else')
  await second.getByLabel('What works, first').blur()
  const both = second.getByRole('dialog')
  await expect(both.getByRole('region', { name: 'As you wrote it here' })).toContainText('Something else')
  await expect(both.getByRole('region', { name: 'As it was changed elsewhere' })).toContainText('The light falls')
  await both.getByRole('button', { name: 'Keep that one' }).click()
  await expect(second.getByLabel('What works, first')).toHaveValue('The light falls')
  // The first window has not seen a change since, so it may go on; now the second writes, and the first insists.
  await second.getByLabel('What works, first').fill('The shadow falls')
  await second.getByLabel('What works, first').blur()
  await expect(second.getByRole('status').filter({ hasText: /^saved$/ })).toBeVisible()
  await first.getByLabel('What works, first').fill('Both fall')
  await first.getByLabel('What works, first').blur()
  await first.getByRole('dialog').getByRole('button', { name: 'Keep this one' }).click()
  await expect(first.getByRole('status').filter({ hasText: /^saved$/ })).toBeVisible()
  await second.reload()
  await expect(second.getByLabel('What works, first')).toHaveValue('Both fall')
})

test('a browser killed while it writes leaves whole words, and the next one goes on from there', async ({
  browser
}) => {
  const context = await browser.newContext()
  await context.request.post('/api/session', { data: { login: 'tamsin@harbour.example', password: DEMO_PASSWORD } })
  const page = await context.newPage()
  await page.goto('/bench/5/verdict')
  const verdict = page.getByRole('textbox', { name: 'Verdict and the next step' })
  await verdict.fill('Kept before. '.repeat(40))
  await expect(page.getByRole('status').filter({ hasText: /^saved$/ })).toBeVisible()
  // The next save is held on its way, and the page's process dies under it.
  await page.route('**/verdict', async route => {
    void route.continue().catch(() => {})
    const cdp = await context.newCDPSession(page)
    await cdp.send('Page.crash').catch(() => {})
  })
  await verdict.pressSequentially('Half')
  await page.waitForEvent('crash')
  await context.close()
  const again = await browser.newContext()
  await again.request.post('/api/session', { data: { login: 'tamsin@harbour.example', password: DEMO_PASSWORD } })
  const next = await again.newPage()
  await next.goto('/bench/5/verdict')
  const words = await next.getByRole('textbox', { name: 'Verdict and the next step' }).innerText()
  expect(['', 'Half']).toContain(words.replaceAll('Kept before.', '').trim().replace(/^H.*/, 'Half'))
  expect(words.match(/Kept before\./g)).toHaveLength(40)
  await again.close()
})

test('a tab closed with the last letter loses nothing: verdict, correction and hand-in are there again', async ({
  browser
}) => {
  const context = await browser.newContext()
  await context.request.post('/api/session', { data: { login: 'tamsin@harbour.example', password: DEMO_PASSWORD } })
  const page = await context.newPage()
  await page.goto('/bench/4/verdict')
  await page.getByRole('textbox', { name: 'Verdict and the next step' }).fill('Closed at once')
  await page.close({ runBeforeUnload: false })
  const again = await context.newPage()
  await again.goto('/bench/4/verdict')
  await expect(again.getByRole('textbox', { name: 'Verdict and the next step' })).toHaveText('Closed at once')
  await expect(again.getByRole('status').filter({ hasText: /^saved$/ })).toBeVisible()
  await again.keyboard.press('Tab')
  await again.goto('/bench/4/values')
  await expect(again.locator('canvas[data-lens="plain"]')).toBeVisible()
  await again.keyboard.press('m')
  await again.getByLabel('What is wrong').fill('The mole merges')
  await again.close({ runBeforeUnload: false })
  const third = await context.newPage()
  await third.goto('/bench/4/values')
  await expect(third.getByLabel('What is wrong')).toHaveValue('The mole merges')
  await third.getByRole('button', { name: 'leave it' }).click()
  await third.reload()
  await expect(third.locator('canvas[data-lens="plain"]')).toBeVisible()
  await expect(third.getByLabel('What is wrong')).toHaveCount(0)
  await context.request.post('/api/session', { data: { login: 'rosa@harbour.example', password: DEMO_PASSWORD } })
  await third.goto('/hand-in')
  await third.getByLabel('Medium').fill('ink')
  await third.reload()
  await expect(third.getByLabel('Medium')).toHaveValue('ink')
  await context.close()
})

test('words the server did not take are sent again when it answers; a tab is not closed over them unasked', async ({
  page
}) => {
  await page.request.post('/api/session', { data: { login: 'tamsin@harbour.example', password: DEMO_PASSWORD } })
  await page.goto('/bench/6/verdict')
  const words = `The steps lead in, ${Date.now()}`
  let away = true,
    tried = 0
  await page.route('**/verdict', route => {
    tried++
    return away ? route.abort() : route.continue()
  })
  await page.getByLabel('What works, first').fill(words)
  await expect.poll(() => tried, { timeout: 15_000 }).toBeGreaterThan(2)
  let asked = false
  page.once('dialog', dialog => {
    asked = dialog.type() === 'beforeunload'
    void dialog.dismiss()
  })
  await page.close({ runBeforeUnload: true })
  await expect.poll(() => asked).toBe(true)
  away = false
  await expect(page.getByRole('status').filter({ hasText: /^saved$/ })).toBeVisible({ timeout: 15_000 })
  const { works } = (await (await page.request.get('/api/submissions/6/critique')).json()) as { works: string }
  expect(works).toBe(words)
})

test('the bench by its keys: lens, hold to compare, area, the list', async ({ page }) => {
  await page.request.post('/api/session', { data: { login: 'tamsin@harbour.example', password: DEMO_PASSWORD } })
  await page.goto('/bench/2/values')
  const lens = (name: string) => expect(page.locator(`canvas[data-lens="${name}"]`)).toBeVisible()
  await lens('plain')
  await page.keyboard.press('4')
  await lens('two-values')
  await page.keyboard.down(' ')
  await lens('plain')
  await page.keyboard.up(' ')
  await lens('two-values')
  await page.keyboard.press('a')
  await expect(page.getByText('drag over the picture')).toBeVisible()
  await page.keyboard.press('Escape')
  await page.keyboard.press('?')
  await expect(page.getByRole('dialog')).toContainText('hold space')
})
