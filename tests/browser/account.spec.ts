/** A person's own account, as they would go through it. */
import { expect, test } from '@playwright/test'
import { database } from '../api/client'
import { enrol, newAccount } from '../people'
import { accessible } from './bench-page'

test('the password is changed on one screen, what is wrong said at its field, and the other browser is out', async ({
  browser,
  page
}) => {
  const connection = await database(),
    email = `wren-${Date.now()}@harbour.example`
  const accountId = await newAccount(connection, { email, name: 'Wren Hale', password: 'salt on the slipway' })
  await enrol(connection, { classId: 1, accountId })
  await connection.end()
  const enter = async (on: typeof page, password: string) => {
    await on.goto('/')
    await on.getByLabel('E-mail').fill(email)
    await on.getByLabel('Password').fill(password)
    await on.getByRole('button', { name: 'Sign in' }).click()
  }
  const elsewhere = await browser.newContext(),
    other = await elsewhere.newPage()
  await enter(other, 'salt on the slipway')
  await expect(other.getByText('Nothing handed in yet.')).toBeVisible()

  await enter(page, 'salt on the slipway')
  await page.getByRole('link', { name: 'Wren Hale' }).click()
  await expect(page.getByRole('listitem').filter({ hasText: 'here, now' })).toContainText(/on Linux/)
  await accessible(page)
  const now = page.getByLabel('The password you have now'),
    next = page.getByLabel('The new one'),
    change = page.getByRole('button', { name: 'Change it' })
  await now.fill('salt on the slipway')
  await next.fill('short')
  await change.click()
  await expect(page.getByText('At least 8 characters')).toBeVisible()
  await next.fill('password123')
  await expect(page.getByText('At least 8 characters')).toBeHidden()
  await change.click()
  await expect(page.getByRole('alert')).toContainText('tried first')
  await next.fill('three grey gulls asleep')
  await change.click()
  await expect(page.getByRole('status')).toContainText('Changed.')
  await expect(page.getByRole('listitem')).toHaveCount(1)
  await other.reload()
  await expect(other.getByRole('button', { name: 'Sign in' })).toBeVisible()
  await page.getByRole('button', { name: 'Sign out', exact: true }).click()
  await enter(page, 'three grey gulls asleep')
  await expect(page.getByText('Nothing handed in yet.')).toBeVisible()
  await elsewhere.close()
})
