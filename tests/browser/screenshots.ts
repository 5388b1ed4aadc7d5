/**
 * Refreshes docs/screenshots from a running `bin/start` with fresh demo data: `npm run screenshots`.
 */
import { chromium, type Page } from '@playwright/test'
import { LETTERS } from '../../demo/letters'
import { DEMO_PASSWORD } from '../../demo/people'
import { renderPiece } from '../../demo/render'
import { Person } from '../api/client'
import { callWith, type GuestPiece } from '../api/guests'
import { photographedPiece } from '../photos/photographed'
import { filledSheet } from '../sheets/filled'
import { takeReading } from './bench-page'

const ORIGIN = process.env.CRITICA_TEST_ORIGIN ?? 'http://127.0.0.1:3000'

interface Shot {
  readonly file: string
  readonly who: string | null
  readonly path: string
  readonly ready: string
  readonly then?: (page: Page) => Promise<void>
}

/** Joss's sheet of his own exercise. */
const photographOfSheet = async (): Promise<Buffer> =>
  (await filledSheet({ exercise: 'opposites', settings: { hue: 300 }, number: 4, name: 'Joss Pender' })).jpeg

/** Pieces that nobody of the class made. */
const guestPieces = async (): Promise<GuestPiece[]> =>
  Promise.all(
    (['Wren', 'Rowan', 'Linnet'] as const).map(async (name, i) => ({
      title: ['Before the wind', 'Two sails, low sun', 'At the ramp'][i]!,
      name,
      email: `${name}@elsewhere.example`,
      named: i !== 2,
      question: ['Does the sail lead?', 'Is the water too busy?', ''][i]!,
      picture: await renderPiece(LETTERS.flatMap(l => l.pictures)[i]!.piece)
    }))
  )

const SHOTS: readonly Shot[] = [
  { file: 'versions', who: 'tamsin', path: '/versions/18', ready: 'canvas[data-lens="plain"]' },
  { file: 'progress', who: 'tamsin', path: '/progress/7', ready: '.over-time canvas' },
  { file: 'inbox', who: 'tamsin', path: '/inbox', ready: 'article img' },
  {
    file: 'session',
    who: 'tamsin',
    path: '/calls',
    ready: 'form',
    then: async page => {
      const { call } = await callWith(await Person.signedIn('tamsin'), 'Small boats', await guestPieces())
      await page.goto(`/desk?call=${call.classId}`)
      await page.getByRole('button', { name: 'Hold the session' }).click()
      await page.getByRole('button', { name: 'Begin' }).click()
      await page.getByLabel('Said of it').fill('The sail is seen first, as it was meant. Let the hills be one tone.')
      await page.getByRole('link', { name: 'Focus' }).click()
      await page.locator('[data-reading]').first().waitFor()
    }
  },
  { file: 'desk', who: 'tamsin', path: '/desk', ready: '.fingerprint' },
  {
    file: 'bench-first-look',
    who: 'tamsin',
    path: '/bench/10/first-look',
    ready: 'text=Where did your eye go first?',
    then: async page => {
      await page.getByRole('button', { name: 'show it on the picture' }).click()
      await page.mouse.click(540, 360)
      await page.locator('[data-reading="first-look.eye"]').waitFor()
    }
  },
  {
    file: 'bench-values',
    who: 'tamsin',
    path: '/bench/1/values',
    ready: '[data-reading="value.separation"]',
    then: async page => {
      await page.keyboard.press('2')
      await page.mouse.move(520, 420)
    }
  },
  { file: 'bench-harmony', who: 'tamsin', path: '/bench/6/harmony', ready: '.ranking' },
  {
    file: 'bench-focus',
    who: 'tamsin',
    path: '/bench/8/focus',
    ready: '[data-reading="focus.intended"]',
    then: async page => {
      await takeReading(page, 'focus.intended')
    }
  },
  { file: 'bench-verdict', who: 'tamsin', path: '/bench/1/verdict', ready: '.corrections' },
  {
    file: 'bench-trial',
    who: 'tamsin',
    path: '/bench/1/values',
    ready: '[data-reading="value.separation"]',
    then: async page => {
      await page.getByRole('button', { name: 'V1', exact: true }).click()
      await page.getByRole('button', { name: 'try it' }).click()
      await page.getByRole('slider', { name: 'lower the value, lift it' }).fill('-20')
      await page.getByText('The target is reached').waitFor()
      await page.locator('canvas[data-tried="1"]').waitFor()
      await page.keyboard.press('c')
    }
  },
  {
    file: 'hand-in',
    who: 'ada',
    path: '/hand-in',
    ready: 'form',
    then: async page => {
      const { jpeg } = await photographedPiece('lemons')
      await page
        .locator('input[type=file]')
        .first()
        .setInputFiles({ name: 'table.jpg', mimeType: 'image/jpeg', buffer: jpeg })
      await page.getByText('Straightened.').waitFor()
      await page.getByRole('button', { name: 'set its corners' }).click()
      await page.waitForTimeout(1000)
    }
  },
  {
    file: 'critique',
    who: 'ada',
    path: '/critique/11',
    ready: '.tag',
    then: async page => {
      await page.getByRole('button', { name: /hold to see/ }).focus()
      await page.keyboard.down(' ')
    }
  },
  {
    file: 'exercises',
    who: 'tamsin',
    path: '/exercises',
    ready: '.boards',
    then: async page => {
      await page.getByRole('button', { name: 'Triad' }).click()
      await page.locator('.sheet svg').waitFor()
    }
  },
  { file: 'exercise-wall', who: 'tamsin', path: '/exercises/sets/1', ready: '.wall img' },
  {
    file: 'workshop',
    who: 'ada',
    path: '/workshop?want=3d3d52',
    ready: '.ways li',
    then: async page => {
      await page.getByRole('button', { name: 'ultramarine', exact: true }).click()
      await page.getByRole('button', { name: 'warm yellow', exact: true }).click()
      await page.getByText('4 : 4').waitFor()
    }
  },
  {
    file: 'workshop-values',
    who: 'ada',
    path: '/workshop/values',
    ready: '.own img',
    then: async page => {
      await page.locator('.own button').nth(1).click()
      await page.getByText(/values stand at/).waitFor()
    }
  },
  {
    file: 'workshop-drill',
    who: 'ada',
    path: '/workshop/drills',
    ready: '.drills',
    then: async page => {
      await page.getByRole('button', { name: 'go on without looking' }).click()
      await page.getByText('inside a colour').click()
      await page.getByRole('button', { name: 'Once more' }).click()
      await page.locator('.field').waitFor()
    }
  },
  {
    file: 'worksheet',
    who: 'joss',
    path: '/exercises/4/sheet',
    ready: 'input[type=file]',
    then: async page => {
      await page
        .locator('input[type=file]')
        .setInputFiles({ name: 'sheet.jpg', mimeType: 'image/jpeg', buffer: await photographOfSheet() })
      await page.locator('[data-box]').first().waitFor()
    }
  }
]

const browser = await chromium.launch({
  executablePath: '/usr/bin/chromium',
  args: ['--no-sandbox', '--disable-gpu', '--disable-background-networking']
})
for (const { file, who, path, ready, then } of SHOTS) {
  const page = await browser.newPage({ baseURL: ORIGIN, viewport: { width: 1280, height: 800 } })
  if (who)
    await page.request.post('/api/session', { data: { login: `${who}@harbour.example`, password: DEMO_PASSWORD } })
  await page.goto(path)
  await page.locator(ready).first().waitFor()
  await page.waitForTimeout(1500) // pictures, lenses and charts
  await then?.(page)
  await page.waitForTimeout(600)
  await page.screenshot({ path: new URL(`../../docs/screenshots/${file}.png`, import.meta.url).pathname })
  await page.close()
  console.log(file)
}
await browser.close()
