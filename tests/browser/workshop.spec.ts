/**
 * The workshop as a learner uses it: a box, a mixture, a recipe, the book; values before colour; a drill to its end.
 */
import { expect, test, type Page } from '@playwright/test'
import { pieceNamed } from '../../demo/manifest'
import { renderPiece } from '../../demo/render'
import { mixtureOf } from '../../core/paint/mixture'
import { workshopSchema } from '../../shared/workshop'
import { database } from '../api/client'
import { enrol, newAccount, newClass } from '../people'
import { accessible } from './bench-page'

const stamp = Date.now().toString(36),
  password = 'grey-heron-lamp',
  learner = `mixes-${stamp}@mix.example`

test.beforeAll(async () => {
  const connection = await database(),
    teacher = await newAccount(connection, {
      email: `shows-${stamp}@mix.example`,
      name: 'Sedge',
      password,
      house: 'instructor'
    }),
    classId = await newClass(connection, `Workshop ${stamp}`, teacher),
    accountId = await newAccount(connection, { email: learner, name: 'Moss', password })
  await enrol(connection, { classId, accountId })
  await connection.end()
})
test.beforeEach(({ page }) => page.request.post('/api/session', { data: { login: learner, password } }))

async function add(page: Page, name: string): Promise<void> {
  await page.getByRole('button', { name: 'add one' }).click()
  await page.getByLabel('Name').fill(name)
  await page
    .getByRole('option', { name: new RegExp(`^${name}\\s*P[A-Za-z]+\\d`) })
    .first()
    .click()
  await page.getByRole('button', { name: 'Keep it' }).click()
  await expect(page.getByRole('button', { name, exact: true })).toBeVisible()
}

test('a box is filled, two paints are mixed, a wanted colour gets its recipes, and the book keeps them', async ({
  page
}) => {
  test.setTimeout(90_000)
  await page.goto('/workshop')
  await expect(page.getByText('What do you paint or draw with?')).toBeVisible()
  for (const name of ['ultramarine', 'burnt sienna', 'titanium white']) await add(page, name)
  await page.getByRole('button', { name: 'Keep it' }).waitFor({ state: 'detached' })
  // A cadmium comes by a list: its caution comes along.
  await page.getByLabel('A list of paints').setInputFiles({
    name: 'box.csv',
    mimeType: 'text/csv',
    buffer: Buffer.from('name,medium,pigment,masstone,tint\nmy yellow,gouache,PY35,#f6c416,#fbedbb\n')
  })
  await expect(page.getByText('Cadmium pigments are toxic')).toBeVisible()
  await page.getByLabel('A list of paints').setInputFiles({
    name: 'no.csv',
    mimeType: 'text/csv',
    buffer: Buffer.from('name,masstone\nmy yellow,yellow\n')
  })
  await expect(page.getByText('Row 2: This is not a colour')).toBeVisible()

  // A slip of the hand is made good.
  await page.getByRole('button', { name: 'Take out my yellow' }).click()
  await expect(page.getByText('Taken out: my yellow.')).toBeVisible()
  await page.getByRole('button', { name: 'put it back' }).click()
  await page.getByRole('button', { name: 'ultramarine', exact: true }).click()
  await page.getByRole('button', { name: 'my yellow', exact: true }).click()
  await expect(page.getByRole('heading', { name: 'Ultramarine and my yellow' })).toBeVisible()
  await expect(page.getByText('4 : 4')).toBeVisible()
  await page.getByRole('button', { name: 'More my yellow' }).click()
  await page.getByRole('button', { name: 'More my yellow' }).click()
  await page.getByRole('button', { name: 'keep it' }).click()
  await expect(page.getByText('1 ultramarine · 3 my yellow')).toBeVisible()

  await page.getByLabel('The wanted colour').fill('#3d3d52')
  const ways = page.locator('.ways li')
  await expect(ways).toHaveCount(3)
  await expect(ways.first()).toContainText('ultramarine')
  await expect(ways.first()).toContainText(/same|little/)
  await accessible(page)

  await page.getByText('Muted on purpose').click()
  await expect(page.getByRole('heading', { name: 'Muted on purpose' })).toBeVisible()
  await page.getByRole('button', { name: 'ultramarine', exact: true }).click()
  await expect(page.getByText(/value held at 3\d/)).toBeVisible()
  await page.getByText('A dark without black').click()
  await expect(page.getByText(/neutral .*burnt sienna/)).toBeVisible()
  await page.getByText('My wheel').click()
  await expect(page.getByText(/^Not reached: .*red/)).toBeVisible()
  await accessible(page)
  await page.reload()
  await expect(page.getByLabel('Kept swatches').getByRole('button')).toHaveCount(1)
  const download = page.waitForEvent('download')
  await page.getByRole('button', { name: 'take it as .gpl' }).click()
  expect((await download).suggestedFilename()).toBe('my-paints.gpl')
})

test('a colour is picked off a photographed swatch, freed of its light by the paper beside it', async ({ page }) => {
  await page.goto('/workshop')
  // Warm paper at the left, one paint, its tint: under a lamp.
  const { default: sharp } = await import('sharp')
  const strip = (hex: string, left: number) => ({
    input: { create: { width: 200, height: 300, channels: 3 as const, background: hex } },
    left,
    top: 0
  })
  const buffer = await sharp({ create: { width: 600, height: 300, channels: 3, background: '#f0d8b0' } })
    .composite([strip('#f0d8b0', 0), strip('#7a5a40', 200), strip('#d0b090', 400)])
    .png()
    .toBuffer()
  await page.getByRole('button', { name: 'add one' }).click()
  await page.getByLabel('Name').fill('shed brown')
  await page.getByRole('button', { name: 'read a photographed swatch' }).click()
  await page
    .getByRole('dialog')
    .getByLabel('A picture')
    .setInputFiles({ name: 'swatch.png', mimeType: 'image/png', buffer })
  const canvas = page.getByRole('application')
  for (const x of [0.15, 0.5, 0.85]) {
    const box = (await canvas.boundingBox())!
    await canvas.click({ position: { x: x * box.width, y: box.height / 2 } })
  }
  // Against the warm paper the brown is cooler than it was photographed.
  const own = page.locator('input[type=color]').first()
  await expect(own).not.toHaveValue('#777777')
  const hex = await own.inputValue(),
    [r, , b] = [1, 3, 5].map(i => parseInt(hex.slice(i, i + 2), 16))
  expect(r! - b!).toBeLessThan(0x7a - 0x40)
  await page.getByRole('button', { name: 'Keep it' }).click()
  await expect(page.getByRole('button', { name: 'shed brown', exact: true })).toBeVisible()
})

test('painted mixtures that turned out otherwise correct the paint that explains them', async ({ page }) => {
  const own = (name: string, masstone: string, tint: string | null) => ({
      name,
      medium: 'gouache',
      pigment: '',
      masstone,
      tint
    }),
    strong = own('deep blue', '#1f2a86', '#b3bedf'),
    light = own('plain white', '#f8f8f5', '#f8f8f5')
  await page.request.post('/api/workshop/paints', { data: { paints: [strong, light] } })
  // Twice as strong on paper as its tint says.
  for (const [blue, white] of [
    [1, 4],
    [1, 9]
  ] as const) {
    const gave = mixtureOf([
      { paint: strong, amount: 2 * blue },
      { paint: light, amount: white }
    ])!
    const parts = [
      { name: 'deep blue', masstone: strong.masstone, tint: strong.tint, parts: blue },
      { name: 'plain white', masstone: light.masstone, tint: light.tint, parts: white }
    ]
    const kept = await page.request.post('/api/workshop/swatches', {
      data: { kind: 'mixture', hexes: ['#b3bedf'], parts, note: '' }
    })
    const { id } = (await kept.json()) as { id: number }
    await page.request.put(`/api/workshop/swatches/${id}`, { data: { read: gave } })
  }
  await page.goto('/workshop')
  await expect(page.getByText(/Your deep blue is of another strength/)).toBeVisible()
  await page.getByRole('button', { name: 'correct my paints by this' }).click()
  await expect(page.getByText(/of another strength/)).toBeHidden()
  const { paints } = workshopSchema.parse(await (await page.request.get('/api/workshop')).json()),
    tint = paints.find(p => p.name === 'deep blue')!.tint!
  expect(parseInt(tint.slice(1, 3), 16)).toBeLessThan(0xa0)
})

test('values stand while colours change, a try is kept as a study, and framings are read', async ({ page }) => {
  test.setTimeout(90_000)
  const paints = ['#1f2a86', '#f3e33a', '#d4372c', '#7d4428', '#f8f8f5'].map((masstone, i) => ({
    name: `own ${i}`,
    medium: 'gouache',
    pigment: '',
    masstone,
    tint: null
  }))
  await page.request.post('/api/workshop/paints', { data: { paints } })
  await page.goto('/workshop/values')
  const buffer = await renderPiece(pieceNamed('slipway'))
  await page.getByLabel('A picture').setInputFiles({ name: 'slipway.png', mimeType: 'image/png', buffer })
  await expect(page.getByText(/values stand at \d+ · \d+ · \d+/)).toBeVisible()
  const first = page.getByRole('img', { name: 'In the scheme, 1' }),
    middle = () =>
      first.evaluate((c: HTMLCanvasElement) => [
        ...c.getContext('2d')!.getImageData(c.width / 2, c.height / 2, 1, 1).data
      ])
  const before = await middle()
  await page.getByRole('slider', { name: 'Key colour' }).fill('30')
  await expect.poll(middle).not.toEqual(before)
  await page.getByRole('button', { name: 'keep it as a study' }).first().click()
  await expect(page.getByText('Kept with your studies.')).toBeVisible({ timeout: 20_000 })
  await accessible(page)
  await page.getByText('Five palettes').click()
  await expect(page.getByText('earths and a blue').or(page.getByText('two opposites')).first()).toBeVisible()
  await page.getByText('Framings').click()
  await expect(page.getByText('centred')).toBeVisible({ timeout: 30_000 })
  await page.getByRole('button', { name: 'draw three shapes instead' }).click()
  const paper = page.getByRole('application', { name: /^Three shapes/ }),
    box = (await paper.boundingBox())!
  await page.mouse.move(box.x + 60, box.y + 60)
  await page.mouse.down()
  for (const [x, y] of [
    [200, 60],
    [200, 120],
    [200, 200],
    [130, 200],
    [60, 200],
    [60, 150],
    [60, 100],
    [60, 80]
  ] as const)
    await page.mouse.move(box.x + x, box.y + y)
  await page.mouse.up()
  await expect(page.getByText('shape 1: value 72')).toBeVisible()
  // The second by keys alone.
  await paper.focus()
  for (const key of ['ArrowRight', ' ', 'ArrowDown', 'ArrowDown', ' ', 'ArrowLeft', 'ArrowLeft', ' ', 'Enter'])
    await page.keyboard.press(key)
  await expect(page.getByText('shape 2: value 48')).toBeVisible()
  await accessible(page)
  await expect(first).toBeVisible()
})

test('a drill goes through the screen check to a threshold', async ({ page }) => {
  test.setTimeout(90_000)
  await page.goto('/workshop/drills')
  await expect(page.getByRole('heading', { name: 'First, the screen' })).toBeVisible()
  await accessible(page)
  await page.getByRole('radiogroup', { name: 'Squares in the black' }).getByText('three').click()
  await page.getByRole('radiogroup', { name: 'Squares in the white' }).getByText('all four').click()
  await page.getByRole('button', { name: 'Patch 2.2' }).click()
  await page.getByText('lamps, none of them').click()
  await page.getByRole('button', { name: 'How many values' }).click()
  await page.getByRole('button', { name: 'Begin' }).click()
  for (let n = 1; n <= 24; n++) {
    await expect(page.getByText('How many values are there?')).toBeVisible()
    // Counted as a machine counts: every patch's own grey.
    const greys = await page
      .locator('.field > i')
      .evaluateAll(all => new Set(all.map(i => getComputedStyle(i).backgroundColor)).size)
    await page.keyboard.press(String(greys - 2))
    if (n < 24) await expect(page.getByRole('progressbar')).toHaveAttribute('aria-valuenow', String(n))
  }
  await expect(page.getByText(/^0\.\d L\* between neighbours, and you count the values/)).toBeVisible()
  await page.reload()
  await expect(page.getByRole('button', { name: /How many values\s*0\.\d L\*/ })).toBeVisible()
})
