/** The learner photographs a sheet on the table: it is found, laid flat, set by hand, freed of the lamp, handed in. */
import { expect, test } from '@playwright/test'
import sharp from 'sharp'
import { through } from '../../core/numeric/homography'
import { flatMap } from '../../core/photo/straighten'
import { database } from '../api/client'
import { enrol, newAccount, newClass } from '../people'
import { photographedPiece } from '../photos/photographed'
import { accessible, open } from './bench-page'

const stamp = Date.now().toString(36),
  password = 'grey-heron-lamp',
  email = (key: string): string => `${key}-${stamp}@school.example`

test.beforeAll(async () => {
  const connection = await database(),
    teacher = await newAccount(connection, { email: email('reed'), name: 'Reed', password, house: 'instructor' }),
    classId = await newClass(connection, `Photographs ${stamp}`, teacher)
  const accountId = await newAccount(connection, { email: email('lena'), name: 'Lena', password })
  await enrol(connection, { classId, accountId })
  await connection.end()
})

test('found, laid flat, its corners set by keys, white pointed at, handed in; the bench says what was done', async ({
  browser
}) => {
  test.setTimeout(120_000)
  const photo = await photographedPiece('lemons'),
    lena = await (await browser.newContext()).newPage()
  await lena.request.post('/api/session', { data: { login: email('lena'), password } })
  await lena.goto('/hand-in')
  await lena
    .locator('input[type=file]')
    .first()
    .setInputFiles({ name: 'table.jpg', mimeType: 'image/jpeg', buffer: photo.jpeg })
  const part = lena.getByRole('region', { name: 'The photograph' })
  await expect(part.getByText('Straightened.')).toBeVisible({ timeout: 20_000 })
  const shown = lena.getByAltText('The picture chosen'),
    proportion = () => shown.evaluate((img: HTMLImageElement) => img.naturalWidth / img.naturalHeight)
  const ratio = photo.work.raster.width / photo.work.raster.height
  expect(Math.abs((await proportion()) / ratio - 1)).toBeLessThan(0.03)

  await part.getByRole('button', { name: 'set its corners' }).click()
  await expect(shown).toBeHidden()
  const corner = part.getByRole('button', { name: 'corner at the top left' })
  await expect(part.getByRole('img', { name: 'The sheet laid flat' })).toHaveJSProperty('tagName', 'CANVAS')
  const before = await corner.getAttribute('style')
  await corner.focus()
  for (let i = 0; i < 3; i++) await corner.press('ArrowRight')
  expect(await corner.getAttribute('style')).not.toBe(before)
  for (let i = 0; i < 3; i++) await corner.press('ArrowLeft')
  await accessible(lena)
  await part.getByRole('button', { name: 'lay it flat so' }).click()
  await expect(shown).toBeVisible()

  // The paper's margin is white in truth.
  await part.getByRole('button', { name: 'point at white' }).click()
  const place = part.getByRole('button', { name: 'Point at what is white in truth' }),
    box = (await place.boundingBox())!,
    at = through(flatMap(photo.corners, box)!, { x: 0.5, y: photo.work.margin / 2 })
  await accessible(lena)
  await place.click({ position: at })
  await expect(part.getByText(/white taken from the paper, the light was warm/)).toBeVisible({ timeout: 20_000 })

  await lena.getByLabel('Title').fill('Off the table')
  await lena.getByRole('button', { name: 'Hand it in' }).click()
  await expect(lena).toHaveURL(/\/work/, { timeout: 20_000 })
  const { items } = (await (await lena.request.get('/api/submissions')).json()) as { items: { id: number }[] }

  const reed = await (await browser.newContext()).newPage()
  await reed.request.post('/api/session', { data: { login: email('reed'), password } })
  await open(reed, `/bench/${items[0]!.id}/values`)
  await expect(
    reed.getByText(/^The photograph was straightened; white taken from the paper, the light was warm/)
  ).toBeVisible()
})

test('what is no photograph of a sheet is taken as it is, and may still be said to be one', async ({ browser }) => {
  const lena = await (await browser.newContext()).newPage()
  await lena.request.post('/api/session', { data: { login: email('lena'), password } })
  await lena.goto('/hand-in')
  const { raster } = (await photographedPiece('lemons')).work
  const flat = await sharp(raster.data, { raw: { width: raster.width, height: raster.height, channels: 4 } })
    .extract({ left: 120, top: 120, width: 500, height: 400 })
    .png()
    .toBuffer()
  await lena.locator('input[type=file]').first().setInputFiles({ name: 'a.png', mimeType: 'image/png', buffer: flat })
  const part = lena.getByRole('region', { name: 'The photograph' })
  await expect(part.getByRole('button', { name: 'it is a photograph: set the sheet’s corners' })).toBeVisible({
    timeout: 20_000
  })
  await expect(part.getByText('Straightened.')).toBeHidden()
})
