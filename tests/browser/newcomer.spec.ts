/** From an empty house to the first piece handed in by an invited learner, without reading anything. */
import { expect, test, type Locator, type Page } from '@playwright/test'
import { ownerLink } from '../../bin/lib/serve'
import { secretsOf } from '../../bin/lib/database'
import { picture } from '../api/client'
import { House } from '../house'
import { accessible } from './bench-page'

let house: House
test.beforeAll(async () => {
  house = await House.open({ instructors: 0, learners: 0 })
})
test.afterAll(() => house.close())

test('is walked in under thirty actions, and every page leads on', async ({ browser, page }) => {
  test.setTimeout(90_000)
  let actions = 0
  const does = async (act: Promise<unknown>): Promise<void> => {
    actions++
    await act
  }
  const named = (on: Page, name: string | RegExp): Locator => on.getByRole('button', { name })

  // A stranger who reaches the port first is told of a way, and cannot take it.
  await page.goto(house.origin)
  await expect(page.getByText('Begin with your own')).toBeVisible()
  await expect(page.getByText('Look round the demo class')).toHaveCount(0)
  await accessible(page)

  const begin = house.origin + (await ownerLink(house.database.url, secretsOf(house.folder).session))
  await does(page.goto(begin))
  await does(page.getByLabel('Your name').fill('Perrin Dale'))
  await does(page.getByLabel('Your e-mail address').fill('perrin@school.example'))
  await does(page.getByLabel('A password').fill('kelp and lantern light'))
  await accessible(page)
  await does(named(page, 'Begin').click())

  await does(page.getByLabel('What is it called?').fill('Saturday painters'))
  await does(named(page, 'Make it').click())
  await does(page.getByLabel(/Names, one a line/).fill('Wren Hale'))
  await accessible(page)
  await does(named(page, 'Bring in one').click())
  await does(named(page, 'Wren Hale').click())
  await does(named(page, 'a link to hand on').click())
  const link = await page.locator('code').textContent()
  await accessible(page)

  const theirs = await browser.newContext(),
    learner = await theirs.newPage()
  await does(learner.goto(link!))
  await expect(learner.getByText('You are invited to Saturday painters.')).toBeVisible()
  await does(learner.getByLabel('A password').fill('grey heron standing'))
  await does(named(learner, 'Come in').click())
  await does(learner.getByRole('link', { name: 'Hand in a picture' }).click())
  await does(
    learner
      .locator('input[type=file]')
      .first()
      .setInputFiles({ name: 'pier.png', mimeType: 'image/png', buffer: await picture(320, 240) })
  )
  await does(learner.getByLabel('Title').fill('The pier'))
  await does(named(learner, 'Hand it in').click())
  await expect(learner.getByText('waits for the instructor')).toBeVisible()

  await does(page.getByRole('link', { name: 'Desk' }).click())
  await expect(page.getByText('One piece waits')).toBeVisible()
  await expect(page.getByText('The pier')).toBeVisible()
  expect(actions).toBeLessThan(30)

  // The link opened once; by the name on their slip they come again.
  const again = await browser.newContext(),
    door = await again.newPage()
  await door.goto(link!)
  await expect(door.getByText('This link is over')).toBeVisible()
  await door.getByRole('link', { name: 'Sign in' }).click()
  await door.getByLabel('E-mail or sign-in name').fill('wren.hale')
  await door.getByLabel('Password').fill('grey heron standing')
  await door.getByRole('button', { name: 'Sign in' }).click()
  await expect(door.getByText('The pier')).toBeVisible()
  // The house is taken: the way in it was begun by leads nowhere any more.
  await door.goto(begin)
  await expect(door.getByText('This link is over')).toBeVisible()
})
