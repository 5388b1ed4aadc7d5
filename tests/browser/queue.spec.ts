/** A queue of pieces goes fast: few clicks, few keys, and what the critic does often is offered. */
import { expect, test, type Page } from '@playwright/test'
import sharp from 'sharp'
import { Person } from '../api/client'
import { handedIn, open, saved, signIn, takeReading } from './bench-page'

/** Narrow, divided in half, and flat black as a hole in it: three things to say first. */
const troubled = (shade = 0): Promise<Buffer> =>
  sharp({ create: { width: 480, height: 360, channels: 3, background: '#8f9aa3' } })
    .composite([
      { input: { create: { width: 480, height: 180, channels: 3, background: '#6f7a84' } }, left: 0, top: 180 },
      {
        input: { create: { width: 110, height: 120, channels: 3, background: '#040404' } },
        left: 40 + shade,
        top: 220
      },
      { input: { create: { width: 60, height: 50, channels: 3, background: '#c8743a' } }, left: 300, top: 230 }
    ])
    .png()
    .toBuffer()

/** Releases from the verdict with what is offered, counting what the hand does. */
async function release(page: Page, press: (name: string | RegExp) => Promise<void>): Promise<void> {
  const first = page.getByRole('region', { name: 'What I would say first' })
  await expect(first.getByRole('listitem')).not.toHaveCount(0)
  const offered = await first.getByRole('listitem').count()
  await press(offered > 1 ? /^mark all/ : 'mark it')
  await expect(page.locator('.corrections li')).toHaveCount(offered)
  await press('propose words from what is marked and read')
  await expect(page.getByRole('textbox', { name: 'Verdict and the next step' })).toContainText('Begin with')
  await press(/^Release to/)
  await press('Release')
  await expect(page.getByText(/Released on/)).toBeVisible()
}

test('from opening a piece to its release with what is offered: under 12 clicks', async ({ page }) => {
  await signIn(page)
  const id = await handedIn(await troubled())
  await open(page, `/bench/${id}/values`)
  let clicks = 0
  const click = async (name: string | RegExp): Promise<void> => {
    clicks++
    await page
      .getByRole('button', { name, exact: typeof name === 'string' })
      .last()
      .click()
  }
  clicks++
  await page.getByRole('navigation', { name: 'Stations' }).getByRole('link', { name: 'Verdict' }).click()
  await release(page, click)
  expect(clicks).toBeLessThan(12)
})

test('the same without the mouse: under 40 keys', async ({ page }) => {
  await signIn(page)
  const id = await handedIn(await troubled(10))
  await open(page, `/bench/${id}/values`)
  let keys = 0
  const press = async (key: string): Promise<void> => {
    keys++
    await page.keyboard.press(key)
  }
  await press('e')
  await expect(page).toHaveURL(/verdict$/)
  /** Tabs on until the button has the focus. */
  await release(page, async name => {
    const button = page.getByRole('button', { name, exact: typeof name === 'string' }).last()
    await expect(button).toBeVisible()
    while (!(await button.evaluate(b => b === document.activeElement))) {
      if (keys > 60) throw new Error(`${name} is not reached by keys`)
      await press('Tab')
    }
    await press('Enter')
  })
  expect(keys).toBeLessThan(40)
})

test('what is said of places is marked there, in one gesture that can be undone', async ({ page }) => {
  await signIn(page)
  const id = await handedIn(await troubled(20))
  await open(page, `/bench/${id}/values`)
  const black = await takeReading(page, 'value.black')
  await expect(page.locator('canvas.picture[data-which="own"]')).toHaveAttribute('data-lens', 'near-black')
  await black.getByRole('button', { name: 'mark it' }).click()
  await expect(black).toContainText('marked V1')
  await saved(page)
  const kept = (await (await page.request.get(`/api/submissions/${id}/critique`)).json()) as {
    corrections: { area: { kind: string; points: [number, number][] } | null }[]
  }
  expect(kept.corrections[0]!.area!.kind).toBe('polygon')
  // About the middle of the black, which spans 60–170 of 480 and 220–340 of 360.
  const xs = kept.corrections[0]!.area!.points.map(p => p[0])
  expect((Math.min(...xs) + Math.max(...xs)) / 2).toBeCloseTo(115 / 480, 1)
  await page.keyboard.press('u')
  await expect(black.getByRole('button', { name: 'mark it' })).toBeVisible()
})

test('a margin is found, said once, and counted in by one click', async ({ page }) => {
  await signIn(page)
  const id = await handedIn(
    await sharp({ create: { width: 600, height: 460, channels: 3, background: '#f6f4ee' } })
      .composite([
        {
          input: await sharp(await troubled())
            .png()
            .toBuffer(),
          left: 60,
          top: 50
        }
      ])
      .png()
      .toBuffer()
  )
  await open(page, `/bench/${id}/values`)
  await expect(page.getByText('The margin is part of the file: measured without it.')).toBeVisible()
  const rule = page.getByText(/: range \d+$/),
    without = await rule.textContent()
  await page.getByRole('button', { name: 'count it in' }).click()
  await expect(page.getByText('A margin is measured with the picture.')).toBeVisible()
  await expect(rule).not.toHaveText(without!)
  await page.getByRole('button', { name: 'leave it out' }).click()
  await expect(rule).toHaveText(without!)
})

test('a reading set aside three times in a class offers to change the standard it comes from', async ({ page }) => {
  await signIn(page)
  const tamsin = await Person.signedIn('tamsin')
  let last = 0
  for (let i = 0; i < 3; i++) {
    last = await handedIn(await troubled(30 + i))
    if (i < 2)
      await tamsin.json('PUT', `/submissions/${last}/notes`, { judged: [{ key: 'value.black', verdict: 'dismissed' }] })
  }
  await open(page, `/bench/${last}/values`)
  const black = await takeReading(page, 'value.black')
  await black.getByRole('button', { name: 'why' }).click()
  await expect(black).toContainText('Judged at 2 %, the house standard')
  await black.getByRole('button', { name: 'judge it otherwise' }).click()
  await black.getByRole('button', { name: 'set aside' }).click()
  await page.getByRole('button', { name: /set aside \w+ times in this class/ }).click()
  await expect(page.getByRole('dialog')).toBeVisible()
})
