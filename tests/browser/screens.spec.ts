/** Every screen: no serious accessibility violation, no page scrollbar on the bench, the picture large. */
import { expect, test } from '@playwright/test'
import { DEMO_PASSWORD } from '../../demo/people'
import { accessible, open, picture, signIn, takeReading } from './bench-page'

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
  ['tamsin', '/exercises/1', '[data-check]'],
  ['tamsin', '/exercises/sets/1', '.wall img'],
  ['tamsin', '/exercises/record/1', '.open-table tr'],
  ['joss', '/exercises/4/plan', '.tries'],
  ['joss', '/exercises/4/sheet', 'input[type=file]'],
  ['tamsin', '/outbox', 'article'],
  ['tamsin', '/inbox', 'article img'],
  ['tamsin', '/classes', 'li'],
  ['tamsin', '/classes/1', '.open-table tr'],
  ['tamsin', '/critique/1', '.preview'],
  ['tamsin', '/versions/18', '.landed'],
  ['tamsin', '/progress/7', '.over-time'],
  ['tamsin', '/progress/class/1', 'tbody tr'],
  ['tamsin', '/photograph/3', 'img'],
  ['tamsin', '/calls', '.calls'],
  ['tamsin', '/workshop', '.paint'],
  ['tamsin', '/workshop/drills', 'tbody tr'],
  ['tamsin', '/nowhere', 'h1'],
  ['ada', '/work', '.piece'],
  ['ada', '/critique/11', '.tag'],
  ['ada', '/exercises/1', '[data-check]'],
  ['ada', '/hand-in', 'form'],
  ['ada', '/studies', 'form'],
  ['ada', '/workshop', '.kept button'],
  ['ada', '/workshop/values', '.own img'],
  ['ada', '/workshop/drills', '.drills'],
  ['ada', '/account', 'form']
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
    await page.request.post('/api/session', { data: { login: `${who}@harbour.example`, password: DEMO_PASSWORD } })
    await page.goto(path)
    await expect(page.locator(ready).first()).toBeVisible()
    await accessible(page)
    expect(errors).toEqual([])
    expect(await page.evaluate(() => document.documentElement.scrollWidth)).toBeLessThanOrEqual(1280)
    if (path.startsWith('/bench')) {
      const box = (await page.locator('.wall').boundingBox())!
      expect(box.width / 1280).toBeGreaterThan(0.55)
      expect(await page.evaluate(() => document.documentElement.scrollHeight)).toBeLessThanOrEqual(800)
    }
  })
}

test('what opens over a screen is accessible too: house standards, the list of keys, a correction', async ({
  page
}) => {
  await signIn(page)
  await open(page, '/bench/1/values')
  await page.getByRole('button', { name: 'standards' }).click()
  await expect(page.getByRole('dialog')).toContainText('A full range')
  await accessible(page, '[role="dialog"]')
  await page.getByLabel('A full range').fill('3')
  await page.getByLabel('A full range').blur()
  await expect(page.getByRole('alert')).toContainText('A full range must be wider than a moderate one.')
  // What is wrong is not left behind unseen.
  await page.getByRole('button', { name: 'Done' }).click()
  await expect(page.getByLabel('A full range')).toBeFocused()
  await page.getByLabel('A full range').fill('70')
  await page.getByRole('button', { name: 'Done' }).click()
  await expect(page.getByRole('dialog')).toBeHidden()
  await page.keyboard.press('?')
  await expect(page.getByRole('dialog')).toContainText('next station')
  await accessible(page, '[role="dialog"]')
  await page.keyboard.press('Escape')
  await page.keyboard.press('m')
  const form = page.getByRole('form', { name: 'Correction' })
  await expect(form.getByLabel('What is wrong')).toBeFocused()
  await form.getByRole('button', { name: 'Mark it' }).click()
  await expect(form.getByRole('alert').filter({ hasText: 'Say what is wrong.' })).toBeVisible()
  await accessible(page)
  await page.keyboard.press('Escape')
})

test('one of several is chosen by arrow keys: shelves, lenses, wheels', async ({ page }) => {
  await signIn(page)
  await page.goto('/desk')
  await page.getByRole('tab', { name: 'To review' }).focus()
  await page.keyboard.press('ArrowRight')
  await expect(page.getByRole('tab', { name: 'Exercises to confirm' })).toBeFocused()
  await page.keyboard.press('Enter')
  await expect(page.getByRole('tab', { name: 'Exercises to confirm' })).toHaveAttribute('aria-selected', 'true')
  await open(page, '/bench/1/harmony')
  await page.getByRole('radiogroup', { name: 'Wheel' }).getByRole('radio', { name: 'painter' }).focus()
  await page.keyboard.press('ArrowRight')
  await expect(page.getByRole('radio', { name: 'process' })).toBeChecked()
  await page.getByRole('radiogroup', { name: 'Lens' }).getByRole('radio').first().focus()
  await page.keyboard.press('ArrowRight')
  await expect(picture(page)).not.toHaveAttribute('data-lens', 'plain')
  // A lens just chosen takes neither the space bar nor the keys of the route.
  await page.keyboard.down(' ')
  await expect(picture(page)).toHaveAttribute('data-lens', 'plain')
  await page.keyboard.up(' ')
  await page.keyboard.press('.')
  await expect(page).toHaveURL(/light$/)
})

test.describe('on a phone', () => {
  test.use({ viewport: { width: 390, height: 844 }, hasTouch: true, isMobile: true })

  test("the learner's screens fit, marks are tapped, and a finger held on the picture shows what is meant", async ({
    page
  }) => {
    await page.request.post('/api/session', { data: { login: 'ada@harbour.example', password: DEMO_PASSWORD } })
    for (const [path, ready] of [
      ['/work', '.piece'],
      ['/exercises/1', '[data-check]'],
      ['/hand-in', 'form'],
      ['/account', 'li'],
      ['/workshop', '.paint'],
      ['/workshop/values', '.own img'],
      ['/workshop/drills', '.drills'],
      ['/critique/11', '.tag']
    ] as const) {
      await page.goto(path)
      await expect(page.locator(ready).first()).toBeVisible()
      expect(await page.evaluate(() => document.documentElement.scrollWidth), path).toBeLessThanOrEqual(390)
      expect((await page.locator('header').boundingBox())!.height, path).toBeLessThan(70)
      await accessible(page)
      if (path === '/hand-in') await expect(page.getByRole('button', { name: 'Photograph it' })).toBeVisible()
    }
    const mark = page.getByRole('button', { name: 'correction V2' })
    await mark.tap()
    await expect(mark).toHaveAttribute('aria-pressed', 'true')
    const after = page.locator('canvas.after')
    await expect(after).toHaveAttribute('data-shows', /./)
    const box = (await page.getByRole('img', { name: 'Harbour steps' }).boundingBox())!
    const touch = await page.context().newCDPSession(page),
      at = { x: box.x + box.width / 2, y: box.y + box.height / 3 }
    await touch.send('Input.dispatchTouchEvent', { type: 'touchStart', touchPoints: [at] })
    await expect(after).toBeVisible()
    await touch.send('Input.dispatchTouchEvent', { type: 'touchEnd', touchPoints: [] })
    await expect(after).toBeHidden()
  })
})

test('a lens shows within 300 ms of asking, and an area is read while the hand moves', async ({ page }) => {
  await page.request.post('/api/session', { data: { login: 'tamsin@harbour.example', password: DEMO_PASSWORD } })
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
  await page.request.post('/api/session', { data: { login: 'tamsin@harbour.example', password: DEMO_PASSWORD } })
  await page.goto('/bench/8/focus')
  const intended = page.locator('[data-reading="focus.intended"]')
  await expect(intended).toContainText('the upper right')
  await takeReading(page, 'focus.intended')
  await expect(page.locator('canvas[data-lens="attention"]')).toBeVisible()
  await expect(page.locator('[data-reading="focus.path"]')).toContainText('The eye goes first to')
})
