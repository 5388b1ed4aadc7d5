/** Who a request is from, with and without a proxy in front that is known. */
import type { H3Event } from 'h3'
import { afterEach, expect, it, vi } from 'vitest'

afterEach(() => {
  vi.unstubAllEnvs()
  vi.resetModules()
})

/** @param proxies as CRITICA_TRUSTED_PROXY names them. */
async function sender(proxies: string) {
  vi.stubEnv('CRITICA_DATABASE_URL', 'mysql://a:b@127.0.0.1:3306/critica')
  vi.stubEnv('CRITICA_SECRET', 's'.repeat(32))
  vi.stubEnv('CRITICA_TRUSTED_PROXY', proxies)
  const { clientAddress, publicAddress } = await import('./sender')
  const event = (peer: string, headers: Record<string, string>): H3Event =>
    ({
      path: '/',
      node: {
        req: {
          headers: { host: 'critica.test', ...headers },
          socket: { remoteAddress: peer },
          originalUrl: '/',
          connection: {}
        }
      }
    }) as never
  return {
    address: (peer: string, forwarded: string) => clientAddress(event(peer, { 'x-forwarded-for': forwarded })),
    origin: (peer: string) =>
      publicAddress(event(peer, { 'x-forwarded-proto': 'https', 'x-forwarded-host': 'school.test' }))
  }
}

it('an address that a sender claims is believed from a trusted proxy alone', async () => {
  const bare = await sender('')
  expect([bare.address('203.0.113.9', '198.51.100.1'), bare.origin('203.0.113.9')]).toEqual([
    '203.0.113.9',
    'http://critica.test'
  ])
})

it('behind trusted proxies it is the last that is none of them: what is before it anybody can write', async () => {
  const behind = await sender('10.0.0.1, 10.0.0.2')
  expect(behind.address('::ffff:10.0.0.1', '192.0.2.7, 198.51.100.1, 10.0.0.2')).toBe('198.51.100.1')
  expect(behind.address('10.0.0.1', '')).toBe('10.0.0.1')
  expect(behind.address('203.0.113.9', '198.51.100.1')).toBe('203.0.113.9')
  expect([behind.origin('10.0.0.1'), behind.origin('203.0.113.9')]).toEqual([
    'https://school.test',
    'http://critica.test'
  ])
})
