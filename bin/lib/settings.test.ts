import { expect, it } from 'vitest'
import { readSettings } from './settings'

it('has defaults, and names every wrong or unknown setting', () => {
  expect(readSettings({})).toMatchObject({ CRITICA_PORT: 3000, CRITICA_DATABASE_PORT: 33071, CRITICA_DEMO: '1' })
  expect(
    readSettings({ CRITICA_PORT: '8080', CRITICA_DATABASE_URL: 'mysql://a:b@127.0.0.1:3306/critica' })
  ).toMatchObject({ CRITICA_PORT: 8080 })
  expect(() => readSettings({ CRITICA_PORT: 'eighty', CRITICA_DEMO: 'yes' })).toThrow(
    /CRITICA_PORT must be a number; CRITICA_DEMO must be 0 or 1/
  )
  expect(() => readSettings({ CRITICA_PORT: '70000' })).toThrow(/CRITICA_PORT must be a port/)
  expect(() => readSettings({ CRITICA_DATABASE_URL: 'localhost' })).toThrow(/CRITICA_DATABASE_URL must look like/)
  expect(() => readSettings({ CRITICA_SPEED: 'fast' })).toThrow(/no setting CRITICA_SPEED/)
})
