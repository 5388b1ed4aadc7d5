/**
 * From a planted fault's reading to its mark, a trial that reaches the target, the release, the learner's screen and
 * the printed sheet.
 */
import { readFile } from 'node:fs/promises'
import { expect, test, type Page } from '@playwright/test'
import sharp from 'sharp'
import { unzipSync } from 'fflate'
import { paintFace } from '../../core/testing/face'
import { DEMO_PASSWORD } from '../../demo/people'
import { pdfText } from '../pdf-text'
import {
  accessible,
  drag,
  handedIn,
  keptCorrections,
  open,
  picture,
  placed,
  saved,
  signIn,
  takeReading
} from './bench-page'

/** A grey patch two steps from its ground: it merges. Values from CIELAB: #777777 is L* 50, #7d7d7d is 52. */
const merging = (): Promise<Buffer> =>
  sharp({ create: { width: 400, height: 300, channels: 3, background: '#777777' } })
    .composite([
      { input: { create: { width: 120, height: 100, channels: 3, background: '#7d7d7d' } }, left: 140, top: 100 },
      { input: { create: { width: 60, height: 40, channels: 3, background: '#b06a4a' } }, left: 10, top: 10 }
    ])
    .png()
    .toBuffer()

const textOf = async (path: string): Promise<string> => pdfText(await readFile(path))
async function download(page: Page, name: string): Promise<string> {
  const [file] = await Promise.all([
    page.waitForEvent('download', { timeout: 60_000 }),
    page.getByRole('button', { name, exact: true }).click()
  ])
  return file.path()
}

test('a fault is read, marked, tried to its target, put in words, released, read by the learner, printed', async ({
  page,
  browser
}) => {
  const id = await handedIn(await merging())
  await signIn(page)
  await open(page, `/bench/${id}/values`)
  await page.keyboard.press('b')
  await drag(page, [0.35, 1 / 3], [0.65, 2 / 3])
  await page.getByLabel('What is it?').fill('the patch')
  await page.getByLabel('What is it?').press('Enter')
  const fault = page.locator('[data-reading="value.separation"]')
  await expect(fault).toContainText('The patch merges with its surroundings: 2 apart')
  await takeReading(page, 'value.separation')
  await fault.getByRole('button', { name: 'mark it' }).click()
  await expect(fault).toContainText('marked V1')
  await saved(page)

  await page.getByRole('button', { name: 'V1', exact: true }).click()
  await page.getByRole('button', { name: 'try it' }).click()
  const panel = page.getByRole('region', { name: 'Try it on the picture' })
  await panel.getByRole('slider', { name: 'lower the value, lift it' }).fill('6')
  await expect(panel.getByText(/^Not yet/)).toBeVisible()
  await panel.getByRole('slider', { name: 'lower the value, lift it' }).fill('20')
  await expect(panel.getByText(/^The target is reached/)).toBeVisible()
  await expect(panel.getByRole('row', { name: /from its surroundings/ })).toContainText(/surroundings22[12]/)
  // A stroke painted over it, in a colour of the wheel, beside what the sliders do.
  await panel.getByRole('button', { name: 'orange', exact: true }).click()
  await panel.getByRole('button', { name: 'a stroke', exact: true }).click()
  await drag(page, [0.75, 0.8], [0.85, 0.85], [0.95, 0.8])
  await expect(panel.getByRole('button', { name: 'take the last of 1 away' })).toBeVisible()
  await saved(page)
  await expect
    .poll(async () => (await keptCorrections(page, id))[0]!.trial!.strokes?.[0]?.points.length)
    .toBeGreaterThan(2)
  // The line between before and after, moved by keys.
  await page.keyboard.press('c')
  const line = page.getByRole('slider', { name: 'Line between before and after' })
  await expect(line).toHaveAttribute('aria-valuenow', '50')
  await line.press('ArrowLeft')
  await expect(line).toHaveAttribute('aria-valuenow', '48')
  await expect(page.locator('canvas[data-which="plain"]')).toHaveAttribute('data-tried', '0')
  await accessible(page)
  await page.keyboard.press('c')
  await page.getByRole('button', { name: 'back to Values' }).click()

  // Two more by hand: an arrow and a point; the last is dragged to the front and its number follows.
  await page.keyboard.press('j')
  await drag(page, [0.3, 0.1], [0.15, 0.12])
  await page.getByLabel('What is wrong').fill('The red takes the eye')
  await page.getByRole('button', { name: 'Mark it', exact: true }).click()
  await page.keyboard.press('i')
  const at = await placed(page)
  await page.mouse.click(...at(0.5, 0.9))
  await page.getByLabel('What is wrong').fill('Nothing happens down here')
  await page.getByRole('button', { name: 'Mark it', exact: true }).click()
  await page
    .getByRole('button', { name: 'V3', exact: true })
    .dragTo(page.getByRole('button', { name: 'V1', exact: true }))
  await expect
    .poll(async () => (await keptCorrections(page, id)).map(c => c.mark?.kind ?? 'area'))
    .toEqual(['point', 'area', 'arrow'])
  // What was written is on the shelf for the next one.
  await page.keyboard.press('m')
  await page.getByRole('button', { name: 'from your phrases' }).click()
  await accessible(page)
  await page.getByLabel('Search your phrases').fill('takes eye')
  await page
    .getByRole('button', { name: /The red takes the eye/ })
    .first()
    .click()
  await expect(page.getByLabel('What is wrong')).toHaveValue('The red takes the eye')
  await page.getByRole('button', { name: 'leave it' }).click()

  await page
    .getByRole('navigation', { name: 'Stations' })
    .getByRole('link', { name: /Verdict/ })
    .click()
  await page.getByRole('button', { name: /propose words/ }).click()
  const verdict = page.getByRole('textbox', { name: 'Verdict and the next step' })
  await expect(verdict).toContainText('Begin with V1.')
  await verdict.click()
  await page.keyboard.press('ControlOrMeta+End')
  await page.keyboard.press('Enter')
  await accessible(page)
  await page.getByRole('button', { name: 'strong', exact: true }).click()
  await page.keyboard.type('One thing at a time')
  await saved(page)
  await page.getByRole('link', { name: /see it as Joss will/ }).click()
  await expect(page.getByRole('status')).toContainText('Not released yet')
  await expect(page.locator('strong')).toHaveText('One thing at a time')
  await page.getByRole('link', { name: 'Back to the bench' }).click()
  await page.getByRole('button', { name: /^Release to/ }).click()
  await page.getByRole('button', { name: 'Release', exact: true }).click()
  // A release waits until the piece is measured with what was drawn last: up to eight seconds.
  await expect(page.getByText(/Released on/)).toBeVisible({ timeout: 12_000 })

  const context = await browser.newContext({ acceptDownloads: true })
  await context.request.post('/api/session', { data: { login: 'joss@harbour.example', password: DEMO_PASSWORD } })
  const learner = await context.newPage()
  await learner.goto(`/critique/${id}`)
  const corrections = learner.getByRole('region', { name: 'Corrections' })
  await expect(corrections).toContainText('The patch merges')
  await corrections.getByRole('button', { name: 'next' }).click()
  await expect(corrections.locator('li.chosen')).toContainText('Nothing happens down here')
  await corrections.getByRole('button', { name: 'next' }).click()
  await expect(corrections.locator('li.chosen')).toContainText('The patch merges')
  await expect(learner.locator('canvas.after')).toHaveAttribute('data-shows', '1')
  await learner.getByText('What else was measured').click()
  await expect(learner.locator('details')).toContainText('to fix')

  await accessible(learner)

  const text = await textOf(await download(learner, 'sheet, A4'))
  for (const words of [
    'What works',
    'Nothing happens down here',
    'The patch merges with its surroundings',
    'Reached with at least',
    'The red takes the eye',
    'One thing at a time',
    'Before, and as it could be',
    'What else was measured',
    '1 of'
  ])
    expect(text).toContain(words)
  const layers = unzipSync(new Uint8Array(await readFile(await download(learner, 'layers'))))
  expect(Object.keys(layers)).toEqual(
    expect.arrayContaining([
      'mimetype',
      'stack.xml',
      'mergedimage.png',
      'Thumbnails/thumbnail.png',
      'data/original.png',
      'data/trial-2.png',
      'data/mark-3.png'
    ])
  )
  await context.close()
})

test('all trials together are read side by side, each with its target', async ({ page }) => {
  const id = await handedIn(await merging())
  await signIn(page)
  const box = { kind: 'rectangle', x: 0.35, y: 1 / 3, w: 0.3, h: 1 / 3 },
    base = { station: 'values', area: box, readingId: null, reason: '', todo: '' }
  const trial = (by: number) => ({ outside: false, feather: 0, strength: 1, operations: [{ kind: 'value', by }] })
  for (const [what, by, atLeast] of [
    ['One', 10, 15],
    ['Two', 10, 21]
  ] as const)
    await page.request.post(`/api/submissions/${id}/corrections`, {
      data: { ...base, what, target: { measure: 'separation', atLeast }, trial: trial(by) }
    })
  await open(page, `/bench/${id}/values`)
  await page.getByRole('button', { name: 'all', exact: true }).click()
  const all = page.getByRole('region', { name: 'All trials together' })
  // Ten and ten on two: 22 from the ground, as either alone would not be.
  await expect(all).toContainText(/2 → 2[23]: reached, at least 15/)
  await expect(all).toContainText(/2 → 2[23]: reached, at least 21/)
  await expect(picture(page)).toHaveAttribute('data-tried', '2')
})

test('a painted face is met first; the critic says that it is none, and takes that back', async ({ page }) => {
  const size = { width: 900, height: 600 },
    { data } = paintFace(size, { x: 560, y: 260, r: 115 })
  const painted = await sharp(Buffer.from(data), { raw: { ...size, channels: 4 } })
    .png()
    .toBuffer()
  const id = await handedIn(painted)
  await signIn(page)
  await open(page, `/bench/${id}/focus`)
  const path = page.locator('[data-reading="focus.path"]')
  await expect(path).toContainText('The eye goes first to the face.')
  await page.getByRole('button', { name: 'no face there' }).click()
  await expect(path).not.toContainText('the face')
  await saved(page)
  await page.reload()
  await expect(path).not.toContainText('the face')
  await page.getByRole('button', { name: 'count it', exact: true }).click()
  await expect(path).toContainText('The eye goes first to the face.')
})
