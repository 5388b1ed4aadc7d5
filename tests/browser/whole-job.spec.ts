/**
 * The whole job, as its people walk it: hand in, measure, mark, assign, release, read, hand in the exercise, see the
 * result.
 */
import { hangs, takeReading } from './bench-page'
import { expect, test, type Browser, type Page } from '@playwright/test'
import type { RowDataPacket } from 'mysql2/promise'
import sharp from 'sharp'
import { DEMO_PASSWORD } from '../../demo/people'
import { database } from '../api/client'

async function enter(browser: Browser, key: string): Promise<Page> {
  const page = await (await browser.newContext()).newPage()
  await page.goto('/')
  await page.getByLabel('E-mail').fill(`${key}@harbour.example`)
  await page.getByLabel('Password').fill(DEMO_PASSWORD)
  await page.getByRole('button', { name: 'Sign in' }).click()
  await expect(page.getByRole('button', { name: 'Sign out' })).toBeVisible()
  return page
}

const grey = (byte: number): { r: number; g: number; b: number } => ({ r: byte, g: byte, b: byte })
const block = (width: number, height: number, background: string | object): Promise<Buffer> =>
  sharp({ create: { width, height, channels: 3, background: background as string } })
    .png()
    .toBuffer()

/** Greys between L* 40 and 60 (bytes 94 and 145), with a patch 4 steps from its ground: numbers known beforehand. */
async function narrowPicture(): Promise<Buffer> {
  return sharp(await block(800, 600, grey(119)))
    .composite([
      { input: await block(800, 150, grey(145)), left: 0, top: 0 },
      { input: await block(800, 120, grey(94)), left: 0, top: 480 },
      { input: await block(200, 150, grey(129)), left: 300, top: 240 }
    ])
    .png()
    .toBuffer()
}
/** Blue with a tenth of orange, a dark and a light. */
async function oppositesPicture(): Promise<Buffer> {
  return sharp(await block(800, 600, '#2a71b0'))
    .composite([
      { input: await block(800, 160, '#0d2740'), left: 0, top: 440 },
      { input: await block(800, 130, '#cfe0ef'), left: 0, top: 0 },
      { input: await block(200, 150, '#f18e1c'), left: 300, top: 240 }
    ])
    .png()
    .toBuffer()
}

test('from the hand-in to the checked exercise', async ({ browser }) => {
  const title = `Low tide ${Date.now()}`
  const mika = await enter(browser, 'mika')
  await mika.getByRole('link', { name: 'Hand in', exact: true }).click()
  await mika
    .getByLabel('Picture', { exact: true })
    .setInputFiles({ name: 'tide.png', mimeType: 'image/png', buffer: await narrowPicture() })
  await mika.getByLabel('Title').fill(title)
  await mika.getByLabel('Medium').fill('gouache')
  await mika.getByLabel('Your question').fill('Why is it so flat?')
  await mika.getByRole('button', { name: 'Hand it in' }).click()
  await expect(mika.getByRole('link', { name: title })).toBeVisible()

  const tamsin = await enter(browser, 'tamsin')
  await expect(tamsin.getByRole('heading', { level: 1 })).toContainText('wait')
  await hangs(tamsin, tamsin.getByRole('link', { name: title }))
  await tamsin.getByRole('link', { name: title }).click()
  await tamsin.getByRole('navigation', { name: 'Stations' }).getByRole('link', { name: 'Values' }).click()
  const range = tamsin.locator('[data-reading="value.range"]')
  // The figures are CIE 15: bytes 145 and 94 are L* 60.16 and 39.87.
  await expect(range).toContainText('The range is narrow: 20 steps')
  await takeReading(tamsin, 'value.range')
  await expect(tamsin.locator('canvas[data-lens="grey"]')).toBeVisible()

  await tamsin.keyboard.press('b')
  const wall = (await tamsin.locator('canvas.picture').boundingBox())!
  const at = (x: number, y: number): [number, number] => [wall.x + x * wall.width, wall.y + y * wall.height]
  await tamsin.mouse.move(...at(0.377, 0.402))
  await tamsin.mouse.down()
  await tamsin.mouse.move(...at(0.5, 0.5))
  await tamsin.mouse.move(...at(0.623, 0.648))
  await tamsin.mouse.up()
  const sketch = tamsin.locator('[data-test="sketch"]')
  await expect(sketch).toContainText(/merges with its surroundings: [34] apart, 10 wanted/)
  await sketch.getByLabel('What is it?').fill('the boat')
  await sketch.getByRole('button', { name: 'Keep the area' }).click()
  const boat = tamsin.locator('[data-reading="value.separation"]')
  await expect(boat).toContainText('The boat merges with its surroundings')
  await takeReading(tamsin, 'value.separation')
  await boat.getByRole('button', { name: 'mark it' }).click()
  await expect(boat).toContainText('marked V1')
  await boat.getByRole('button', { name: 'reword' }).click()
  await tamsin.getByLabel('What to do').fill('Lift the boat by ten steps')
  await tamsin.getByRole('form', { name: 'Correction' }).getByRole('button', { name: 'Save' }).click()
  await expect(boat).toContainText('Lift the boat by ten steps')

  await tamsin.reload()
  await expect(tamsin.getByRole('button', { name: 'V1' })).toBeVisible()
  for (const station of ['focus', 'temperature', 'harmony']) {
    await tamsin.keyboard.press('.')
    await expect(tamsin).toHaveURL(new RegExp(`/${station}$`))
  }
  await expect(tamsin.locator('[data-reading="harmony.scheme"]')).toContainText('no colour to speak of')
  await tamsin.getByRole('navigation', { name: 'Stations' }).getByRole('link', { name: 'Verdict' }).click()
  await tamsin.getByLabel('What works, first').fill('The big shapes are simple.')
  await tamsin.getByLabel('Verdict and the next step').fill('Decide what is darkest, and let it be dark.')
  await tamsin.getByLabel('Verdict and the next step').blur()
  await expect(tamsin.getByRole('status').filter({ hasText: /^saved$/ })).toBeVisible()
  await tamsin.locator('.exercise .v-select').click()
  // A long list is found in by its first letters.
  await tamsin.keyboard.type('Oppos')
  await tamsin.keyboard.press('Escape')
  await expect(tamsin.locator('.exercise .v-select').first()).toContainText('Opposites')
  await tamsin.getByLabel('Due on').fill('2027-03-01')
  await tamsin.getByLabel('Due on').blur()
  await tamsin.getByRole('button', { name: /Release to Mika/ }).click()
  await tamsin.getByRole('dialog').getByRole('button', { name: 'Release', exact: true }).click()
  await expect(tamsin.getByText(/Released on/)).toBeVisible()

  await mika.goto('/work')
  await mika.getByRole('link', { name: title }).click()
  await expect(mika.getByText('The big shapes are simple.')).toBeVisible()
  await expect(mika.getByText('Lift the boat by ten steps')).toBeVisible()
  await expect(mika.getByRole('button', { name: 'correction V1' })).toBeVisible()
  await mika.getByRole('link', { name: 'Open the exercise' }).click()
  await expect(mika.getByText('1 March')).toBeVisible()
  await mika.getByRole('link', { name: 'Hand in the exercise' }).click()
  await mika
    .getByLabel('Picture', { exact: true })
    .setInputFiles({ name: 'opposites.png', mimeType: 'image/png', buffer: await oppositesPicture() })
  await mika.getByRole('button', { name: 'Hand it in' }).click()
  await expect(mika.getByText('All checks are reached.')).toBeVisible({ timeout: 20_000 })
  await expect(mika.locator('[data-check="accent"]')).toContainText('a true accent')

  const connection = await database()
  const rows = async (sql: string, value: string | number): Promise<RowDataPacket[]> =>
    (await connection.execute<RowDataPacket[]>(sql, [value]))[0]
  const [piece] = await rows(
    `SELECT s.id, s.question, m.report, k.state, k.works, k.revision FROM submissions s
     JOIN measurements m ON m.submission_id = s.id JOIN critiques k ON k.submission_id = s.id WHERE s.title = ?`,
    title
  )
  expect(piece).toMatchObject({
    question: 'Why is it so flat?',
    state: 'released',
    works: 'The big shapes are simple.',
    report: { value: { darkest: 39.9, lightest: 60.2, range: 20.3, verdict: 'narrow' } }
  })
  expect(
    await rows('SELECT reading_id, todo, target FROM corrections WHERE submission_id = ?', piece!.id)
  ).toMatchObject([
    {
      reading_id: 'value.separation',
      todo: 'Lift the boat by ten steps',
      target: { measure: 'separation', atLeast: 15 }
    }
  ])
  expect(await rows('SELECT name FROM areas WHERE submission_id = ?', piece!.id)).toMatchObject([{ name: 'the boat' }])
  const [answer] = await rows(
    `SELECT m.checks, DATE_FORMAT(x.due_on, '%Y-%m-%d') due FROM assignments x
     JOIN submissions h ON h.assignment_id = x.id JOIN measurements m ON m.submission_id = h.id
     WHERE x.submission_id = ?`,
    piece!.id
  )
  expect(answer).toMatchObject({
    due: '2027-03-01',
    checks: [
      { id: 'coverage', passed: true },
      { id: 'accent', passed: true },
      { id: 'range', passed: true }
    ]
  })
  await connection.end()
})
