/** A house run by hand: a school's list, an assistant, two classes on one desk, a second step, and somebody's going. */
import { expect, test, type Page } from '@playwright/test'
import { Secret, TOTP } from 'otpauth'
import { database, Person, picture } from '../api/client'
import { enrol, newAccount, newClass } from '../people'
import { spoiltList } from '../spoilt-list'
import { accessible } from './bench-page'

const password = 'kelp and lantern light',
  mark = Date.now(),
  at = (name: string): string => `${name}-${mark}@school.example`
const enter = (page: Page, name: string): Promise<unknown> =>
  page.request.post('/api/session', { data: { login: at(name), password } })
let first: number, second: number

test.beforeAll(async () => {
  const connection = await database(),
    account = (name: string, house?: 'owner') =>
      newAccount(connection, { email: at(name), name: `Some ${name} ${mark}`, password, ...(house && { house }) })
  const owner = await account('keeper', 'owner')
  first = await newClass(connection, `Mondays ${mark}`, owner)
  second = await newClass(connection, `Fridays ${mark}`, owner)
  const learner = await account('learner')
  await enrol(connection, { classId: first, accountId: learner })
  await enrol(connection, { classId: second, accountId: learner })
  await enrol(connection, { classId: first, accountId: await account('helper'), role: 'assistant' })
  await connection.end()
  const person = await Person.signedIn(at('learner'), { password })
  for (const [classId, title] of [
    [first, 'Monday pier'],
    [second, 'Friday pier']
  ] as const)
    await person.handIn(await picture(), { classId: `${classId}`, title })
})

test('a school’s list is read from its file, its mistakes named, and what is right brought in', async ({ page }) => {
  await enter(page, 'keeper')
  await page.goto(`/classes/${second}`)
  await page.getByRole('button', { name: 'bring people in' }).click()
  const { text, mistakes } = spoiltList(`${mark}`)
  // As older office programs on Windows write it.
  const bytes = Buffer.from(text.replaceAll('Pupil a', 'Élève a'), 'latin1')
  await page.locator('input[type=file]').setInputFiles({ name: 'class.csv', mimeType: 'text/csv', buffer: bytes })
  const wrong = page.locator('.wrong li')
  await expect(wrong).toHaveCount(mistakes.length)
  for (const [i, { row, column }] of mistakes.entries()) {
    await expect(wrong.nth(i)).toContainText(`row ${row}`)
    if (column) await expect(wrong.nth(i)).toContainText(`${column}:`)
  }
  await accessible(page)
  await page.getByRole('button', { name: 'Bring in 288' }).click()
  await expect(page.getByText('289 learners; 288 have not come in yet.')).toBeVisible()
  await page.getByLabel('Find', { exact: true }).fill('élève a 130')
  await expect(page.getByRole('button', { name: 'Élève a 130' })).toBeVisible()
  const slips = page.waitForEvent('download', { timeout: 60_000 })
  await page.getByRole('button', { name: 'slips to hand out' }).click()
  expect((await slips).suggestedFilename()).toBe('slips.pdf')
})

test('two classes are read together on one desk, or one at a time; an archived one is to read', async ({ page }) => {
  await enter(page, 'keeper')
  await page.goto('/desk')
  await expect(page.getByText('Monday pier')).toBeVisible()
  await expect(page.getByText('Friday pier')).toBeVisible()
  await page.getByRole('radio', { name: `Mondays ${mark}` }).check()
  await expect(page.getByText('Friday pier')).toHaveCount(0)
  await expect(page.getByText('One piece waits')).toBeVisible()
  await page.reload()
  await expect(page.getByText('Monday pier')).toBeVisible()
  await expect(page.getByText('Friday pier')).toHaveCount(0)
  await page.getByText('Monday pier').click()
  await expect(page.getByRole('link', { name: 'Release' })).toBeVisible()
  const bench = page.url()
  await page.goto(`/classes/${first}`)
  await page.getByRole('button', { name: 'archive the class' }).click()
  await expect(page.getByText('everything in it can be read')).toBeVisible()
  await page.goto(bench)
  await expect(page.getByRole('status').filter({ hasText: 'archived, to be read only' })).toBeVisible()
  await expect(page.getByRole('link', { name: 'Release' })).toHaveCount(0)
  await page.goto(`/classes/${first}`)
  await page.getByRole('button', { name: 'bring it back' }).click()
  await expect(page.getByRole('button', { name: 'archive the class' })).toBeVisible()
})

test('an assistant marks and drafts at the bench, and leaves the release to the instructor', async ({ page }) => {
  await enter(page, 'helper')
  await page.goto('/desk')
  await expect(page.getByText('Friday pier')).toHaveCount(0)
  await page.getByText('Monday pier').click()
  await page.getByRole('link', { name: 'Verdict', exact: true }).first().click()
  await page.getByLabel('What works, first').fill('The pier carries the eye out.')
  await page.getByLabel('What works, first').blur()
  await expect(page.getByText('The instructor of the class releases it.')).toBeVisible()
  await expect(page.getByRole('button', { name: /^Release to/ })).toHaveCount(0)
})

test('a second step is turned on with a device, asked for at the door, and a learner’s going can be undone', async ({
  page,
  browser
}) => {
  await enter(page, 'keeper')
  await page.goto('/account')
  await page.getByRole('button', { name: 'turn it on' }).click()
  await page.getByLabel('Your password').last().fill(password)
  await page.getByRole('button', { name: 'Go on' }).click()
  const secret = (await page.locator('code').textContent())!
  const code = (at = Date.now()) => new TOTP({ secret: Secret.fromBase32(secret) }).generate({ timestamp: at })
  await accessible(page)
  await page.getByLabel('Code').fill(code())
  await page.getByRole('button', { name: 'Turn it on' }).click()
  await expect(page.locator('.codes li')).toHaveCount(10)

  const door = await (await browser.newContext()).newPage()
  await door.goto('/sign-in')
  await door.getByLabel('E-mail').fill(at('keeper'))
  await door.getByLabel('Password').fill(password)
  await door.getByRole('button', { name: 'Sign in' }).click()
  await door.getByLabel('Code').fill(code(Date.now() + 30_000))
  await door.getByRole('button', { name: 'Sign in' }).click()
  await expect(door.getByRole('link', { name: 'House' })).toBeVisible()

  await door.goto(`/classes/${first}`)
  await door.getByRole('button', { name: `Some learner ${mark}` }).click()
  await door.getByRole('button', { name: 'erase …' }).click()
  await expect(door.getByRole('dialog')).toContainText('It goes in 14 days')
  await door.getByRole('radio', { name: 'a guardian’s wish' }).check()
  await accessible(door, '.v-overlay__content')
  await door.getByRole('button', { name: 'Erase it then' }).click()
  await expect(door.getByText('on a guardian’s wish')).toBeVisible()
  await door.getByRole('button', { name: 'keep it after all' }).click()
  await expect(door.getByText('on a guardian’s wish')).toHaveCount(0)
  await door.goto('/house/audit')
  await expect(door.getByText('undid an erasure').first()).toBeVisible()
  await accessible(door)
  await door.goto('/house')
  await expect(door.getByRole('heading', { name: 'Standing orders' })).toBeVisible()
  await accessible(door)
})
