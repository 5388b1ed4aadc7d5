/** The application under a path of its own, on a host that has other things: nothing of it is asked for outside. */
import { expect, test, type Page } from '@playwright/test'
import { picture } from '../api/client'
import { House, PASSWORD } from '../house'
import { open, takeReading } from './bench-page'

const PATH = '/evening/critica'
let house: House
test.beforeAll(async () => {
  house = await House.open({ path: PATH })
})
test.afterAll(() => house.close())

/** What the page asks for, and what failed of it. */
function watched(page: Page): { readonly outside: string[]; readonly failed: string[] } {
  const outside: string[] = [],
    failed: string[] = []
  page.on('request', request => {
    const { protocol, pathname } = new URL(request.url())
    if (protocol === 'http:' && !pathname.startsWith(`${PATH}/`)) outside.push(pathname)
  })
  page.on('response', response => {
    if (response.status() >= 400) failed.push(`${response.status()} ${response.url()}`)
  })
  page.on('pageerror', error => failed.push(error.message))
  return { outside, failed }
}

async function enter(page: Page, who: string): Promise<void> {
  await page.goto(`${house.origin}/sign-in`)
  await page.getByLabel('E-mail').fill(`${who}@house.example`)
  await page.getByLabel('Password').fill(PASSWORD)
  await page.getByRole('button', { name: 'Sign in' }).click()
  await expect(page.getByRole('button', { name: 'Sign out' })).toBeVisible()
}

test('hands in, measures, releases, prints and gives links, all below it', async ({ browser }) => {
  const learner = await (await browser.newContext()).newPage(),
    instructor = await (await browser.newContext()).newPage(),
    asked = [watched(learner), watched(instructor)]
  await enter(learner, 'learner-0')
  await learner.getByRole('link', { name: 'Hand in', exact: true }).click()
  await learner
    .locator('input[type=file]')
    .first()
    .setInputFiles({ name: 'pier.png', mimeType: 'image/png', buffer: await picture(480, 360) })
  await learner.getByLabel('Title').fill('The pier')
  await learner.getByRole('button', { name: 'Hand it in' }).click()
  await expect(learner.getByRole('link', { name: 'The pier' })).toBeVisible()

  await enter(instructor, 'instructor-0')
  await house.allMeasured()
  await instructor.getByRole('link', { name: 'The pier' }).click()
  await instructor.getByRole('navigation', { name: 'Stations' }).getByRole('link', { name: 'Values' }).click()
  await expect(instructor).toHaveURL(new RegExp(`^${house.origin}/bench/\\d+/values$`))
  // The picture is fetched, and measured by a worker of the page.
  await open(instructor, instructor.url())
  await takeReading(instructor, 'value.range')
  await instructor.getByRole('navigation', { name: 'Stations' }).getByRole('link', { name: 'Verdict' }).click()
  const taken = instructor.waitForEvent('download')
  await instructor.getByRole('button', { name: 'sheet, A4' }).click()
  expect((await taken).suggestedFilename()).toMatch(/\.pdf$/)

  await instructor.goto(`${house.origin}/classes`)
  await instructor.getByRole('link', { name: 'Class 0' }).first().click()
  await instructor.getByRole('button', { name: 'make a code' }).click()
  const where = await instructor.getByText(/Whoever knows it joins/).textContent()
  const [, link] = /at (\S+)\./.exec(where!)!
  const stranger = await (await browser.newContext()).newPage()
  await stranger.goto(`http://${link}`)
  await expect(stranger.getByText('Class 0')).toBeVisible()
  expect(asked.flatMap(({ outside, failed }) => [...outside, ...failed])).toEqual([])
})
