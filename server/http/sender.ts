/**
 * Where a request comes from and by which name it reached us. What a proxy says of either is believed from a trusted
 * proxy alone: anybody can send the header.
 */
import Bowser from 'bowser'
import { getRequestHeader, getRequestURL, type H3Event } from 'h3'
import { AppError } from '../../shared/errors'
import { basePath, settings } from '../settings'

const plain = (address: string): string => address.replace(/^::ffff:/, '')
const listOf = (header: string | undefined): string[] =>
  (header ?? '')
    .split(',')
    .map(part => part.trim())
    .filter(Boolean)

const peerOf = (event: H3Event): string => plain(event.node.req.socket.remoteAddress ?? 'unknown')
const behindProxy = (event: H3Event): boolean => settings().CRITICA_TRUSTED_PROXY.includes(peerOf(event))

/** The sender's address: behind trusted proxies the last one that is not itself such a proxy. */
export function clientAddress(event: H3Event): string {
  const trusted = settings().CRITICA_TRUSTED_PROXY,
    peer = peerOf(event)
  if (!trusted.includes(peer)) return peer
  const chain = listOf(getRequestHeader(event, 'x-forwarded-for')).map(plain)
  return chain.findLast(address => !trusted.includes(address)) ?? peer
}

/** With what it is asked, in words: "Firefox on Linux"; empty when it does not tell. */
export function browserOf(event: H3Event): string {
  const told = getRequestHeader(event, 'user-agent')
  if (!told) return ''
  const { browser, os } = Bowser.parse(told.slice(0, 400))
  return [browser.name, os.name].filter(Boolean).join(' on ').slice(0, 80)
}

/** The address people reach the application by, with the path it has of its own, if any. */
export function publicAddress(event: H3Event): string {
  const proxied = behindProxy(event)
  return getRequestURL(event, { xForwardedHost: proxied, xForwardedProto: proxied }).origin + basePath()
}

/** SameSite keeps the cookie from most foreign pages; this closes the rest for anything that changes state. */
export function refuseForeignOrigin(event: H3Event): void {
  if (event.method === 'GET' || event.method === 'HEAD') return
  const origin = getRequestHeader(event, 'origin')
  if (origin === undefined) return
  const from = URL.canParse(origin) ? new URL(origin).host : null
  if (from === null || from !== new URL(publicAddress(event)).host) {
    throw new AppError('not-allowed', 'This request came from another site.')
  }
}
