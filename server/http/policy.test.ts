import { createHash } from 'node:crypto'
import { expect, it } from 'vitest'
import { everyAnswer, policyOf } from './policy'

it('lets a page run its own inline scripts and no other', () => {
  const code = 'window.x = "</b>"',
    policy = policyOf(`<head><script src="/a.js"></script><script>${code}</script></head>`)
  expect(policy.match(/'sha256-[^']+'/g)).toEqual([`'sha256-${createHash('sha256').update(code).digest('base64')}'`])
})

it('asks for HTTPS where there is HTTPS', () => {
  expect(everyAnswer(true)['strict-transport-security']).toMatch(/max-age=\d{8}/)
  expect(everyAnswer(false)).not.toHaveProperty('strict-transport-security')
})
