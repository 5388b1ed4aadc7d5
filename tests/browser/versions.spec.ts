/** The learner hands in again, and the product says whether what was marked landed. */
import { expect, test, type Browser, type Page } from '@playwright/test'
import { renderPiece } from '../../demo/render'
import { LIGHTSHIP, LIGHTSHIP_AGAIN } from '../../demo/versions'
import { database, Person } from '../api/client'
import { enrol, newAccount, newClass } from '../people'
import { accessible, drag, open, saved, takeReading } from './bench-page'

const stamp = Date.now().toString(36),
  password = 'grey-heron-lamp',
  email = (key: string): string => `${key}-${stamp}@school.example`
let classId: number

test.beforeAll(async () => {
  const connection = await database(),
    teacher = await newAccount(connection, { email: email('reed'), name: 'Reed', password, house: 'instructor' })
  classId = await newClass(connection, `Versions ${stamp}`, teacher)
  const accountId = await newAccount(connection, { email: email('lena'), name: 'Lena', password })
  await enrol(connection, { classId, accountId })
  await connection.end()
})

async function enter(browser: Browser, key: string): Promise<Page> {
  const page = await (await browser.newContext()).newPage()
  await page.request.post('/api/session', { data: { login: email(key), password } })
  return page
}
async function release(page: Page): Promise<void> {
  await page.getByRole('button', { name: 'Release to Lena' }).click()
  await page.getByRole('dialog').getByRole('button', { name: 'Release', exact: true }).click()
  // A release waits until the piece is measured with what was drawn last.
  await expect(page.getByText(/Released on/)).toBeVisible({ timeout: 15_000 })
}

test('marked, released, handed in again, laid on the old one, said, overruled, carried over, in the term', async ({
  browser
}) => {
  test.setTimeout(240_000)
  const lenaHerself = await Person.signedIn(email('lena'), { password }),
    words = { classId: String(classId), title: 'The lightship' },
    first = await lenaHerself.handIn(await renderPiece(LIGHTSHIP), words),
    { id } = (await first.json()) as { id: number }
  await lenaHerself.measured(id)

  // Two faults marked as they are read: the ship merges, and everything lies in the middle tones.
  const reed = await enter(browser, 'reed')
  await open(reed, `/bench/${id}/values`)
  await reed.keyboard.press('b')
  await drag(reed, [0.36, 0.585], [0.66, 0.68])
  await reed.getByLabel('What is it?').fill('the ship')
  await reed.getByLabel('What is it?').press('Enter')
  for (const reading of ['value.separation', 'value.range']) {
    const fault = await takeReading(reed, reading)
    await fault.getByRole('button', { name: 'mark it' }).click()
    await expect(fault).toContainText(/marked V\d/)
    await saved(reed)
  }
  await reed.goto(`/bench/${id}/verdict`)
  await release(reed)

  // The learner reads it, paints, photographs anew: it is found on the old one, seen, and handed in.
  const lena = await enter(browser, 'lena')
  await lena.goto(`/critique/${id}`)
  await lena.getByRole('link', { name: 'Hand in a new version' }).click()
  await expect(lena.getByRole('heading', { name: 'Hand in again: The lightship' })).toBeVisible()
  await lena
    .locator('input[type=file]')
    .first()
    .setInputFiles({
      name: 'again.png',
      mimeType: 'image/png',
      buffer: await renderPiece(LIGHTSHIP_AGAIN)
    })
  const over = lena.getByRole('region', { name: 'Over the older version' })
  await expect(over.getByText('It lies on version 1, for sure.')).toBeVisible({ timeout: 20_000 })
  await over.getByRole('button', { name: 'blink' }).click()
  await over.getByRole('button', { name: 'blink' }).click()
  await over.getByRole('button', { name: 'what changed' }).click()
  await expect(over.getByRole('img', { name: 'what changed' })).toBeVisible()
  await over.getByRole('button', { name: 'set four points' }).click()
  const corner = over.getByRole('button', { name: 'The older version’s corner at the top left' })
  const was = (await corner.boundingBox())!
  await corner.press('ArrowRight')
  await expect.poll(async () => (await corner.boundingBox())!.x).toBeGreaterThan(was.x)
  await over.getByRole('button', { name: 'leave it' }).click()
  await accessible(lena)
  await lena.getByLabel('Your question').fill('Is it there now?')
  await lena.getByRole('button', { name: 'Hand it in' }).click()
  await expect(lena.getByText('it lies on the old one: sure')).toBeVisible({ timeout: 20_000 })
  await expect(lena.getByText(/is said here once your instructor has released/)).toBeVisible()
  const again = Number(/versions\/(\d+)/.exec(lena.url())![1])

  // The instructor finds it on the desk as what it is, and goes from the bench to both on one wall.
  await reed.goto('/desk')
  await reed.getByRole('link', { name: 'The lightship by Lena' }).first().click()
  await reed.getByRole('link', { name: 'version 2: did it land?' }).click()
  const landed = reed.locator('.landed')
  await expect(landed).toHaveCount(2, { timeout: 20_000 })
  await expect(landed.nth(0)).toHaveAttribute('data-landing', 'reached')
  await expect(landed.nth(1)).toHaveAttribute('data-landing', 'nearer')
  await expect(reed.getByText('One of two corrections landed, one is nearer.')).toBeVisible()
  await expect(reed.getByText(/third of a stop lighter; that is taken out below/)).toBeVisible()
  await expect(reed.getByRole('img', { name: 'version 2' })).toHaveAttribute('data-lens', 'plain')
  await accessible(reed)
  const line = reed.getByRole('slider', { name: 'Line between the versions' })
  await line.press('ArrowLeft')
  await expect(line).toHaveAttribute('aria-valuenow', '48')
  await reed.getByText('how value moved').click()
  await expect(reed.getByRole('img', { name: 'what changed' })).toHaveAttribute('data-lens', 'difference')
  await reed.getByText('as they are').click()
  await expect(reed.getByRole('img', { name: 'version 1' })).toHaveAttribute('data-lens', 'plain')

  // What is measured is the instructor's to overrule, and what is open is marked again.
  await landed.nth(0).getByRole('button', { name: 'overrule' }).click()
  await landed.nth(0).getByText('nearer', { exact: true }).click()
  await expect(landed.nth(0)).toHaveAttribute('data-landing', 'nearer')
  await expect(landed.nth(0)).toContainText('Measured: reached.')
  await landed.nth(0).getByRole('button', { name: 'nearer', exact: true }).click()
  await landed.nth(0).getByText('as measured', { exact: true }).click()
  await expect(landed.nth(0)).toHaveAttribute('data-landing', 'reached')
  await landed.nth(1).getByRole('button', { name: 'overrule' }).click()
  await landed.nth(1).getByText('unchanged', { exact: true }).click()
  await reed.getByRole('button', { name: 'carry over what is still open (1)' }).click()
  await expect(landed.nth(1)).toContainText('marked twice, in the new critique')

  await reed.getByRole('link', { name: 'To the bench' }).click()
  await reed.goto(`/bench/${again}/verdict`)
  await reed.getByRole('button', { name: 'propose words from what is marked and read' }).click()
  await expect(reed.getByLabel('What works, first')).toHaveValue(/is solved: \d → \d+ steps\./)
  await release(reed)

  await lena.goto(`/critique/${again}`)
  await expect(lena.getByText('marked twice')).toBeVisible()
  await lena.getByRole('link', { name: 'What landed since version 1' }).click()
  await expect(lena.locator('.landed').nth(1)).toHaveAttribute('data-landing', 'unchanged', { timeout: 20_000 })
  await expect(lena.getByRole('button', { name: 'overrule' })).toHaveCount(0)

  await lena.getByRole('link', { name: '← My work' }).click()
  await lena.getByRole('link', { name: 'How the term goes' }).click()
  await expect(lena.getByText('Two corrections marked: one landed at first and one still open.')).toBeVisible()
  await expect(lena.getByText(/^Range of values: .* two pieces, too few to say where it goes\.$/)).toBeVisible()
  await accessible(lena)
  await reed.goto(`/progress/class/${classId}`)
  await expect(reed.getByRole('row', { name: /Lena/ })).toContainText('1 of 2 open')
  await accessible(reed)
})

test('studies are kept in a drawer, read for their maker alone, and go with what they led to', async ({ browser }) => {
  const lena = await enter(browser, 'lena')
  await lena.goto('/studies')
  const keep = lena.locator('form')
  await keep.getByRole('button', { name: 'Keep it' }).click()
  await expect(lena.getByText('Choose the picture first.')).toBeVisible()
  for (const [minutes, piece] of [
    ['12', LIGHTSHIP],
    ['8', LIGHTSHIP_AGAIN]
  ] as const) {
    await lena
      .locator('input[type=file]')
      .setInputFiles({ name: 'study.png', mimeType: 'image/png', buffer: await renderPiece(piece) })
    await lena.getByLabel('Minutes it took').fill(minutes)
    await keep.getByRole('button', { name: 'Keep it' }).click()
    await expect(lena.getByText(`${minutes} min · broad`)).toBeVisible({ timeout: 20_000 })
  }
  await lena.getByText('what would be said of it').first().click()
  await expect(lena.locator('details[open] p').first()).toContainText(/\w/)
  await accessible(lena)

  await lena.goto('/hand-in')
  await lena.getByLabel('Title').fill('Out of two studies')
  await lena.getByLabel('Study 2 led to it').uncheck()
  await lena
    .locator('input[type=file]')
    .first()
    .setInputFiles({ name: 'final.png', mimeType: 'image/png', buffer: await renderPiece(LIGHTSHIP_AGAIN) })
  await lena.getByRole('button', { name: 'Hand it in' }).click()
  await expect(lena).toHaveURL(/\/work$/, { timeout: 20_000 })
  await lena.goto('/studies')
  await expect(lena.getByText('One study so far.')).toBeVisible()

  const reed = await enter(browser, 'reed')
  await reed.goto('/desk')
  await reed.getByRole('link', { name: 'Out of two studies by Lena' }).first().click()
  await expect(reed).toHaveURL(/\/bench\/\d+/)
  await reed.goto(`/bench/${/bench\/(\d+)/.exec(reed.url())![1]}/first-look`)
  await reed.getByRole('button', { name: 'show it on the picture' }).click({ timeout: 15_000 })
  const box = (await reed.locator('canvas.picture[data-which="own"]').boundingBox())!
  await reed.mouse.click(box.x + box.width / 2, box.y + box.height / 2)
  await expect(reed.getByRole('region', { name: 'Studies before it' })).toContainText('12 min')
  await expect(reed.getByRole('region', { name: 'Studies before it' }).getByRole('listitem')).toHaveCount(1)
})
