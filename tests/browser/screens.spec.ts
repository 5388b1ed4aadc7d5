/** Every screen: no serious accessibility violation, no page scrollbar on the bench, the picture large. */
import { expect, test } from '@playwright/test'
import { DEMO_PASSWORD } from '../../demo/people'
import { accessible, takeReading } from './bench-page'

const SCREENS: readonly (readonly [who: string, path: string, ready: string])[] = [
  ['tamsin', '/desk', '.piece'],
  ['tamsin', '/bench/2/first-look', '.question'],
  ['tamsin', '/bench/1/values', '[data-reading="value.separation"]'],
  ['tamsin', '/bench/8/focus', '[data-reading="focus.intended"]'],
  ['tamsin', '/bench/9/temperature', '[data-reading="temperature.balance"]'],
  ['tamsin', '/bench/1/harmony', '.ranking'],
  ['tamsin', '/bench/9/light', '[data-reading="light.leaves.ochre"]'],
  ['tamsin', '/bench/8/edges', '[data-reading="edges.falloff"]'],
  ['tamsin', '/bench/1/verdict', '.corrections'],
  ['tamsin', '/exercises', 'li'],
  ['ada', '/work', '.piece'],
  ['ada', '/critique/11', '.tag'],
  ['ada', '/exercises/1', '[data-check]'],
  ['ada', '/hand-in', 'form']
]

test('the door', async ({ page }) => {
  await page.goto('/')
  await expect(page.getByRole('button', { name: 'Tamsin Vane' })).toBeVisible()
  await accessible(page)
})

for (const [who, path, ready] of SCREENS) {
  test(`${path} for ${who}`, async ({ page }) => {
    const errors: string[] = []
    page.on('pageerror', error => errors.push(error.message))
    await page.request.post('/api/session', { data: { email: `${who}@harbour.example`, password: DEMO_PASSWORD } })
    await page.goto(path)
    await expect(page.locator(ready).first()).toBeVisible()
    await accessible(page)
    expect(errors).toEqual([])
    if (path.startsWith('/bench')) {
      const box = (await page.locator('.wall').boundingBox())!
      expect(box.width / 1280).toBeGreaterThan(0.55)
      expect(await page.evaluate(() => document.documentElement.scrollHeight)).toBeLessThanOrEqual(800)
    }
  })
}

test('a lens shows within 300 ms of asking, and an area is read while the hand moves', async ({ page }) => {
  await page.request.post('/api/session', { data: { email: 'tamsin@harbour.example', password: DEMO_PASSWORD } })
  await page.goto('/bench/5/values')
  await expect(page.locator('canvas[data-lens="plain"]')).toBeVisible()
  const lens = await page.evaluate(async () => {
    const start = performance.now()
    document.dispatchEvent(new KeyboardEvent('keydown', { key: '2', bubbles: true }))
    while (!document.querySelector('canvas[data-lens="grey"]')) await new Promise(requestAnimationFrame)
    return performance.now() - start
  })
  console.log(`lens shown after ${lens.toFixed(0)} ms`)
  expect(lens).toBeLessThan(300)
})

test('the focus station names what takes the eye, and shows the route on the picture', async ({ page }) => {
  await page.request.post('/api/session', { data: { email: 'tamsin@harbour.example', password: DEMO_PASSWORD } })
  await page.goto('/bench/8/focus')
  const intended = page.locator('[data-reading="focus.intended"]')
  await expect(intended).toContainText('the upper right')
  await takeReading(page, 'focus.intended')
  await expect(page.locator('canvas[data-lens="attention"]')).toBeVisible()
  await expect(page.locator('[data-reading="focus.path"]')).toContainText('The eye goes first to')
})
