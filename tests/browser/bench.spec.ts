/**
 * The bench walked by hand, station by station, on demo pictures with planted faults and on pictures of known numbers.
 */
import { expect, test } from '@playwright/test'
import type { RowDataPacket } from 'mysql2/promise'
import sharp from 'sharp'
import { convertLinearToByte, LINEAR_OF_BYTE } from '../../core/colour/srgb'
import { database } from '../api/client'
import { handedIn, open, picture, placed, saved, signIn, takeReading } from './bench-page'

test.beforeEach(({ page }) => signIn(page))

test('first look: small and soft, then three questions, compared with what is measured', async ({ page }) => {
  await open(page, '/bench/8')
  await expect(page).toHaveURL(/first-look$/)
  await expect(page.getByText('Small, soft, from across the room')).toBeVisible()
  expect((await picture(page).boundingBox())!.width).toBeLessThan(200)
  await expect(page.getByText('Where did your eye go first?')).toBeVisible({ timeout: 8000 })
  await expect(page.getByText(/range \d+/)).toHaveCount(0)
  await page.getByRole('button', { name: 'show it on the picture' }).click()
  await page.mouse.click(...(await placed(page))(0.9, 0.18))
  await expect(page.locator('[data-reading="first-look.eye"]')).toHaveText(
    /went first to the upper right\. The measured first stop is the same\. It should have gone to the focus\./
  )
  await page.getByLabel('The one thing').fill('The boat under sail')
  await page.getByLabel('One a line').fill('The sails stand up.\nThe sky is one wash.')
  await page.keyboard.press('Tab')
  await saved(page)
  await page.reload()
  await expect(page.getByLabel('The one thing')).toHaveValue('The boat under sail')
  const connection = await database()
  const [rows] = await connection.query<RowDataPacket[]>('SELECT notes, works FROM critiques WHERE submission_id = 8')
  expect(rows[0]).toMatchObject({
    works: 'The sails stand up.\nThe sky is one wash.',
    notes: { about: 'The boat under sail', visited: ['first-look'] }
  })
  await connection.end()
})

test('areas by hand, by box and by corners; reshaped, undone, done again, kept over a reload', async ({ page }) => {
  const bands = (['#d9e4ea', '#6b9cbb', '#20384c'] as const).map((background, i) => ({
    input: { create: { width: 640, height: 160, channels: 3 as const, background } },
    left: 0,
    top: 160 * i
  }))
  const id = await handedIn(
    await sharp({ create: { width: 640, height: 480, channels: 3, background: '#fff' } })
      .composite([
        ...bands,
        { input: { create: { width: 80, height: 60, channels: 3, background: '#d9792b' } }, left: 390, top: 230 }
      ])
      .png()
      .toBuffer()
  )
  await open(page, `/bench/${id}/values`)
  const at = await placed(page)
  const name = async (called: string): Promise<void> => {
    await page.getByLabel('What is it?').fill(called)
    await page.getByRole('button', { name: 'Keep the area' }).click()
    await expect(page.getByRole('button', { name: `remove the area ${called}` })).toBeVisible()
  }
  await page.keyboard.press('a')
  await page.mouse.move(...at(0.6, 0.55))
  await page.mouse.down()
  for (let i = 1; i <= 24; i++)
    await page.mouse.move(...at(0.67 - 0.07 * Math.cos((i * Math.PI) / 12), 0.55 + 0.1 * Math.sin((i * Math.PI) / 12)))
  await expect(page.locator('[data-test="sketch"]')).toContainText('This area')
  await page.mouse.up()
  await name('the boat')
  await page.keyboard.press('p')
  for (const [x, y] of [
    [0.02, 0.62],
    [0.3, 0.7],
    [0.55, 0.97],
    [0.02, 0.97]
  ] as const)
    await page.mouse.click(...at(x, y))
  await page.mouse.click(...at(0.02, 0.62))
  await name('foreground')
  await page.keyboard.press('b')
  await page.mouse.move(...at(0.05, 0.03))
  await page.mouse.down()
  await page.mouse.move(...at(0.95, 0.25), { steps: 5 })
  await page.mouse.up()
  await name('background')
  await expect(page.locator('[data-reading="value.planes"]')).toContainText('near')

  await page.keyboard.press('u')
  await expect(page.getByRole('button', { name: 'remove the area background' })).toHaveCount(0)
  await page.keyboard.press('y')
  await expect(page.getByRole('button', { name: 'remove the area background' })).toBeVisible()
  await page.getByRole('button', { name: 'reshape background' }).click()
  await page.mouse.move(...at(0.95, 0.25))
  await page.mouse.down()
  await page.mouse.move(...at(0.9, 0.33), { steps: 4 })
  await page.mouse.up()
  await page.getByRole('button', { name: 'keep the shape of background' }).click()
  await saved(page)
  const connection = await database()
  const [rows] = await connection.query<RowDataPacket[]>(
    'SELECT name, shape FROM areas WHERE submission_id = ? ORDER BY id',
    [id]
  )
  expect(rows).toMatchObject([
    { name: 'the boat', shape: { kind: 'polygon' } },
    { name: 'foreground', shape: { kind: 'polygon' } },
    { name: 'background', shape: { kind: 'rectangle' } }
  ])
  expect(rows[1]!.shape.points).toHaveLength(4)
  expect(rows[2]!.shape.x + rows[2]!.shape.w).toBeCloseTo(0.9, 1)
  await connection.end()
  await page.reload()
  await expect(page.getByRole('button', { name: 'remove the area the boat' })).toBeVisible()
  for (const [station, reading] of [
    ['temperature', 'temperature.area'],
    ['edges', 'edges.cutout']
  ] as const) {
    await page.goto(`/bench/${id}/${station}`)
    await expect(page.locator(`[data-reading="${reading}"]`).first()).toContainText('The boat')
  }
})

test('an area drawn with keys alone', async ({ page }) => {
  const id = await handedIn(
    await sharp({ create: { width: 400, height: 300, channels: 3, background: '#777777' } })
      .png()
      .toBuffer()
  )
  await open(page, `/bench/${id}/values`)
  await page.keyboard.press('p')
  for (const [key, times] of [
    ['ArrowLeft', 2],
    ['ArrowRight', 4],
    ['ArrowDown', 4],
    ['ArrowLeft', 4]
  ] as const) {
    for (let i = 0; i < times; i++) await page.keyboard.press(`Shift+${key}`)
    await page.keyboard.press(' ')
  }
  await page.keyboard.press('Enter')
  await page.getByLabel('What is it?').fill('the square')
  await page.keyboard.press('Enter')
  await saved(page)
  await page.getByRole('button', { name: 'reshape the square' }).click()
  for (const key of ['ArrowRight', 'ArrowRight', 'ArrowDown']) await page.keyboard.press(key)
  await page.getByRole('button', { name: 'keep the shape of the square' }).click()
  await saved(page)
  const connection = await database()
  await expect
    .poll(async () =>
      (
        await connection.query<RowDataPacket[]>('SELECT shape FROM areas WHERE submission_id = ?', [id])
      )[0][0]?.shape.points.map((p: number[]) => p.map(v => Math.round(100 * v)))
    )
    .toEqual([
      [42, 51],
      [62, 51],
      [62, 71],
      [42, 71]
    ])
  await connection.end()
})

/** What was planted in each demo picture (demo/manifest.ts), and the sentence that must name it. */
const PLANTED = [
  ['1/values', 'value.range', 'The range is narrow'],
  ['1/values', 'value.separation', 'The ferry merges with its surroundings'],
  ['3/values', 'value.black', 'Flat black fills'],
  ['6/harmony', 'harmony.proportion', 'No colour leads'],
  ['7/harmony', 'harmony.saturation', 'misses an accent'],
  ['8/focus', 'focus.intended', 'the upper right is before it'],
  ['9/temperature', 'temperature.balance', 'The picture leans warm'],
  ['9/light', 'light.leaves.ochre', 'Ochre leaves the light'],
  ['8/edges', 'edges.falloff', 'softer than in the rest']
] as const

test('every planted fault is named where it belongs', async ({ page }) => {
  for (const [where, reading, sentence] of PLANTED) {
    await page.goto(`/bench/${where}`)
    await expect(page.locator(`[data-reading="${reading}"]`).first(), where).toContainText(sentence)
  }
  await page.goto('/bench/10/values')
  await expect(page.getByText('of the file is transparent and left out of every number')).toBeVisible()
})

test('light: materials picked in the light and in the shadow, the one of another light named with its colour', async ({
  page
}) => {
  // One light halves and quarters the channels of four materials; the last one's shadow follows another ratio.
  const ratio = [0.3, 0.35, 0.45],
    materials = [
      [200, 120, 70],
      [90, 150, 110],
      [210, 200, 180],
      [120, 110, 190]
    ]
  const shadowOf = (rgb: number[], by: number[]): number[] =>
    rgb.map((byte, c) => convertLinearToByte(LINEAR_OF_BYTE[byte]! * by[c]!))
  const block = ([r, g, b]: number[], left: number, top: number) => ({
    input: { create: { width: 200, height: 300, channels: 3 as const, background: { r: r!, g: g!, b: b! } } },
    left,
    top
  })
  const file = await sharp({ create: { width: 800, height: 600, channels: 3, background: '#777777' } })
    .composite(
      materials.flatMap((m, i) => [
        block(m, 200 * i, 0),
        block(shadowOf(m, i === 3 ? [0.8, 0.2, 0.2] : ratio), 200 * i, 300)
      ])
    )
    .png()
    .toBuffer()
  const id = await handedIn(file)
  await open(page, `/bench/${id}/light`)
  const at = await placed(page)
  for (const [i, called] of ['clay', 'leaf', 'linen', 'slate'].entries()) {
    await page.getByLabel(/^Material/).fill(called)
    await page.getByRole('button', { name: 'pick it in the light, then in the shadow' }).click()
    await expect(page.getByText('click the material in the light')).toBeVisible()
    await page.mouse.click(...at(0.125 + 0.25 * i, 0.25))
    await expect(page.getByText('the same material in the shadow')).toBeVisible()
    await page.mouse.click(...at(0.125 + 0.25 * i, 0.75))
    await expect(page.getByRole('button', { name: `remove ${called}` })).toBeVisible()
  }
  const expected = `#${shadowOf(materials[3]!, ratio)
    .map(b => b.toString(16).padStart(2, '0'))
    .join('')}`
  await expect(page.locator('[data-reading="light.leaves.slate"]')).toContainText('Slate leaves the light')
  await expect(page.locator('[data-reading="light.leaves.slate"]')).toContainText(expected)
  await expect(page.locator('[data-reading^="light.leaves."]')).toHaveCount(1)
  await page.goto('/bench/9/light')
  await expect(page.locator('[data-reading="light.leaves.ochre"]')).toBeVisible()
})

test("focus: rivals, whites and vivid places listed; a route of stops read against the eye's own", async ({ page }) => {
  await open(page, '/bench/8/focus')
  await expect(page.getByText('What competes with it')).toBeVisible()
  await expect(page.locator('.focus')).toContainText('The upper right: its')
  const at = await placed(page)
  for (const [x, y] of [
    [0.84, 0.05],
    [0.02, 0.02]
  ] as const) {
    await page.getByRole('button', { name: /^add stop/ }).click()
    await page.mouse.move(...at(x, y))
    await page.mouse.down()
    await page.mouse.move(...at(x + 0.13, y + 0.26), { steps: 4 })
    await page.mouse.up()
    await saved(page)
  }
  await expect(page.locator('[data-reading="focus.route"]')).toContainText('It passes by stop 2.')
})

test("values: groups by hand, flat black with what to mix instead, the greys' disagreement", async ({ page }) => {
  await open(page, '/bench/3/values')
  await page.getByRole('slider', { name: /How many values/ }).fill('2')
  await expect(picture(page)).toHaveAttribute('data-lens', 'groups')
  await expect(page.getByText('in two values')).toBeVisible()
  await expect(page.getByText('Instead of flat black, mix')).toBeVisible()
  await expect(page.getByRole('link', { name: /^How do I get #/ }).first()).toHaveAttribute('href', /workshop\?want=/)
  const black = await takeReading(page, 'value.black')
  await expect(black.getByRole('link', { name: 'mix one instead' })).toHaveAttribute('href', /dark=\d+&piece=3$/)
  await expect(page.locator('[data-reading="value.greys"]')).toContainText(/L\*/)
  await page.goto('/bench/5/values')
  await expect(page.locator('[data-reading="value.reference"]')).toContainText('reference')
  await page.keyboard.press('v')
  const reference = page.locator('canvas[data-which="reference"]')
  await expect(reference).toHaveAttribute('data-lens', 'plain')
  await page.keyboard.press('2')
  await expect(reference).toHaveAttribute('data-lens', 'grey')
  await page.keyboard.press('v')
  await expect(reference).toBeHidden()
  await page.locator('.wall').click({ position: { x: 60, y: 300 } })
  await page.keyboard.down(' ')
  await expect(reference).toBeVisible()
  await page.keyboard.up(' ')
  await expect(reference).toBeHidden()
  await page.keyboard.press('n')
  await expect(page).not.toHaveURL(/bench\/5\//)
})

test('harmony: another wheel in place, the scheme turned by hand, amounts against what would balance', async ({
  page
}) => {
  await open(page, '/bench/6/harmony')
  await expect(page.getByRole('img', { name: /would balance/ }).first()).toBeVisible()
  const rotation = page.getByRole('slider', { name: 'Rotation of the scheme in degrees' }),
    cover = page.locator('.ranking [aria-pressed="true"] .share')
  const before = Number.parseInt(await cover.innerText())
  await rotation.fill(String((Number(await rotation.inputValue()) + 60) % 360))
  await expect(picture(page)).toHaveAttribute('data-lens', 'off-scheme')
  await expect.poll(async () => Number.parseInt(await cover.innerText())).toBeLessThan(before)
  await page.getByRole('radio', { name: 'process' }).click()
  await expect(page.getByRole('radio', { name: 'process' })).toBeChecked()
  await expect(page.locator('.palette')).toContainText(/azure|rose|chartreuse|cyan|magenta|spring-green|red|orange/)
})
