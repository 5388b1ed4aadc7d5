/**
 * An exercise through its whole life, as its people walk it; and a worksheet printed, painted, photographed and read.
 */
import { expect, test, type Browser, type Page } from '@playwright/test'
import type { RowDataPacket } from 'mysql2/promise'
import sharp from 'sharp'
import { PAINTER_ANCHORS } from '../../core/wheel/painter'
import { assignmentListSchema } from '../../shared/exercises/assignment'
import { database, Person } from '../api/client'
import { enrol, newAccount, newClass } from '../people'
import { filledSheet, outerMarks } from '../sheets/filled'
import { accessible, saved } from './bench-page'
import { choose } from './choose'

const mark = Date.now().toString(36),
  password = 'grey-heron-lamp',
  className = `Exercises ${mark}`
const email = (key: string): string => `${key}-${mark}@school.example`
let connection: Awaited<ReturnType<typeof database>>, classId: number

test.beforeAll(async () => {
  connection = await database()
  const teacher = await newAccount(connection, { email: email('reed'), name: 'Reed', password, house: 'instructor' })
  classId = await newClass(connection, className, teacher)
  for (const name of ['Alma', 'Bo', 'Cleo']) {
    const accountId = await newAccount(connection, { email: email(name), name: `${name} ${mark}`, password })
    await enrol(connection, { classId, accountId })
  }
})
test.afterAll(() => connection.end())

async function enter(browser: Browser, key: string): Promise<Page> {
  const page = await (await browser.newContext()).newPage()
  await page.request.post('/api/session', { data: { login: email(key), password } })
  return page
}
const assignmentsOf = async (key: string) =>
  assignmentListSchema.parse(
    await (await (await Person.signedIn(email(key), { password })).fetch('/assignments')).json()
  )

/** Most of it a key colour and its greys, a share of its opposite, a dark and a light. */
async function opposites(hue: number, accent: number): Promise<Buffer> {
  const fill = (width: number, height: number, background: string) => ({
    create: { width, height, channels: 3 as const, background }
  })
  const at = (degrees: number): string => PAINTER_ANCHORS[(degrees / 30) % 12]!
  return sharp(fill(800, 600, at(hue)))
    .composite([
      { input: fill(800, 110, '#161616'), left: 0, top: 490 },
      { input: fill(800, 90, '#f2f2f2'), left: 0, top: 0 },
      { input: fill(200, Math.round(400 * accent), at(hue + 180)), left: 300, top: 100 }
    ])
    .png()
    .toBuffer()
}
const asFile = (buffer: Buffer) => ({ name: 'work.png', mimeType: 'image/png', buffer })

test('set to a class with different hues, planned, tried, handed in, hung on a wall, confirmed, on record', async ({
  browser
}) => {
  const reed = await enter(browser, 'reed')
  await reed.goto('/exercises')
  await reed.getByRole('button', { name: 'Opposites', exact: true }).click()
  const form = reed.getByRole('form', { name: 'Set it' })
  await expect(form).toContainText(`all three of ${className}`)
  await accessible(reed)
  await form.locator('.v-select', { hasText: 'Key colour' }).click()
  await reed.getByRole('option', { name: 'a different one each' }).click()
  await form.getByRole('button', { name: 'Set it' }).click()
  await reed.getByRole('link', { name: 'What comes back hangs here' }).click()
  await expect(reed.getByText('none of three handed in')).toBeVisible()
  const wall = reed.url()

  const alma = await enter(browser, 'Alma')
  await alma.goto('/exercises')
  await expect(alma.getByText('One exercise to do.')).toBeVisible()
  await alma.getByRole('link', { name: 'Opposites' }).click()
  await alma.getByRole('link', { name: 'plan it first' }).click()
  await alma.getByLabel('What will it be?').fill('A kettle on a sill')
  await accessible(alma)
  const leader = alma.getByRole('slider', { name: 'Leader' })
  await expect(leader).toHaveAttribute('aria-valuetext', '60 %')
  const seam = (await leader.boundingBox())!,
    bar = (await alma.locator('.amounts-bar .bar').boundingBox())!
  await alma.mouse.move(seam.x + seam.width / 2, seam.y + 10)
  await alma.mouse.down()
  await alma.mouse.move(bar.x + 0.7 * bar.width, seam.y + 10, { steps: 4 })
  await alma.mouse.up()
  await expect(leader).toHaveAttribute('aria-valuetext', '70 %')
  await leader.press('ArrowRight')
  await expect(alma.getByText('leader 71 %')).toBeVisible()
  await alma.getByRole('button', { name: 'Keep the plan' }).click()
  await expect(alma.getByText('A kettle on a sill: opposites')).toBeVisible()

  const [own] = await assignmentsOf('Alma'),
    hue = own!.settings.hue!
  await alma.getByRole('button', { name: 'check work in progress, for yourself' }).click()
  await alma.locator('input[type=file]').setInputFiles(asFile(await opposites(hue, 0.02)))
  const study = alma.locator('.studies li').first()
  await expect(study.locator('[data-check="accent"]')).toContainText('hardly there', { timeout: 20_000 })
  await expect(study.locator('[data-check="accent"]')).toContainText('Add it where the eye should stop')
  await expect(alma.getByText('one study kept')).toBeVisible()
  await study.locator('[data-check="accent"]').getByRole('button', { name: 'show me' }).click()
  await expect
    .poll(() => study.locator('img').evaluate((img: HTMLImageElement) => img.src + (img.naturalWidth ? ' shown' : '')))
    .toMatch(/evidence\/accent shown$/)

  await alma.getByRole('link', { name: 'Hand in the exercise' }).click()
  await expect(alma.getByLabel('What is it about?')).toHaveValue('A kettle on a sill')
  await alma.getByLabel('Picture', { exact: true }).setInputFiles(asFile(await opposites(hue, 0.4)))
  await alma.getByRole('button', { name: 'Hand it in' }).click()
  await expect(alma.getByText('All checks are reached.')).toBeVisible({ timeout: 20_000 })

  await alma.locator('[data-check="coverage"]').getByRole('button', { name: 'show me' }).click()
  await expect(alma.getByRole('img', { name: 'What the check stands on, on the picture' })).toBeVisible()
  await alma.getByRole('button', { name: 'the picture again' }).click()

  // Bo copies Alma's colours: the key colour was another.
  const bo = await Person.signedIn(email('Bo'), { password }),
    [copied] = await assignmentsOf('Bo')
  const { id } = (await (
    await bo.handIn(await opposites(hue, 0.4), { classId: `${copied!.classId}`, assignmentId: `${copied!.id}` })
  ).json()) as { id: number }
  await bo.measured(id)

  await reed.goto(wall)
  await expect(reed.locator('.wall img')).toHaveCount(2)
  await reed.getByText('the key colour').click()
  await expect(reed.locator('.wall li', { hasText: `Bo ${mark}` })).toContainText('It is')
  await accessible(reed)
  await reed.getByRole('button', { name: 'confirm the one that reaches everything' }).click()
  await expect(reed.locator('.wall li', { hasText: `Alma ${mark}` })).toContainText('confirmed')
  await reed.getByRole('link', { name: `Bo ${mark}` }).click()
  await reed.getByLabel('A word with it').fill('Your own colour, please.')
  await reed.getByRole('button', { name: 'ask for it again' }).click()
  await expect(reed.getByText('Your own colour, please.')).toBeVisible()

  await reed.goto('/exercises')
  await reed.getByRole('link', { name: `who is where: ${className}` }).click()
  const line = (name: string) => reed.locator('tr', { hasText: `${name} ${mark}` })
  await expect(line('Alma').locator('td')).toHaveText([`Alma ${mark}`, '1', '1', '1', '1', '1', '1', '1'])
  await expect(line('Cleo').locator('td')).toHaveText([`Cleo ${mark}`, '1', '0', '0', '0', '0', '0', '0'])
  await expect(reed.locator('aside')).toContainText('the key colour · Opposites, 1 of 2')
  await accessible(reed)
})

test('one of the shelf is copied, its checks put together anew with what passes each, kept, and set', async ({
  browser
}) => {
  const reed = await enter(browser, 'reed')
  await reed.goto('/exercises')
  await reed.getByRole('button', { name: 'Three values', exact: true }).click()
  await reed.getByRole('button', { name: 'copy it, and change the copy' }).click()
  const form = reed.getByRole('form', { name: 'An exercise of your own' })
  await form.getByLabel('Title').fill('Kettle, large masses')
  await form.getByRole('button', { name: 'one more check' }).click()
  await expect(form.locator('svg rect').first()).toBeVisible()
  const slider = form.getByRole('slider').first(),
    widest = () => form.locator('.check').first().locator('svg rect').first().getAttribute('fill')
  const before = await widest()
  await slider.fill('80')
  // The picture that passes is drawn as the bound is set.
  expect(await widest()).not.toBe(before)
  await accessible(reed)
  await form.getByRole('button', { name: 'Keep it' }).click()
  const kept = reed.getByRole('button', { name: 'Kettle, large masses' })
  await expect(kept).toHaveAttribute('aria-expanded', 'true')
  await expect(reed.locator('.text')).toContainText('The values span at least 80 steps')
  await reed.getByRole('form', { name: 'Set it' }).getByRole('button', { name: 'Set it' }).click()
  await reed.getByRole('link', { name: 'What comes back hangs here' }).click()
  await expect(reed.getByRole('heading', { name: `Kettle, large masses, ${className}` })).toBeVisible()
})

test('one is built from nothing, in a scheme, and set from a verdict with a key colour', async ({ browser }) => {
  const reed = await enter(browser, 'reed')
  await reed.goto('/exercises')
  await reed.getByRole('button', { name: 'build a new one' }).click()
  const form = reed.getByRole('form', { name: 'An exercise of your own' })
  await form.getByRole('button', { name: 'Keep it' }).click()
  await expect(form.getByText('It needs a title.')).toBeVisible()
  await form.getByLabel('Title').fill('Two that lean on each other')
  await form.getByLabel('What it trains').fill('Opposites that share a grey')
  await form.getByLabel('How it is done, a step a line').fill('Mix the two to a grey.\nPaint with all three.')
  await choose(reed, form.getByLabel('In which colours'), 'opposites')
  await choose(reed, form.getByRole('combobox', { name: 'Check 1' }), 'it keeps to the scheme')
  await form.getByRole('button', { name: 'Keep it' }).click()
  await expect(reed.getByRole('button', { name: 'Two that lean on each other' })).toHaveAttribute(
    'aria-expanded',
    'true'
  )

  const bo = await Person.signedIn(email('Bo'), { password }),
    handed = await bo.handIn(await opposites(60, 0.3), { classId: String(classId) })
  const { id } = (await handed.json()) as { id: number }
  await bo.measured(id)
  await reed.goto(`/bench/${id}/verdict`)
  await choose(reed, reed.getByLabel('Exercise', { exact: true }), 'Two that lean on each other')
  await choose(reed, reed.getByLabel('Key colour'), 'violet')
  await saved(reed)
  await reed.reload()
  await expect(reed.getByText('Two that lean on each other')).toBeVisible()
  await expect(reed.locator('.exercise')).toContainText('violet')
})

test('a worksheet printed, painted, photographed, read, disputed, confirmed', async ({ browser }) => {
  test.setTimeout(180_000)
  const cleo = await enter(browser, 'Cleo'),
    teacher = await Person.signedIn(email('reed'), { password })
  const [{ id: cleoId }] = (
    await connection.query<RowDataPacket[]>('SELECT id FROM accounts WHERE email = ?', [email('Cleo')])
  )[0] as { id: number }[]
  await teacher.json('POST', `/classes/${classId}/exercises`, {
    exercise: 'opposites',
    dueOn: '2027-03-01',
    key: 120,
    learners: [cleoId]
  })
  const own = (await assignmentsOf('Cleo')).at(-1)
  const { id, settings, learner } = own!
  const svg = await (await cleo.request.get(`/api/assignments/${id}/worksheet?as=svg`)).text()
  expect(svg).toContain(learner.name)
  const { sheet, jpeg, corners } = await filledSheet({ exercise: 'opposites', settings, number: id, svg })
  await cleo.goto(`/exercises/${id}`)
  await cleo.getByRole('link', { name: 'read a filled one' }).click()
  await cleo.locator('input[type=file]').setInputFiles({ name: 'sheet.jpg', mimeType: 'image/jpeg', buffer: jpeg })
  await expect(cleo.locator('[data-box]')).toHaveCount(sheet.boxes.length, { timeout: 40_000 })
  await accessible(cleo)
  const wrong = cleo
      .locator('[data-box]')
      .filter({ has: cleo.getByText('I see it otherwise') })
      .first(),
    name = (await wrong.getAttribute('data-box'))!
  await wrong.getByRole('button', { name: 'I see it otherwise' }).click()
  await cleo.getByLabel(/What you see in/).fill('It dried lighter.')
  await cleo.getByRole('button', { name: 'Say it' }).click()
  await expect(cleo.locator(`[data-box="${name}"]`)).toContainText('It dried lighter.')

  const reed = await enter(browser, 'reed')
  await reed.goto(`/exercises/${id}/sheet`)
  await expect(reed.locator(`[data-box="${name}"]`)).toContainText('It dried lighter.')
  await reed.getByRole('button', { name: 'Confirm the sheet' }).click()
  await expect(reed.getByText(/^Confirmed on/)).toBeVisible()

  // A photograph without a sheet: said so, and the corners can be set by hand.
  await cleo.reload()
  await cleo.locator('input[type=file]').setInputFiles(asFile(await opposites(60, 0.3)))
  await expect(cleo.getByRole('alert').filter({ hasText: 'No worksheet is found' })).toBeVisible({ timeout: 30_000 })
  await expect(cleo.getByText('Point at the outer corner of the mark at the sheet’s top left.')).toBeVisible()

  // Two of its marks under a pair of hands: pointed at one by one, nudged, and read.
  const { width = 0, height = 0 } = await sharp(jpeg).metadata(),
    hand = await sharp({ create: { width: 260, height: 260, channels: 3, background: '#a87860' } })
      .png()
      .toBuffer()
  const over = (at: { x: number; y: number }) => ({
    input: hand,
    left: Math.max(0, Math.round(at.x) - 80),
    top: Math.min(height - 260, Math.max(0, Math.round(at.y) - 130))
  })
  const covered = await sharp(jpeg)
    .composite([over(corners[0]!), over(corners[3]!)])
    .jpeg({ quality: 92 })
    .toBuffer()
  await cleo.reload()
  await cleo.locator('input[type=file]').setInputFiles({ name: 'held.jpg', mimeType: 'image/jpeg', buffer: covered })
  const photo = cleo.locator('.by-hand .photo')
  await expect(photo).toBeVisible({ timeout: 30_000 })
  const shown = (await photo.locator('img').boundingBox())!
  for (const { x, y } of outerMarks(sheet, corners))
    await photo.click({ position: { x: (x / width) * shown.width, y: (y / height) * shown.height } })
  await expect(cleo.getByText('All four are set.')).toBeVisible()
  await cleo.getByRole('button', { name: 'Corner at the bottom right' }).press('ArrowLeft')
  await cleo.getByRole('button', { name: 'Read it by these corners' }).click()
  await expect(cleo.locator('article.read')).toHaveCount(2, { timeout: 40_000 })
  await expect(cleo.locator('article.read').first().locator('[data-box]')).toHaveCount(sheet.boxes.length)
})
